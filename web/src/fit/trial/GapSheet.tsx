import { Checkbox, TextInput } from '@mantine/core';
import { useMemo, useState } from 'react';
import { gapPlaces, gapsToRead, leastGap, liftAt, wordOfGap } from '@bay/core/fit';
import type { FitLine, Lift, TrialReading } from '@bay/core/fit';
import { formatMeasure } from '@bay/core/units';
import { PhotoPicker } from '../../logbook/index.ts';
import { useJob, useRecordForm, useRecords } from '../../sheet/index.ts';
import { Form, measured, MeasuredInput, VerdictMark, verdictWords } from '../../ui/index.ts';
import styles from '../fit.module.css';

type Warmth = 'cold' | 'hot';

/** One gap, read: a number, where, and whether it touches. What the number says is computed. */
function ReadGap({
  line,
  least,
  condition,
  next,
  close,
}: {
  line: FitLine;
  least: number;
  condition: Warmth;
  next: () => void;
  close: () => void;
}) {
  const [photos, setPhotos] = useState<readonly string[]>([]);
  const form = useRecordForm({
    kind: 'gap',
    about: `gap sheet ${line.def.id}`,
    initial: { gap: '', place: line.def.title, touches: false, shown: false },
    sent: ({ gap, place, touches, shown }) => {
      const gapMm = measured(gap, 'mm');
      const byGap = typeof gapMm === 'number' ? wordOfGap(gapMm, least) : undefined;
      return {
        interfaceId: line.def.id,
        read: {
          place,
          condition,
          gapMm: typeof gapMm === 'number' ? Number(gapMm.toFixed(3)) : gapMm,
          word: touches ? 'clash' : byGap,
          ...(shown && photos[0] ? { photo: photos[0] } : {}),
        },
      };
    },
    names: { 'read.gapMm': 'gap', 'read.place': 'place', 'read.word': 'gap' },
  });
  return (
    <Form
      of={form}
      submit="Next"
      // Neither a number nor a touch: nothing was read.
      disabled={form.values.gap.trim() === '' && !form.values.touches}
      send={form.send}
      after={next}
      cancel={close}
      className="inner-form"
    >
      <div className="fields">
        <MeasuredInput label="Gap read" unit="mm" autoFocus {...form.field('gap')} />
        <TextInput label="Where" {...form.field('place')} />
      </div>
      <Checkbox
        mt="sm"
        label="It touches, or does when rocked with a bar"
        checked={form.values.touches}
        onChange={(e) => form.set({ touches: e.currentTarget.checked })}
      />
      <Checkbox
        mt="sm"
        label="A photo shows it, with a ruler in view"
        checked={form.values.shown}
        onChange={(e) => form.set({ shown: e.currentTarget.checked })}
      />
      {form.values.shown && <PhotoPicker about={line.def.id} chosen={photos} set={(ids) => setPhotos(ids.slice(-1))} />}
    </Form>
  );
}

const inWords = ({ gapMm, place, condition, word, photo }: TrialReading): string =>
  `${gapMm === undefined ? verdictWords[word].toLowerCase() : formatMeasure(gapMm, 'mm')}, ${place}, ${condition}${photo ? ', with its photo' : ''}`;

/** Every gap that moves with the engine: least, forecast, what each lift read, and the next to read. */
export function GapSheet({ lift, lifts }: { lift: Lift | undefined; lifts: readonly Lift[] }) {
  const { plan, mayWrite } = useJob();
  const fits = useRecords('fit');
  const gaps = useRecords('gap');
  const [condition, setCondition] = useState<Warmth>();
  const [chosen, choose] = useState<string>();
  const books = useMemo(() => ({ job: plan.facts }), [plan.facts]);
  const lines = gapPlaces(plan.fits);
  const open = lift ? gapsToRead(lift, plan.fits) : [];
  const readings = (id: string): TrialReading[] => {
    const first = fits[id]?.trial;
    return [
      ...(first ? [first] : []),
      ...Object.values(gaps)
        .filter((g) => g.interfaceId === id && !g.withdrawn)
        .map((g) => g.read),
    ];
  };
  return (
    <section className="panel" aria-label="Gaps of this lift">
      <h3>Gaps, place by place</h3>
      <p className="quiet">
        {lift
          ? `${lines.length - open.length} of ${lines.length} read since it sits there. Say cold or hot, tap a place, type the gap: the next follows.`
          : 'They are read once it is in the bay.'}
      </p>
      {lift && mayWrite && (
        <div className="counts">
          {(['cold', 'hot'] as const).map((c) => (
            <button key={c} type="button" aria-pressed={condition === c} onClick={() => setCondition(c)}>
              Read {c}
            </button>
          ))}
        </div>
      )}
      <ul className="rows">
        {lines.map((line) => {
          const { id, title } = line.def;
          const isOpen = lift !== undefined && condition !== undefined && chosen === id;
          const waits = open.includes(line);
          return (
            <li key={id}>
              <button
                type="button"
                className={styles['gap-row']}
                disabled={lift === undefined || condition === undefined || !mayWrite}
                aria-expanded={isOpen}
                onClick={() => choose(isOpen ? undefined : id)}
              >
                <VerdictMark word={line.verdict.word} />
                <span>
                  {title}{' '}
                  <span className="quiet">
                    {(line.forecast ?? line.verdict).basis === 'computed'
                      ? `by the sum: ${(line.forecast ?? line.verdict).headline}`
                      : ''}
                  </span>
                  {readings(id).map((r) => (
                    <span key={`${r.at} ${r.place} ${r.condition}`} className={`quiet ${styles['of-lift']}`}>
                      {liftAt(lifts, r.at) ? `lift ${liftAt(lifts, r.at)!.number}` : 'before any lift'}: {inWords(r)}
                    </span>
                  ))}
                </span>
                <span className={`mono ${waits ? 'ochre' : 'teal'}`}>
                  {waits || !lift ? `at least ${formatMeasure(leastGap(id, books)!, 'mm')}` : 'read'}
                </span>
              </button>
              {isOpen && (
                <ReadGap
                  key={id}
                  line={line}
                  least={leastGap(id, books)!}
                  condition={condition}
                  next={() => choose(open.filter((l) => l !== line)[0]?.def.id)}
                  close={() => choose(undefined)}
                />
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
