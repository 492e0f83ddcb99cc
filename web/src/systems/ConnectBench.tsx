import { Button, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { becauseWords, factDef } from '@bay/core/facts';
import { dropLimits } from '@bay/core/sums';
import {
  doubleLabels,
  earths,
  fillSteps,
  heatMeans,
  judgeCircuit,
  labelColumns,
  practiceRules,
  signalsFor,
  signalWords,
  usualAmpsWords,
  usualFields,
  usualFuseWords,
  usualMm2Words,
  usualStart,
} from '@bay/core/systems';
import type { CircuitDef, CircuitRecord, UsualField } from '@bay/core/systems';
import { newId } from '../api/index.ts';
import { useJob, usePut, useRecordForm, useRecords } from '../sheet/index.ts';
import { History } from '../logbook/index.ts';
import { Bags, Links } from '../parts/index.ts';
import {
  columns,
  dayWords,
  Empty,
  FindIn,
  FormDialog,
  measured,
  MeasuredInput,
  Tabs,
  Trouble,
  useNarrow,
  useTab,
} from '../ui/index.ts';

type Draft = Omit<CircuitRecord, 'currentA' | 'lengthM' | 'areaMm2' | 'fuseA'> & {
  currentA: string;
  lengthM: string;
  areaMm2: string;
  fuseA: string;
};
const measuredFields = [
  ['currentA', 'Current', 'A'],
  ['lengthM', 'Length one way', 'm'],
  ['areaMm2', 'Wire', 'mm²'],
  ['fuseA', 'Fuse', 'A'],
] as const;

const written = (value: number | undefined): string => (value === undefined ? '' : String(value));

const asDraft = (c: CircuitRecord): Draft => ({
  ...c,
  currentA: written(c.currentA),
  lengthM: written(c.lengthM),
  areaMm2: written(c.areaMm2),
  fuseA: written(c.fuseA),
});

function fromUsual(def: CircuitDef): Draft {
  const { currentA, areaMm2, fuseA } = usualStart(def);
  return {
    title: def.title,
    from: def.from,
    to: def.to,
    signal: def.kind,
    load: def.load,
    currentA: written(currentA),
    lengthM: '',
    areaMm2: written(areaMm2),
    fuseA: written(fuseA),
    usual: usualFields.filter((key) => usualStart(def)[key] !== undefined),
    labelA: '',
    labelB: '',
  };
}

const empty: Draft = {
  title: '',
  from: '',
  to: '',
  signal: 'power',
  load: 'engine unit',
  currentA: '',
  lengthM: '',
  areaMm2: '',
  fuseA: '',
  labelA: '',
  labelB: '',
};

function CircuitForm({
  recordKey,
  draft,
  isNew,
  close,
}: {
  recordKey: string;
  draft: Draft;
  isNew: boolean;
  close: () => void;
}) {
  const { sheet } = useJob();
  // What nobody has changed since it was filled in from the usual ones is marked as that, here and in the record.
  const usual = (now: Draft): UsualField[] => (draft.usual ?? []).filter((key) => now[key] === draft[key]);
  const form = useRecordForm({
    kind: 'circuit',
    key: recordKey,
    about: isNew ? `new ${draft.title}` : recordKey,
    initial: draft,
    sent: (v) => ({
      ...v,
      ...Object.fromEntries(measuredFields.map(([key, , unit]) => [key, measured(v[key], unit)])),
      usual: usual(v),
    }),
  });
  const v = form.values;
  const number = (key: (typeof measuredFields)[number][0], unit: string): number | undefined => {
    const value = measured(v[key], unit);
    return typeof value === 'number' ? value : undefined;
  };
  const record: CircuitRecord = {
    ...v,
    currentA: number('currentA', 'A'),
    lengthM: number('lengthM', 'm'),
    areaMm2: number('areaMm2', 'mm²'),
    fuseA: number('fuseA', 'A'),
  };
  const verdict = judgeCircuit(record);
  return (
    <FormDialog
      title={isNew ? 'New circuit' : v.title}
      size="lg"
      submit="Save the circuit"
      of={form}
      send={form.send}
      close={close}
      cancel={close}
      cancelWord="Leave it"
    >
      <TextInput label="Circuit" data-autofocus {...form.field('title')} />
      <div className="fields">
        <TextInput label="From" {...form.field('from')} />
        <TextInput label="To" {...form.field('to')} />
        <TextInput label="Signal" {...form.field('signal')} />
        <Select label="Load" data={Object.keys(dropLimits)} {...form.field('load')} />
        {measuredFields.map(([key, label, unit]) => (
          <MeasuredInput
            key={key}
            label={label}
            unit={unit}
            {...form.field(key)}
            {...(usual(v).includes(key as UsualField) ? { description: 'Usual, not measured' } : {})}
          />
        ))}
        <TextInput label="Label at end A" classNames={{ input: 'mono' }} {...form.field('labelA')} />
        <TextInput label="Label at end B" classNames={{ input: 'mono' }} {...form.field('labelB')} />
      </div>
      {verdict.wanted && (
        <div className="notice">
          Wanted: <b className="mono">{verdict.wanted.areaMm2} mm²</b>, fuse{' '}
          <b className="mono">{verdict.wanted.fuseA} A</b>, loses {verdict.wanted.dropV.toFixed(2)} V of{' '}
          {verdict.wanted.limitV} V allowed. Decided by {verdict.wanted.decidedBy}.{' '}
          <button
            type="button"
            className="plain-button small bare"
            onClick={() => form.set({ areaMm2: String(verdict.wanted!.areaMm2), fuseA: String(verdict.wanted!.fuseA) })}
          >
            Take both
          </button>
        </div>
      )}
      <ul>
        {verdict.findings
          .filter((f) => f.weight === 'error')
          .map((f) => (
            <li key={f.sentence} className="oxide">
              {f.sentence}.
            </li>
          ))}
      </ul>
      {!isNew && <History jobId={sheet.job.id} about={recordKey} title={v.title} />}
    </FormDialog>
  );
}

/** A size with its unit, and whether it only stands there because it usually does. */
const size = (c: CircuitRecord, key: UsualField, unit: string) =>
  c[key] === undefined ? '' : `${c[key]} ${unit}${c.usual?.includes(key) ? ' (usual)' : ''}`;

function Circuits() {
  const { plan, mayWrite } = useJob();
  const records = useRecords('circuit');
  const put = usePut();
  const [open, setOpen] = useState<{ key: string; draft: Draft; isNew: boolean }>();
  const all = Object.entries(records);
  const double = doubleLabels(all.map(([id, circuit]) => ({ id, circuit })));
  const built = new Set(all.map(([, c]) => c.title));
  const missing = plan.circuits.filter((c) => !built.has(c.def.title));
  // One search for what is built and what is wanted.
  const list = useNarrow(
    [
      ...all.map(([key, c]) => ({ id: key, words: `${c.title} ${c.labelA} ${c.labelB}` })),
      ...missing.map((c) => ({ id: c.def.id, words: `${c.def.title} ${c.def.proof}` })),
    ],
    (one) => one.words,
  );
  const found = new Set(list.shown.map((one) => one.id));
  return (
    <>
      {double.map((d) => (
        <p key={d.label} className="notice oxide-notice" role="alert">
          <b className="mono">{d.label}</b> stands on more than one end:{' '}
          {d.circuits.map((id) => records[id]!.title).join(' and ')}. Each end has its own label.
        </p>
      ))}
      {all.length + missing.length > 12 && (
        <div className="list-head">
          <FindIn label="Find a circuit or a label" value={list.sought} set={list.set} groups={[]} />
        </div>
      )}
      {list.none && <p className="quiet">{list.none}</p>}
      {all.length === 0 && (
        <Empty title="No circuit built yet">
          Take one from the list below: current, fuse and size are filled in, length and labels are yours.
        </Empty>
      )}
      {all.length > 0 && (
        <div className="panel scroll-x">
          <table className="data">
            <thead>
              <tr>
                <th>Circuit</th>
                <th>Labels</th>
                <th className="num">Current</th>
                <th className="num">Wire</th>
                <th className="num">Fuse</th>
                <th className="num">Loses</th>
                <th>Wrong or open</th>
                <th>Tested</th>
              </tr>
            </thead>
            <tbody>
              {all
                .filter(([key]) => found.has(key))
                .map(([key, c]) => {
                  const verdict = judgeCircuit(c);
                  const wrong = verdict.findings.filter((f) => f.weight !== 'note');
                  return (
                    <tr key={key}>
                      <td>
                        <button
                          type="button"
                          className="plain-button small bare"
                          style={{ textAlign: 'left', padding: 0 }}
                          disabled={!mayWrite}
                          onClick={() => setOpen({ key, draft: asDraft(c), isNew: false })}
                        >
                          {c.title}
                        </button>
                      </td>
                      <td className="mono">
                        {c.labelA || '?'} – {c.labelB || '?'}
                      </td>
                      <td className="num">{size(c, 'currentA', 'A')}</td>
                      <td className="num">{size(c, 'areaMm2', 'mm²')}</td>
                      <td className="num">{size(c, 'fuseA', 'A')}</td>
                      <td className="num">{verdict.dropV === undefined ? '' : `${verdict.dropV.toFixed(2)} V`}</td>
                      <td>
                        {wrong.map((f) => (
                          <div key={f.sentence} className={f.weight === 'error' ? 'oxide' : 'quiet'}>
                            {f.sentence}
                          </div>
                        ))}
                      </td>
                      <td>
                        {c.tested ? (
                          <span className="quiet">
                            {c.tested.by} {c.tested.at ? dayWords(c.tested.at) : ''}
                          </span>
                        ) : (
                          <button
                            type="button"
                            className="plain-button small"
                            disabled={!mayWrite || put.isPending || wrong.some((f) => f.weight === 'error')}
                            onClick={() => put.mutate({ kind: 'circuit', key, data: { ...c, tested: {} } })}
                            aria-label={`Tested: ${c.title}`}
                          >
                            Tested
                          </button>
                        )}
                      </td>
                    </tr>
                  );
                })}
            </tbody>
          </table>
          <Trouble of={put} />
        </div>
      )}
      {mayWrite && (
        <div className="row-actions">
          <Button variant="default" onClick={() => setOpen({ key: newId(), draft: empty, isNew: true })}>
            A circuit of our own
          </Button>
        </div>
      )}
      <h3 className="group-title">This job wants, not built yet</h3>
      <ul className="rows">
        {missing
          .filter((c) => found.has(c.def.id))
          .map((c) => (
            <li key={c.def.id}>
              <button
                type="button"
                className="row-button stacks"
                style={columns('minmax(0, 1.6fr) repeat(3, minmax(70px, 0.5fr)) minmax(0, 1fr)')}
                disabled={!mayWrite}
                onClick={() => setOpen({ key: newId(), draft: fromUsual(c.def), isNew: true })}
              >
                <span>
                  {c.def.title} {c.waits && <span className="tag">waits for a fact</span>}
                </span>
                <span className="figure">{usualAmpsWords(c.def)}</span>
                <span className="figure">{usualFuseWords(c.def)}</span>
                <span className="figure">{usualMm2Words(c.def)}</span>
                <span className="quiet">{c.def.proof}</span>
              </button>
            </li>
          ))}
      </ul>
      {open && (
        <CircuitForm recordKey={open.key} draft={open.draft} isNew={open.isNew} close={() => setOpen(undefined)} />
      )}
    </>
  );
}

function Ticks({ items, title }: { title: string; items: readonly { id: string; title: string; detail: string }[] }) {
  const { mayWrite } = useJob();
  const tasks = useRecords('task');
  const put = usePut();
  return (
    <section>
      <h3 className="group-title">{title}</h3>
      <Trouble of={put} />
      <ol>
        {items.map((t) => {
          const done = tasks[t.id]?.status === 'done';
          return (
            <li key={t.id} className={`step ${done ? 'done' : 'free'}`}>
              <span className="mark" aria-hidden="true">
                {done ? '✓' : ''}
              </span>
              <div>
                <p className="title">{t.title}</p>
                <p className="meta">
                  {t.detail}
                  {done ? `. ${tasks[t.id]!.by}` : ''}
                </p>
              </div>
              {mayWrite && (
                <div className="actions">
                  <button
                    type="button"
                    className="plain-button small bare"
                    aria-label={`${done ? 'Undo' : 'Proved'}: ${t.title}`}
                    onClick={() => put.mutate({ kind: 'task', key: t.id, data: { status: done ? 'open' : 'done' } })}
                  >
                    {done ? 'Undo' : 'Proved'}
                  </button>
                </div>
              )}
            </li>
          );
        })}
      </ol>
    </section>
  );
}

/** What the chosen control hears and drives, and what is asked before anything is ordered. */
function Signals() {
  const { plan } = useJob();
  const control = plan.facts.get('cho-control')?.parts['value'];
  const signals = signalsFor(typeof control === 'string' ? control : undefined);
  if (!signals)
    return (
      <Empty title="The engine control is not chosen yet">
        {factDef('cho-control').label}: chosen under Facts. The list follows from it.
      </Empty>
    );
  const groups = [
    ['Comes in', ['in', 'both']],
    ['Goes out', ['out', 'both']],
  ] as const;
  return (
    <>
      <p className="meta">Because {becauseWords('cho-control', plan.facts)}</p>
      {groups.map(([title, directions]) => (
        <section key={title}>
          <h3 className="group-title">{title}</h3>
          <table className="data">
            <thead>
              <tr>
                <th>Signal</th>
                <th>This control</th>
                <th>Ask before ordering</th>
              </tr>
            </thead>
            <tbody>
              {signals
                .filter((s) => directions.some((d) => d === s.def.direction))
                .map((s) => (
                  <tr key={s.def.id}>
                    <td>{s.def.signal}</td>
                    <td className={s.want === 'needs' ? '' : 'quiet'}>{signalWords(s)}</td>
                    <td className="quiet">{s.def.ask}</td>
                  </tr>
                ))}
            </tbody>
          </table>
        </section>
      ))}
    </>
  );
}

const tabs = {
  links: 'Reconnect',
  circuits: 'Circuits',
  signals: 'Signals',
  tests: 'Earths and bench tests',
  rules: 'Routing and sizing',
} as const;

/** Fuel, cooling, electrics: sized, routed, labelled, tested on the bench before in the car. */
export default function ConnectBench() {
  const { plan } = useJob();
  const [tab, setTab] = useTab(tabs, 'circuits');
  const groups = [...new Set(practiceRules.map((r) => r.group))];
  return (
    <>
      <div className="bench-head">
        <h2>Circuits, earths, lines</h2>
      </div>
      <Tabs names={tabs} at={tab} to={setTab}>
        {tab === 'links' && (
          <>
            <Links of="on" />
            <Bags />
          </>
        )}
        {tab === 'circuits' && <Circuits />}
        {tab === 'signals' && <Signals />}
        {tab === 'tests' && (
          <>
            <Ticks
              title="Earths"
              items={earths.map((e) => ({
                id: e.id,
                title: `${e.earth}, ${e.size}`,
                detail: `${e.place}. Proof: ${e.proof}`,
              }))}
            />
            <Ticks
              title="Bench tests"
              items={plan.benchTests.map((t) => ({
                id: t.def.id,
                title: t.def.test,
                detail: `expect ${t.def.expect}. Finds: ${t.def.finds}`,
              }))}
            />
            <Ticks
              title="Coolant, fill and bleed"
              items={fillSteps.map((f) => ({ id: f.id, title: f.step, detail: `${f.number}. ${f.caution}` }))}
            />
          </>
        )}
        {tab === 'rules' &&
          [
            ...groups.map((g) => ({
              g,
              rows: practiceRules.filter((r) => r.group === g).map((r) => [r.rule, r.number, r.basis, r.why]),
            })),
            { g: 'What a label and its row say', rows: labelColumns.map((c) => [c.rule, c.content]) },
            { g: 'Heat', rows: heatMeans.map((h) => [h.means, h.use, 'common practice', h.caution]) },
          ].map(({ g, rows }) => (
            <section key={g}>
              <h3 className="group-title">{g}</h3>
              <table className="data">
                <tbody>
                  {rows.map((r) => (
                    <tr key={r[0]}>
                      <td>{r[0]}</td>
                      <td className="mono">{r[1]}</td>
                      <td className="quiet">{r[2]}</td>
                      <td className="quiet">{r[3]}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </section>
          ))}
      </Tabs>
    </>
  );
}
