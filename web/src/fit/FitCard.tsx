import { Button, Checkbox, Select, TextInput, Textarea } from '@mantine/core';
import { useState } from 'react';
import { foreignAt, interfaceOf, knockOnChain, withGaps } from '@bay/core/fit';
import type { FitLine, FitRecord, TrialReading } from '@bay/core/fit';
import { formatMeasure } from '@bay/core/units';
import { partName } from '@bay/core/facts';
import { kitLineOf } from '@bay/core/kit';
import { CountsFirst, FactEditor, sourceWords, usualBearer } from '../facts/index.ts';
import { useJob, usePut, useRecordForm, useRecords } from '../sheet/index.ts';
import { History } from '../logbook/index.ts';
import {
  Because,
  dayWords,
  Form,
  measured,
  MeasuredInput,
  Sum,
  Trouble,
  VerdictMark,
  verdictWords,
} from '../ui/index.ts';
import { KnockOnDrawing } from './KnockOnDrawing.tsx';

const judgedWords = ['bolts-up', 'adapt', 'clash'] as const;
const wordOptions = judgedWords.map((value) => ({ value, label: verdictWords[value] }));
type JudgedWord = (typeof judgedWords)[number];

/** Sources that a verdict shows when it leans on one. */
export const leansOn: ReadonlySet<string> = new Set(['inferred', 'assumed']);

/** A form that writes into one line of the fit. */
interface Writing {
  line: FitLine;
  record: FitRecord;
  close: () => void;
}

function WayOut({ line, record, close }: Writing) {
  const form = useRecordForm({
    kind: 'fit',
    key: line.def.id,
    about: `way out ${line.def.id}`,
    merges: true,
    initial: { text: record.resolution?.text ?? '', kit: [...(record.resolution?.kit ?? line.def.kit)] },
    sent: ({ text, kit }) => ({ ...record, resolution: { text, kit, asked: record.resolution?.asked ?? [] } }),
    names: { 'resolution.text': 'text' },
  });
  const { kit } = form.values;
  return (
    <Form of={form} submit="Choose this" send={form.send} after={close} cancel={close} className="inner-form">
      <h4>
        Ways out that are usual here <CountsFirst />
      </h4>
      <div className="row-actions" style={{ marginTop: 4 }}>
        {line.def.resolutions.map((u) => (
          <button
            key={u}
            type="button"
            className="plain-button small bare"
            style={{ textAlign: 'left' }}
            onClick={() => form.set({ text: u })}
          >
            {u}
          </button>
        ))}
      </div>
      <Textarea label="What is done" data-autofocus autoFocus {...form.field('text')} />
      {line.def.kit.length > 0 && (
        <fieldset style={{ border: 0, padding: 0, margin: '10px 0' }}>
          <legend style={{ fontFamily: 'var(--head)', fontWeight: 600 }}>Kit it adds</legend>
          {line.def.kit.map((id) => (
            <Checkbox
              key={id}
              mt={6}
              label={kitLineOf(id).title}
              checked={kit.includes(id)}
              onChange={(e) => form.set({ kit: e.currentTarget.checked ? [...kit, id] : kit.filter((k) => k !== id) })}
            />
          ))}
        </fieldset>
      )}
    </Form>
  );
}

function Trial({ line, close }: Pick<Writing, 'line' | 'close'>) {
  // Verdict and cold or hot are said by whoever read it: nothing is taken for granted.
  const form = useRecordForm({
    kind: 'gap',
    about: `trial ${line.def.id}`,
    initial: { gap: '', place: '', word: null as JudgedWord | null, condition: null as 'cold' | 'hot' | null },
    sent: ({ gap, ...v }) => {
      const gapMm = measured(gap, 'mm');
      return {
        interfaceId: line.def.id,
        read: { ...v, gapMm: typeof gapMm === 'number' ? Number(gapMm.toFixed(3)) : gapMm },
      };
    },
    names: {
      'read.gapMm': 'gap',
      'read.place': 'place',
      'read.word': 'word',
      'read.condition': 'condition',
    },
  });
  return (
    <Form of={form} submit="Write the reading" send={form.send} after={close} cancel={close} className="inner-form">
      <div className="fields">
        <MeasuredInput label="Gap read" unit="mm" autoFocus {...form.field('gap')} />
        <TextInput label="Where" placeholder="sump rear edge to crossmember" {...form.field('place')} />
        <Select label="Cold or hot" data={['cold', 'hot']} {...form.field('condition')} />
        <Select label="Verdict" data={wordOptions} {...form.field('word')} />
      </div>
      <p className="quiet">
        A reading overrules the sum until a fact it stands on changes. Each spot has its own; the worst of them counts.
      </p>
    </Form>
  );
}

