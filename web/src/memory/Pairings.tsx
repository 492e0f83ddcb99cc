import { useQueries } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { difficultyOf, provedOn, sizesIn } from '@bay/core/plan';
import type { Difficulty } from '@bay/core/plan';
import { showMoney } from '@bay/core/money';
import { counted, formatMeasure } from '@bay/core/units';
import { readPairings } from '@bay/contract/memory';
import type { Pairing } from '@bay/contract/memory';
import { call, keys, sentenceOf } from '../api/index.ts';
import { useFactRow, usePutFact } from '../facts/index.ts';
import { useCurrency } from '../money/index.ts';
import { useJob, usePut, useRecords } from '../sheet/index.ts';
import { columns, dayWords, Failed, Loading, Trouble } from '../ui/index.ts';

const nearWords: Readonly<Record<Pairing['near'], string>> = {
  'engine-and-car': 'same engine in the same car',
  engine: 'same engine',
  car: 'same car',
};
const fitWords: Readonly<Record<string, string>> = { 'bolts-up': 'bolts up', adapt: 'adapt', clash: 'clash' };

/** One list of what a job taught, where it taught something. */
function Taught({ name, items }: { name: string; items: readonly React.ReactNode[] }) {
  if (items.length === 0) return null;
  return (
    <section aria-label={name}>
      <h4 className="group-title">{name}</h4>
      <ul className="rows">
        {items.map((item, i) => (
          <li key={i}>{item}</li>
        ))}
      </ul>
    </section>
  );
}

/** A way out of another job, taken over here where its place wants one; it carries what it was proved on. */
function Way({ way, of }: { way: Pairing['ways'][number]; of: Pairing }) {
  const { sheet, plan, mayWrite } = useJob();
  const put = usePut();
  const now = useRecords('fit')[way.interfaceId];
  const revision = sheet.records.find((r) => r.kind === 'fit' && r.key === way.interfaceId)?.revision ?? 0;
  const here = plan.fits.find((f) => f.def.id === way.interfaceId);
  const wants = here !== undefined && !here.resolved && ['adapt', 'clash'].includes(here.verdict.word);
  const kit = way.kit.filter((id) => plan.kit.some((k) => k.def.id === id));
  return (
    <>
      <b>{way.title}</b>: {way.text}{' '}
      {here?.resolved ? (
        <span className="quiet">a way out stands here already</span>
      ) : !wants ? (
        <span className="quiet">this place wants none here, as far as it is known</span>
      ) : mayWrite ? (
        <button
          type="button"
          className="plain-button small"
          aria-label={`Take its way out: ${way.title}`}
          disabled={put.isPending}
          onClick={() =>
            put.mutate({
              kind: 'fit',
              key: way.interfaceId,
              data: { ...now, resolution: { text: provedOn(way.text, of.number, of), kit, asked: [] } },
              revision,
            })
          }
        >
          Take its way out
        </button>
      ) : null}
      <Trouble of={put} />
    </>
  );
}

