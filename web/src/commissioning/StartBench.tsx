import { byTime } from '@bay/core/rules';
import type { AttemptRecord, PrimingRecord } from '@bay/core/commissioning';
import { Button, Select, Textarea, TextInput } from '@mantine/core';
import { lazy, Suspense, useState } from 'react';
import { useSearchParams } from 'react-router';
import { heatCycles, primingWayIds, primingWays, roadTest, startSequence, warmUpWatch } from '@bay/core/commissioning';
import { formatMeasure } from '@bay/core/units';
import { SecondSignature } from '../crew/index.ts';
import { Diagnosis } from '../diagnosis/index.ts';
import { Fluids } from '../fluids/index.ts';
import { useJob, useRecordForm, useRecords } from '../sheet/index.ts';
import { JobSchools } from '../schools/index.ts';
import {
  dayWords,
  Form,
  FormDialog,
  measured,
  MeasuredInput,
  RangeBand,
  Tabs,
  timeWords,
  useTab,
  words,
} from '../ui/index.ts';
import { GateView } from './GateView.tsx';
import { WarmUp } from './WarmUp.tsx';

const CurveChart = lazy(() => import('../ui/CurveChart.tsx'));

const results = {
  'no-crank': 'Does not crank',
  'cranks-no-fire': 'Cranks, no fire',
  'fires-and-dies': 'Fires and dies',
  runs: 'Runs',
} as const;

const deviationOf = (why: string): { deviation?: { why: string } } =>
  why.trim() === '' ? {} : { deviation: { why: why.trim() } };

/** With a gate shut it wants its reason, and a second person. */
function WithGateShut({ gates, field }: { gates: readonly string[]; field: React.ComponentProps<typeof TextInput> }) {
  const { plan } = useJob();
  const shut = plan.gates.filter((g) => gates.includes(g.gate) && !g.opens);
  if (shut.length === 0) return null;
  return (
    <>
      <p className="oxide">
        {shut.map((g) => `${g.of - g.proved} of ${g.of} lines stand before "${g.gate}"`).join('; ')}. Prove them first.
      </p>
      <TextInput
        label="It was done all the same, because"
        description="A sentence; it stays in the record with what stood, and a second person signs it."
        {...field}
      />
    </>
  );
}

/** What was done with a gate shut: why, and the second signature it waits for. */
function OutOfOrder({
  kind,
  of,
  what,
}: {
  kind: 'attempt' | 'priming';
  of: AttemptRecord | PrimingRecord;
  what: string;
}) {
  const { sheet, mayWrite } = useJob();
  if (!of.deviation) return null;
  const row = sheet.records.find((r) => r.kind === kind && r.data === of);
  return (
    <>
      <p className="oxide">With a gate shut: {of.deviation.why}</p>
      {!of.second && row && mayWrite && (
        <SecondSignature
          of={{ jobId: sheet.job.id, kind, key: row.key, revision: row.revision, firstId: of.deviation.byId, what }}
        />
      )}
    </>
  );
}

function PrimingForm() {
  const { plan } = useJob();
  const school = plan.facts.get('cho-oil-priming')?.parts['value'];
  const form = useRecordForm({
    kind: 'priming',
    initial: {
      way: typeof school === 'string' ? school : null,
      bar: '',
      seconds: '',
      note: '',
      why: '',
    },
    names: { 'deviation.why': 'why', deviation: 'why' },
    sent: (v) => ({
      ...deviationOf(v.why),
      way: v.way,
      bar: measured(v.bar, 'bar'),
      seconds: measured(v.seconds, 's'),
      note: words(v.note),
    }),
  });
  const chosen = primingWays.find((w) => w.value !== undefined && w.value === form.values.way);
  return (
    <Form of={form} submit="Log the pressure" send={form.send} after={form.startAnew}>
      <div className="fields">
        <Select
          label="Way"
          data={primingWayIds.map((w) => ({ value: w, label: w.replaceAll('-', ' ') }))}
          {...form.field('way')}
        />
        <MeasuredInput label="Pressure shown" unit="bar" {...form.field('bar')} />
        <MeasuredInput label="Time to rise" unit="s" {...form.field('seconds')} />
        <TextInput label="Note" {...form.field('note')} />
      </div>
      {chosen && (
        <p>
          <b>How far:</b> {chosen.stop}
        </p>
      )}
      {form.values.way === 'crank-without-fuel-and-spark' && (
        <WithGateShut gates={['First crank']} field={form.field('why')} />
      )}
    </Form>
  );
}

