import type { AttemptRecord } from '@bay/core/commissioning';
import { Button, Modal, Select, Textarea, TextInput } from '@mantine/core';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { gateNames, heatCycles, primingWays, roadTest, startSequence, warmUpWatch } from '@bay/core/commissioning';
import { formatMeasure, parseMeasure } from '@bay/core/units';
import { newId } from '../api/index.ts';
import { Diagnosis } from '../diagnosis/index.ts';
import { useJob, usePut, useRecords } from '../sheet/index.ts';
import { JobSchools } from '../schools/index.ts';
import { dayWords, MeasuredInput, Tabs, timeWords, Trouble } from '../ui/index.ts';
import { GateView } from './GateView.tsx';

const results = {
  'no-crank': 'Does not crank',
  'cranks-no-fire': 'Cranks, no fire',
  'fires-and-dies': 'Fires and dies',
  runs: 'Runs',
} as const;

const num = (typed: string, unit: string): number | undefined => {
  const m = typed.trim() === '' ? undefined : parseMeasure(typed, unit);
  return m?.ok ? m.measure.value : undefined;
};

function Primings() {
  const { plan, mayWrite } = useJob();
  const primings = Object.values(useRecords('priming')).sort((a, b) => ((a.at ?? '') < (b.at ?? '') ? -1 : 1));
  const put = usePut();
  const school = plan.facts.get('cho-oil-priming')?.parts['value'];
  const [v, setV] = useState({
    way: typeof school === 'string' ? school : 'crank-without-fuel-and-spark',
    bar: '',
    seconds: '',
    note: '',
  });
  const bar = num(v.bar, 'bar');
  const seconds = num(v.seconds, 's');
  const way = primingWays.find((w) => w.way.includes(v.way));
  return (
    <div className="panel">
      <h3>Oil pressure before spark</h3>
      <JobSchools ids={['sch-prime']} />
      {primings.map((p) => (
        <p key={p.at} className="mono" style={{ padding: '3px 0' }}>
          {formatMeasure(p.bar, 'bar')} after {p.seconds} s, {p.way.replaceAll('-', ' ')}{' '}
          <span className="quiet">
            {p.by}, {p.at ? `${dayWords(p.at)} ${timeWords(p.at)}` : ''} {p.note}
          </span>
        </p>
      ))}
      {primings.length === 0 && <p className="ochre">No number, no start.</p>}
      {mayWrite && (
        <form
          onSubmit={(e) => {
            e.preventDefault();
            put.mutate(
              {
                kind: 'priming',
                key: newId(),
                data: { way: v.way, bar, seconds, ...(v.note ? { note: v.note } : {}) },
                revision: 0,
              },
              { onSuccess: () => setV({ ...v, bar: '', seconds: '', note: '' }) },
            );
          }}
        >
          <div className="fields">
            <Select
              label="Way"
              data={['crank-without-fuel-and-spark', 'external-pressure', 'pump-drive', 'hand-turn-only'].map((w) => ({
                value: w,
                label: w.replaceAll('-', ' '),
              }))}
              value={v.way}
              onChange={(w) => setV({ ...v, way: w ?? v.way })}
            />
            <MeasuredInput label="Pressure shown" unit="bar" value={v.bar} onChange={(t) => setV({ ...v, bar: t })} />
            <MeasuredInput
              label="Time to rise"
              unit="s"
              value={v.seconds}
              onChange={(t) => setV({ ...v, seconds: t })}
            />
            <TextInput label="Note" value={v.note} onChange={(e) => setV({ ...v, note: e.currentTarget.value })} />
          </div>
          {way && <p className="caution oxide">Stop: {way.stop}</p>}
          <Trouble of={put} />
          <div className="row-actions">
            <Button type="submit" disabled={bar === undefined || seconds === undefined} loading={put.isPending}>
              Log the pressure
            </Button>
          </div>
        </form>
      )}
    </div>
  );
}