/** What was read in the trial fit, spot by spot. */
function Readings({ interfaceId, first }: { interfaceId: string; first: TrialReading | undefined }) {
  const { mayWrite } = useJob();
  const put = usePut();
  const gaps = Object.entries(useRecords('gap')).filter(([, g]) => g.interfaceId === interfaceId && !g.withdrawn);
  if (gaps.length + (first ? 1 : 0) === 0) return null;
  const words = ({ gapMm, place, condition, word, by, at }: TrialReading): string =>
    `${place}, ${condition}: ${gapMm === undefined ? '' : `${formatMeasure(gapMm, 'mm')}, `}${verdictWords[word].toLowerCase()}. ${by ?? ''}${at ? `, ${dayWords(at)}` : ''}`;
  return (
    <section aria-label="Read in the trial fit">
      <h4>Read in the trial fit</h4>
      <ul>
        {first && <li className="meta">{words(first)}</li>}
        {gaps.map(([key, gap]) => (
          <li key={key} className="meta">
            {words(gap.read)}{' '}
            {mayWrite && (
              <button
                type="button"
                className="plain-button small bare"
                aria-label={`Does not count any more: ${gap.read.place}`}
                disabled={put.isPending}
                onClick={() =>
                  put.mutate({ kind: 'gap', key, data: { ...gap, withdrawn: { why: 'taken back at the card' } } })
                }
              >
                Take back
              </button>
            )}
          </li>
        ))}
      </ul>
      <Trouble of={put} />
    </section>
  );
}

function Judge({ line, record, close }: Writing) {
  const form = useRecordForm({
    kind: 'fit',
    key: line.def.id,
    about: `judge ${line.def.id}`,
    merges: true,
    initial: { word: null as JudgedWord | null, why: '' },
    sent: (v) => ({ ...record, judged: v }),
    names: { 'judged.word': 'word', 'judged.why': 'why' },
  });
  const { word } = form.values;
  return (
    <Form of={form} submit="Judge it so" send={form.send} after={close} cancel={close} className="inner-form">
      <div className="fields">
        <Select label="Verdict" data={wordOptions} {...form.field('word')} />
        <TextInput label="Why" autoFocus {...form.field('why')} />
      </div>
      {word && <p className="quiet">{line.def[word === 'bolts-up' ? 'boltsUp' : word]}</p>}
    </Form>
  );
}

/** Nobody measured it, and the job goes on: by name, with the reason. */
function Waive({ line, record, close }: Writing) {
  const form = useRecordForm({
    kind: 'fit',
    key: line.def.id,
    about: `waive ${line.def.id}`,
    merges: true,
    initial: { why: '' },
    sent: (v) => ({ ...record, waived: v }),
    names: { 'waived.why': 'why' },
  });
  return (
    <Form of={form} submit="Go on without it" send={form.send} after={close} cancel={close} className="inner-form">
      <TextInput
        label="Why it goes on without being measured"
        description="A sentence; it stays in the record under your name until somebody measures it."
        autoFocus
        {...form.field('why')}
      />
    </Form>
  );
}