function AttemptForm({ number, close }: { number: number; close: () => void }) {
  const form = useRecordForm({
    kind: 'attempt',
    key: String(number),
    initial: {
      result: null as AttemptRecord['result'] | null,
      seconds: '',
      volts: '',
      rpm: '',
      heard: '',
      change: '',
      why: '',
    },
    names: { 'deviation.why': 'why', deviation: 'why' },
    sent: (v) => ({
      ...deviationOf(v.why),
      number,
      seconds: measured(v.seconds, 's'),
      result: v.result,
      volts: measured(v.volts, 'V'),
      rpm: measured(v.rpm, 'rpm'),
      heard: words(v.heard),
      change: words(v.change),
    }),
  });
  const seconds = measured(form.values.seconds, 's');
  return (
    <FormDialog
      title={`Attempt ${number}`}
      size="lg"
      submit="Write the attempt"
      of={form}
      send={form.send}
      close={close}
    >
      <p className="oxide">
        At most 10 s, then 60 s of rest. Hands, sleeves and tools clear; second person at the stop; extinguisher in
        reach; gas led outside.
      </p>
      <div className="fields">
        <Select
          label="What it did"
          data={Object.entries(results).map(([value, label]) => ({ value, label }))}
          {...form.field('result')}
        />
        <MeasuredInput label="Cranked for" unit="s" autoFocus {...form.field('seconds')} />
        <MeasuredInput label="Battery while cranking" unit="V" {...form.field('volts')} />
        <MeasuredInput label="Engine speed" unit="rpm" {...form.field('rpm')} />
        <TextInput label="Heard, smelt, seen" {...form.field('heard')} />
        <TextInput label="The one change since the last" {...form.field('change')} />
      </div>
      {typeof seconds === 'number' && seconds > 10 && (
        <p className="ochre">Over 10 s of cranking heats the starter and washes the bores.</p>
      )}
      <WithGateShut gates={['First crank', 'First start']} field={form.field('why')} />
    </FormDialog>
  );
}

function Primings() {
  const { mayWrite } = useJob();
  const primings = Object.values(useRecords('priming')).sort(byTime);
  // Each try rises from nothing to what it reached; what stood there at once has no curve.
  const rises = primings
    .filter((p) => p.seconds > 0)
    .map((p, i) => ({
      name: `try ${i + 1}`,
      points: [
        { x: 0, y: 0 },
        { x: p.seconds, y: p.bar },
      ],
    }));
  return (
    <div className="panel">
      <h3>Oil pressure before spark</h3>
      <JobSchools ids={['sch-prime']} />
      {primings.map((p) => (
        <div key={p.at} className="mono" style={{ padding: '3px 0' }}>
          {formatMeasure(p.bar, 'bar')} after {p.seconds} s, {p.way.replaceAll('-', ' ')}{' '}
          <span className="quiet">
            {p.by}, {p.at ? `${dayWords(p.at)} ${timeWords(p.at)}` : ''} {p.note}
          </span>
          <OutOfOrder kind="priming" of={p} what="Oil pressure before spark, with a gate shut" />
        </div>
      ))}
      {rises.length > 0 && (
        <Suspense fallback={<div className="loading-figure" />}>
          <CurveChart curves={rises} x="s" y="bar" height={180} />
        </Suspense>
      )}
      {primings.length === 0 && <p className="ochre">No number, no start.</p>}
      {mayWrite && <PrimingForm />}
    </div>
  );
}