function Attempts({ find }: { find: () => void }) {
  const { plan, mayWrite } = useJob();
  const attempts = Object.values(useRecords('attempt')).sort((a, b) => a.number - b.number);
  const put = usePut();
  const crank = plan.gates.find((g) => g.gate === 'First crank')!;
  const start = plan.gates.find((g) => g.gate === 'First start')!;
  const opens = crank.opens && start.opens;
  const [asking, setAsking] = useState(false);
  const [v, setV] = useState({
    seconds: '',
    result: 'cranks-no-fire' as AttemptRecord['result'],
    volts: '',
    rpm: '',
    heard: '',
    change: '',
  });
  const failed = attempts.slice(-3).filter((a) => a.result !== 'runs').length;
  const seconds = num(v.seconds, 's');
  return (
    <div className="panel">
      <div className="bench-head">
        <h3>Start attempts</h3>
        {mayWrite && (
          <span className="right">
            <Button disabled={!opens} onClick={() => setAsking(true)}>
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
        <p key={a.number} style={{ padding: '4px 0', borderBottom: '1px solid var(--line)' }}>
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
        </p>
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
      {asking && (
        <Modal opened onClose={() => setAsking(false)} title={`AttemptRecord ${attempts.length + 1}`} size="lg">
          <p className="oxide">
            At most 10 s, then 60 s of rest. Hands, sleeves and tools clear; second person at the stop; extinguisher in
            reach; gas led outside.
          </p>
          <form
            onSubmit={(e) => {
              e.preventDefault();
              const number = attempts.length + 1;
              put.mutate(
                {
                  kind: 'attempt',
                  key: String(number),
                  data: {
                    number,
                    seconds,
                    result: v.result,
                    volts: num(v.volts, 'V'),
                    rpm: num(v.rpm, 'rpm'),
                    heard: v.heard || undefined,
                    change: v.change || undefined,
                  },
                  revision: 0,
                },
                {
                  onSuccess: () => {
                    setAsking(false);
                    setV({ seconds: '', result: 'cranks-no-fire', volts: '', rpm: '', heard: '', change: '' });
                  },
                },
              );
            }}
          >
            <div className="fields">
              <Select
                label="What it did"
                data={Object.entries(results).map(([value, label]) => ({ value, label }))}
                value={v.result}
                onChange={(r) => setV({ ...v, result: (r ?? v.result) as AttemptRecord['result'] })}
              />
              <MeasuredInput
                label="Cranked for"
                unit="s"
                value={v.seconds}
                onChange={(t) => setV({ ...v, seconds: t })}
                autoFocus
              />
              <MeasuredInput
                label="Battery while cranking"
                unit="V"
                value={v.volts}
                onChange={(t) => setV({ ...v, volts: t })}
              />
              <MeasuredInput label="Engine speed" unit="rpm" value={v.rpm} onChange={(t) => setV({ ...v, rpm: t })} />
              <TextInput
                label="Heard, smelt, seen"
                value={v.heard}
                onChange={(e) => setV({ ...v, heard: e.currentTarget.value })}
              />
              <TextInput
                label="The one change since the last"
                value={v.change}
                onChange={(e) => setV({ ...v, change: e.currentTarget.value })}
              />
            </div>
            {(seconds ?? 0) > 10 && (
              <p className="ochre">Over 10 s of cranking heats the starter and washes the bores.</p>
            )}
            <Trouble of={put} />
            <div className="row-actions">
              <Button type="submit" disabled={seconds === undefined || seconds > 60} loading={put.isPending}>
                Write the attempt
              </Button>
            </div>
          </form>
        </Modal>
      )}
    </div>
  );
}

function SignedStart() {
  const { mayWrite, plan } = useJob();
  const attempts = Object.values(useRecords('attempt')).sort((a, b) => a.number - b.number);
  const signature = useRecords('signature')['first-start'];
  const put = usePut();
  const [statement, setStatement] = useState('');
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
    <form
      className="panel"
      onSubmit={(e) => {
        e.preventDefault();
        put.mutate({ kind: 'signature', key: 'first-start', data: { what: 'First start', statement } });
      }}
    >
      <h3>It runs</h3>
      <Textarea
        label="Oil pressure at idle, leaks, noises, temperature: what you sign for"
        value={statement}
        onChange={(e) => setStatement(e.currentTarget.value)}
      />
      <Trouble of={put} />
      <div className="row-actions">
        <Button
          type="submit"
          disabled={statement.trim().length < 5 || gates.some((g) => !g.opens)}
          loading={put.isPending}
        >
          Sign the first start
        </Button>
      </div>
    </form>
  );
}

const listTabs = { sequence: 'First start, in order', after: 'After it runs' } as const;

/** Gates, oil pressure, attempts, and the search for the fault. */
export default function StartBench() {
  const { plan, sheet } = useJob();
  const [params, setParams] = useSearchParams();
  const lastFailed = sheet.records.some((r) => r.kind === 'case' && !r.data['closed']);
  const tab = params.get('tab') ?? (lastFailed ? 'find' : 'gates');
  const gateAt =
    params.get('gate') ?? plan.gates.find((g) => !g.opens && g.gate !== 'Hand over')?.gate ?? 'First crank';
  const to = (next: Record<string, string>) => setParams(next, { replace: true });
  const tabs = {
    gates: 'Gates',
    attempts: 'Pressure and attempts',
    find: 'Find the fault',
    ...listTabs,
  };
  return (
    <>
      <div className="bench-head">
        <h2>{tab === 'find' ? 'Why does it not run?' : 'Oil before spark, spark before load'}</h2>
      </div>
      <Tabs names={tabs} at={tab} to={(id) => to({ tab: id })}>
        {tab === 'gates' && (
          <>
            <div className="counts">
              {gateNames.slice(0, 5).map((name) => {
                const gate = plan.gates.find((g) => g.gate === name)!;
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
            <GateView gate={plan.gates.find((g) => g.gate === gateAt)!} />
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
                      <td>{w.watch}</td>
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