/** Where it sits there beside here: sizes that both know, with what lies between them; what is known there alone is said so. */
function Sizes({ of }: { of: Pairing }) {
  const { plan } = useJob();
  if (of.sizes.length === 0) return null;
  const here = new Map(sizesIn(plan.facts).map((s) => [`${s.factId} ${s.partKey}`, s]));
  return (
    <section aria-label="Where it sits there">
      <h4 className="group-title">Where it sits there</h4>
      <ul className="rows">
        {of.sizes.map((s) => {
          const own = here.get(`${s.factId} ${s.partKey}`);
          const between = own === undefined ? undefined : own.value - s.value;
          return (
            <li key={`${s.factId} ${s.partKey}`}>
              {s.label}: <span className="mono">{formatMeasure(s.value, s.unit)}</span>
              {own === undefined ? (
                <span className="quiet">, not known here</span>
              ) : (
                <>
                  , here <span className="mono">{formatMeasure(own.value, own.unit)}</span>{' '}
                  <span className={between === 0 ? 'quiet' : 'ochre'}>
                    {between === 0
                      ? 'the same'
                      : `${formatMeasure(Math.abs(between!), own.unit)} ${between! > 0 ? 'more' : 'less'}`}
                  </span>
                </>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function Card({ of }: { of: Pairing }) {
  const unforeseen = of.lifts.filter((l) => !l.foreseen).length;
  return (
    <div className="card-open">
      <p>
        <Link to={`/jobs/${of.jobId}/fit`}>{of.number}</Link>, closed {dayWords(of.closedAt)}.{' '}
        {of.differs.length > 0 ? (
          <span className="ochre">What it proves, it proves with {of.differs.join('; ')}.</span>
        ) : (
          'Same engine and car, of the same years.'
        )}
      </p>
      <Sizes of={of} />
      <Taught
        name="Ways out"
        items={of.ways.map((w) => (
          <Way key={w.interfaceId} way={w} of={of} />
        ))}
      />
      <Taught
        name="Read with a tape"
        items={of.read.map((r) => (
          <>
            {r.title}: {r.gapMm === undefined ? '' : <span className="mono">{formatMeasure(r.gapMm, 'mm')}, </span>}
            {fitWords[r.word] ?? r.word}
          </>
        ))}
      />
      <Taught name="Tried, and did not do" items={of.failed.map((f) => `${f.part}: ${f.how}`)} />
      <Taught
        name={`${counted(of.lifts.length, 'lift')}, ${unforeseen} not foreseen`}
        items={of.lifts.map((l) => l.why)}
      />
      <Taught name="Faults at its start" items={of.faults.map((f) => `${f.symptom}: ${f.fault}`)} />
      {of.sizes.length + of.ways.length + of.read.length + of.failed.length + of.lifts.length + of.faults.length ===
        0 && <p className="quiet">Nobody wrote down what it taught.</p>}
    </div>
  );
}

const hardWords: Readonly<Record<Difficulty['word'], string>> = {
  'known-ground': 'Known ground',
  usual: 'Of usual difficulty',
  hard: 'Hard',
};
const pairWords: Readonly<Record<Difficulty['pairing'], string>> = {
  'first-here': 'a first one here',
  'near-pair': 'a near pair',
  'done-here': 'done here before',
};

/** How hard this pair is and how new, and what was said of it; hours of the quote hang on what is said. */
function HowHard({ near }: { near: readonly Pairing['near'][] }) {
  const { plan, mayWrite } = useJob();
  const put = usePutFact();
  const row = useFactRow('cho-pairing', 'job');
  const counts = { 'bolts-up': 0, adapt: 0, clash: 0, 'not-measured': 0 };
  for (const { verdict, resolved } of plan.fits) if (verdict.word !== 'clash' || !resolved) counts[verdict.word] += 1;
  const { word, why, follows, pairing } = difficultyOf(counts, near);
  const said = plan.facts.get('cho-pairing')?.parts['value'];
  return (
    <>
      <p>
        <b className={word === 'hard' ? 'ochre' : ''}>{hardWords[word]}</b>: {why.join('; ')}.
        {follows === '' ? '' : ` ${follows}.`}
      </p>
      {said !== pairing && mayWrite && (
        <div className="row-actions">
          <button
            type="button"
            className="plain-button small"
            disabled={put.isPending}
            onClick={() =>
              put.mutate({
                bearer: 'job',
                factId: 'cho-pairing',
                typed: { value: pairing },
                source: 'looked-up',
                revision: row?.revision ?? 0,
              })
            }
          >
            Reckon it as {pairWords[pairing]}
          </button>
        </div>
      )}
      <Trouble of={put} />
    </>
  );
}

/** Closed jobs of the shop with the same or a near pairing, the nearest first. */
export function Pairings() {
  const { sheet } = useJob();
  const jobId = sheet.job.id;
  const currency = useCurrency();
  const [open, setOpen] = useState<string>();
  // Before one is chosen, each candidate is looked up.
  const chosen = sheet.units.some((u) => u.role === 'engine');
  const candidates = chosen ? [] : sheet.units.filter((u) => u.role === 'candidate');
  const asked = candidates.length > 0 ? candidates : [undefined];
  const reads = useQueries({
    queries: asked.map((unit) => ({
      queryKey: keys.pairings(jobId, unit?.id),
      queryFn: () => call(readPairings, { params: { jobId }, query: unit ? { unitId: unit.id } : {} }),
    })),
  });
  const failed = reads.find((r) => r.isError && !r.data);
  if (failed) return <Failed sentence={sentenceOf(failed.error)} again={() => void failed.refetch()} />;
  if (reads.some((r) => r.isPending)) return <Loading />;
  const pairings = reads.flatMap((r, i) =>
    (r.data?.pairings ?? []).map((p) => ({ ...p, id: `${p.jobId}:${i}`, candidate: asked[i]?.name })),
  );
  return (
    <section className="panel" aria-label="Done here before">
      <div className="bench-head">
        <h3>Done here before</h3>
        <span className="quiet">
          {pairings.length === 0
            ? 'no closed job has this engine or this car: all of it is measured anew'
            : counted(pairings.length, 'closed job')}
        </span>
      </div>
      {chosen && <HowHard near={pairings.map((p) => p.near)} />}
      <ul className="rows">
        {pairings.map((p) => (
          <li key={p.id}>
            <button
              type="button"
              className="row-button stacks"
              style={columns('minmax(0, 1.6fr) minmax(0, 1fr) minmax(0, 1fr)')}
              aria-expanded={open === p.id}
              onClick={() => setOpen(open === p.id ? undefined : p.id)}
            >
              <span>
                <b>
                  {p.carName}
                  {p.engineName ? `, ${p.engineName}` : ''}
                </b>
              </span>
              <span>
                {nearWords[p.near]}
                {p.candidate && p.near !== 'car' ? ` as ${p.candidate}` : ''}
              </span>
              <span className="quiet">
                {p.hours > 0 ? `${p.hours} h` : 'hours not clocked'}, {counted(p.lifts.length, 'lift')}
                {p.agreed === null ? '' : `, ${showMoney(p.agreed, currency)}`}
              </span>
            </button>
            {open === p.id && <Card of={p} />}
          </li>
        ))}
      </ul>
    </section>
  );
}