function Attempts({ find }: { find: () => void }) {
  const { plan, mayWrite } = useJob();
  const attempts = Object.values(useRecords('attempt')).sort((a, b) => a.number - b.number);
  const crank = plan.gates.find((g) => g.gate === 'First crank')!;
  const start = plan.gates.find((g) => g.gate === 'First start')!;
  const opens = crank.opens && start.opens;
  const [asking, setAsking] = useState(false);
  const failed = attempts.slice(-3).filter((a) => a.result !== 'runs').length;
  return (
    <div className="panel">
      <div className="bench-head">
        <h3>Start attempts</h3>
        {mayWrite && (
          <span className="right">
            <Button variant={opens ? 'filled' : 'default'} onClick={() => setAsking(true)}>
              Log an attempt
            </Button>
          </span>
        )}
      </div>
      {!opens && (
        <p className="ochre">
          Gate first: {crank.opens ? '' : `first crank ${crank.proved} of ${crank.of}`}
          {!crank.opens && !start.opens ? ', ' : ''}
          {start.opens ? '' : `first start ${start.proved} of ${start.of}`}.
        </p>
      )}
      {attempts.map((a) => (
        <div key={a.number} style={{ padding: '4px 0', borderBottom: '1px solid var(--line)' }}>
          <b>
            {a.number}. {results[a.result]}
          </b>{' '}
          <span className="mono">
            {a.seconds} s{a.volts === undefined ? '' : `, ${a.volts} V`}
            {a.rpm === undefined ? '' : `, ${a.rpm} rpm`}
          </span>{' '}
          {[a.heard, a.change ? `change: ${a.change}` : ''].filter(Boolean).join(', ')}{' '}
          <span className="quiet">
            {a.by}, {a.at ? `${dayWords(a.at)} ${timeWords(a.at)}` : ''}
          </span>
          <OutOfOrder kind="attempt" of={a} what={`Start attempt ${a.number}, with a gate shut`} />
        </div>
      ))}
      {attempts.length > 0 && attempts.at(-1)!.result !== 'runs' && (
        <div className={`notice ${failed >= 3 ? 'oxide-notice' : 'ochre-notice'}`} style={{ marginTop: 10 }}>
          {failed >= 3 ? (
            <b>Three attempts without running: do not crank on.</b>
          ) : (
            'It does not run yet. One change a trial, written.'
          )}{' '}
          <button type="button" className="plain-button small bare" onClick={find}>
            Find the fault
          </button>
        </div>
      )}
      {asking && <AttemptForm number={attempts.length + 1} close={() => setAsking(false)} />}
    </div>
  );
}

function SignedStart() {
  const { mayWrite, plan } = useJob();
  const attempts = Object.values(useRecords('attempt')).sort((a, b) => a.number - b.number);
  const signature = useRecords('signature')['first-start'];
  const form = useRecordForm({
    kind: 'signature',
    key: 'first-start',
    initial: { statement: '' },
    sent: ({ statement }) => ({ what: 'First start', statement }),
  });
  const runs = attempts.at(-1)?.result === 'runs';
  const gates = plan.gates.filter((g) => g.gate === 'First crank' || g.gate === 'First start');
  if (signature)
    return (
      <p className="notice">
        First start signed by {signature.by}, {signature.at ? dayWords(signature.at) : ''}: {signature.statement}
      </p>
    );
  if (!runs || !mayWrite) return null;
  return (
    <Form
      className="panel"
      of={form}
      submit="Sign the first start"
      disabled={gates.some((g) => !g.opens)}
      send={form.send}
    >
      <h3>It runs</h3>
      {gates.some((g) => !g.opens) && (
        <p className="ochre">
          Gates open first:{' '}
          {gates
            .filter((g) => !g.opens)
            .map((g) => g.gate.toLowerCase())
            .join(', ')}
          .
        </p>
      )}
      <Textarea
        label="Oil pressure at idle, leaks, noises, temperature: what you sign for"
        {...form.field('statement')}
      />
    </Form>
  );
}