/** One interface opened: the sum, what it waits for, ways out, the trial fit, and what a way out touches. */
export function FitCard({ line, record = {} }: { line: FitLine; record?: FitRecord | undefined }) {
  const { sheet, plan, mayWrite } = useJob();
  const records = useRecords('fit');
  const put = usePut();
  const [doing, setDoing] = useState<'way-out' | 'trial' | 'judge' | 'waive'>();
  const [fact, setFact] = useState<string>();
  const { def, verdict } = line;
  const write = (next: FitRecord): void =>
    put.mutate({ kind: 'fit', key: def.id, data: next as Record<string, unknown> });
  const { resolution } = record;
  const foreign = foreignAt(useRecords('foreign-part'), def.id);
  const forms = { line, record, close: () => setDoing(undefined) };
  return (
    <div className={`card-open ${verdict.word}`}>
      <div className="card-title">
        <VerdictMark word={verdict.word} size={40} />
        <h3>{def.title}</h3>
        <span className={`word verdict-${verdict.word}`}>
          {verdictWords[verdict.word]}, {verdict.headline}
        </span>
      </div>
      {foreign.length > 0 && (
        <p className="ochre">
          Stands here and is not this car's own: {foreign.map((r) => r.what).join(', ')}. A part made for the car as it
          was built may not go beside it.
        </p>
      )}
      <Sum rows={verdict.sum} result={verdict.result} />
      {verdict.needs.length > 0 && (
        <div>
          <p>
            <b>Measure to finish this check:</b>
          </p>
          <div className="row-actions" style={{ marginTop: 4 }}>
            {verdict.needs.map((n) => (
              <button
                key={n.factId + n.partKey}
                type="button"
                className="plain-button small"
                disabled={!mayWrite}
                onClick={() => setFact(n.factId)}
              >
                {partName(n.factId, n.partKey)}
              </button>
            ))}
          </div>
        </div>
      )}
      <Readings interfaceId={def.id} first={record.trial} />
      <Because ids={verdict.because} facts={plan.facts} source={verdict.source} />
      {verdict.weakest && leansOn.has(verdict.weakest) && (
        <p className="ochre">The weakest fact under this is {sourceWords[verdict.weakest].toLowerCase()}.</p>
      )}
      <History jobId={sheet.job.id} about={def.id} title={def.title} />
      {line.forecast && line.forecast.basis === 'computed' && line.forecast.word !== 'not-measured' && (
        <p className="quiet">
          The sum alone said {verdictWords[line.forecast.word]}, {line.forecast.headline}.
        </p>
      )}
      {line.waived && record.waived && (
        <p className="ochre">
          Goes on without being measured, {record.waived.by}, {record.waived.at ? dayWords(record.waived.at) : ''}:{' '}
          {record.waived.why}
        </p>
      )}
      {line.stale && (
        <p className="ochre">
          {line.moved
            ? 'The engine was put in anew or moved after this was read: read it again.'
            : 'Facts changed after this was read or judged: look again.'}
        </p>
      )}
      <div className="words-3">
        <p>
          <b>Bolts up</b> {withGaps(def.boltsUp)}
        </p>
        <p>
          <b>Adapt</b> {withGaps(def.adapt)}
        </p>
        <p>
          <b>Clash</b> {withGaps(def.clash)}
        </p>
      </div>
      {resolution && (
        <div className="notice" style={{ marginTop: 12 }}>
          <b>Way out:</b> {resolution.text}{' '}
          <span className="quiet">
            {resolution.by}, {resolution.at ? dayWords(resolution.at) : ''}
          </span>
          {def.knockOn.length > 0 && (
            <>
              <p style={{ marginTop: 8 }}>
                <b>What does this now touch?</b> Tick what was looked at again.
              </p>
              {def.knockOn.map((id) => (
                <Checkbox
                  key={id}
                  mt={6}
                  disabled={!mayWrite || put.isPending}
                  label={interfaceOf(id).title}
                  checked={resolution.asked.includes(id)}
                  onChange={(e) =>
                    write({
                      ...record,
                      resolution: {
                        ...resolution,
                        asked: e.currentTarget.checked
                          ? [...resolution.asked, id]
                          : resolution.asked.filter((a) => a !== id),
                      },
                    })
                  }
                />
              ))}
            </>
          )}
        </div>
      )}
      {resolution && <KnockOnDrawing start={def.id} links={knockOnChain(def.id, records)} />}
      {!doing && <Trouble of={put} />}
      {doing === 'way-out' && <WayOut {...forms} />}
      {doing === 'trial' && <Trial {...forms} />}
      {doing === 'judge' && <Judge {...forms} />}
      {doing === 'waive' && <Waive {...forms} />}
      {!doing && mayWrite && (
        <div className="row-actions">
          {(verdict.word === 'adapt' || verdict.word === 'clash') && (
            <Button onClick={() => setDoing('way-out')}>
              {resolution ? 'Change the way out' : 'Choose a way out'}
            </Button>
          )}
          <Button variant="default" onClick={() => setDoing('trial')}>
            Trial fit reading
          </Button>
          {(verdict.basis === 'open' || verdict.basis === 'judged' || verdict.word === 'not-measured') && (
            <Button variant="default" onClick={() => setDoing('judge')}>
              Judge by eye
            </Button>
          )}
          {verdict.word === 'not-measured' && !line.waived && (
            <Button variant="subtle" onClick={() => setDoing('waive')}>
              Go on without it
            </Button>
          )}
          {resolution && (
            <Button variant="subtle" onClick={() => write({ ...record, resolution: undefined })}>
              Withdraw the way out
            </Button>
          )}
        </div>
      )}
      {fact && <FactEditor factId={fact} bearer={usualBearer(fact)} close={() => setFact(undefined)} />}
    </div>
  );
}