const tabs = {
  gates: 'Gates',
  fluids: 'Fluids',
  attempts: 'Pressure and attempts',
  find: 'Find the fault',
  sequence: 'First start, in order',
  after: 'After it runs',
} as const;

/** Gates, oil pressure, attempts, and the search for the fault. */
export default function StartBench() {
  const { plan, sheet } = useJob();
  const [params, setParams] = useSearchParams();
  const lastFailed = sheet.records.some((r) => r.kind === 'case' && !r.data['closed']);
  const [tab] = useTab(tabs, lastFailed ? 'find' : 'gates');
  const gates = plan.gates.filter((g) => g.gate !== 'Hand over');
  const gateAt = params.get('gate') ?? gates.find((g) => !g.opens)?.gate ?? 'First crank';
  const to = (next: Record<string, string>) => setParams(next, { replace: true });
  return (
    <>
      <div className="bench-head">
        <h2>{tab === 'find' ? 'Why does it not run?' : 'Oil before spark, spark before load'}</h2>
      </div>
      <Tabs names={tabs} at={tab} to={(id) => to({ tab: id })}>
        {tab === 'fluids' && <Fluids />}
        {tab === 'gates' && (
          <>
            <div className="counts">
              {gates.map((gate) => {
                const name = gate.gate;
                return (
                  <button
                    key={name}
                    type="button"
                    aria-pressed={gateAt === name}
                    onClick={() => to({ tab: 'gates', gate: name })}
                  >
                    <b>
                      {gate.proved}/{gate.of}
                    </b>{' '}
                    {name}
                  </button>
                );
              })}
            </div>
            <GateView gate={gates.find((g) => g.gate === gateAt) ?? gates[0]!} />
          </>
        )}
        {tab === 'attempts' && (
          <>
            <Primings />
            <Attempts find={() => to({ tab: 'find' })} />
            <SignedStart />
          </>
        )}
        {tab === 'find' && <Diagnosis />}
        {tab === 'sequence' && (
          <ol>
            {startSequence.map((s, i) => (
              <li key={s.id} className="step free">
                <span className="mono quiet">{i + 1}</span>
                <div>
                  <p className="title">{s.action}</p>
                  <p className="meta">
                    {s.howLong}. Watch: {s.watch}
                  </p>
                  <p className="caution">Stop when: {s.stopWhen}</p>
                </div>
              </li>
            ))}
          </ol>
        )}
        {tab === 'after' && (
          <>
            <WarmUp />
            <h3 className="group-title">While it warms up</h3>
            <div className="scroll-x">
              <table className="data">
                <thead>
                  <tr>
                    <th>Watch</th>
                    <th>Goes on</th>
                    <th>Look, shorten the run</th>
                    <th>Stop</th>
                  </tr>
                </thead>
                <tbody>
                  {warmUpWatch.map((w) => (
                    <tr key={w.id}>
                      <td>
                        {w.watch}
                        {w.range && <RangeBand range={w.range} label={w.watch} />}
                      </td>
                      <td>{w.green}</td>
                      <td className="ochre">{w.amber}</td>
                      <td className="oxide">{w.red}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
            <h3 className="group-title">Heat cycles and early changes</h3>
            <ul>
              {heatCycles.map((h) => (
                <li key={h.id} style={{ padding: '5px 0' }}>
                  <b>{h.when}</b>: {h.what} <span className="quiet">{h.basis}</span>
                </li>
              ))}
            </ul>
            <h3 className="group-title">Road test</h3>
            <ul>
              {roadTest.map((r) => (
                <li key={r.id} style={{ padding: '5px 0' }}>
                  {r.action}. <span className="quiet">Watch: {r.watch}.</span>{' '}
                  <span className="oxide">Stop: {r.stopWhen}</span>
                </li>
              ))}
            </ul>
          </>
        )}
      </Tabs>
    </>
  );
}
