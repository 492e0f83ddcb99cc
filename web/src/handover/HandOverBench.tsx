import { Button, TextInput, Textarea } from '@mantine/core';
import { useState } from 'react';
import { followUpDefs } from '@bay/core/commissioning';
import { parseMeasure } from '@bay/core/units';
import { newId, sentenceOf } from '../api/index.ts';
import { GateView } from '../commissioning/index.ts';
import { useChangeJob, useJob, usePut, useRecords } from '../sheet/index.ts';
import { dayWords, fromToday, MeasuredInput, Trouble } from '../ui/index.ts';
import { CustomerLinks } from './CustomerLinks.tsx';
import { ProvisionalList } from './ProvisionalList.tsx';

function OpenEnds() {
  const { plan, mayWrite } = useJob();
  const holds = Object.entries(useRecords('hold')).filter(([, h]) => !h.released);
  const put = usePut();
  const knockOns = plan.fits.filter((l) => l.knockOnOpen.length > 0);
  const cases = Object.values(useRecords('case')).filter((c) => !c.closed);
  const none = plan.provisional.length + holds.length + knockOns.length + cases.length === 0;
  return (
    <div className="panel">
      <h3>Open ends</h3>
      {none && <p className="teal">Nothing loose, borrowed, held or unasked.</p>}
      <ProvisionalList />
      <ul>
        {holds.map(([key, h]) => (
          <li key={key} className="row-actions">
            <span className="tag ochre">held</span>{' '}
            <span style={{ flex: 1 }}>
              waits for {h.waitsFor}
              {h.due ? `, due ${dayWords(h.due)}` : ''}
            </span>
            {mayWrite && (
              <button
                type="button"
                className="plain-button small"
                onClick={() => put.mutate({ kind: 'hold', key, data: { ...h, released: {} } })}
              >
                Release
              </button>
            )}
          </li>
        ))}
        {knockOns.map((l) => (
          <li key={l.def.id} className="row-actions">
            <span className="tag">not looked at</span> {l.knockOnOpen.length} knock-on checks of {l.def.title}
          </li>
        ))}
        {cases.map((c) => (
          <li key={c.symptom} className="row-actions">
            <span className="tag oxide">fault open</span> {c.symptom}
          </li>
        ))}
      </ul>
      <Trouble of={put} />
    </div>
  );
}

function FollowUps() {
  const { mayWrite } = useJob();
  const all = Object.entries(useRecords('follow-up'));
  const put = usePut();
  const [v, setV] = useState({ what: '', on: '', atKm: '' });
  const km = v.atKm.trim() === '' ? undefined : parseMeasure(v.atKm, 'km');
  const have = new Set(all.map(([, f]) => f.what));
  return (
    <div className="panel">
      <h3>Follow-ups</h3>
      <ul>
        {all.map(([key, f]) => (
          <li key={key} className="row-actions" style={f.done ? { color: 'var(--quiet)' } : undefined}>
            <span style={{ flex: 1 }}>
              {f.what}{' '}
              <span className="quiet">
                {[f.on ? `${dayWords(f.on)}, ${fromToday(f.on)}` : '', f.atKm ? `at ${f.atKm} km` : '']
                  .filter(Boolean)
                  .join(' or ')}
                {f.done ? ` done, ${f.done.by}` : !f.on && !f.atKm ? ' no trigger: an open end' : ''}
              </span>
            </span>
            {!f.done && mayWrite && (
              <button
                type="button"
                className="plain-button small"
                onClick={() => put.mutate({ kind: 'follow-up', key, data: { ...f, done: {} } })}
              >
                Done
              </button>
            )}
          </li>
        ))}
      </ul>
      {mayWrite && (
        <form
          onSubmit={(e) => {
            e.preventDefault();
            put.mutate(
              {
                kind: 'follow-up',
                key: newId(),
                data: { what: v.what, ...(v.on ? { on: v.on } : {}), ...(km?.ok ? { atKm: km.measure.value } : {}) },
                revision: 0,
              },
              { onSuccess: () => setV({ what: '', on: '', atKm: '' }) },
            );
          }}
        >
          <div className="fields">
            <TextInput label="What" value={v.what} onChange={(e) => setV({ ...v, what: e.currentTarget.value })} />
            <TextInput
              label="On"
              type="date"
              value={v.on}
              onChange={(e) => setV({ ...v, on: e.currentTarget.value })}
            />
            <MeasuredInput label="Or at" unit="km" value={v.atKm} onChange={(t) => setV({ ...v, atKm: t })} />
          </div>
          <Trouble of={put} />
          <div className="row-actions">
            <Button
              type="submit"
              variant="default"
              disabled={v.what.trim().length < 2 || (km !== undefined && !km.ok) || (!v.on && !km)}
              loading={put.isPending}
            >
              Add the follow-up
            </Button>
            {v.what && !v.on && !km && <span className="ochre">A follow-up needs a date or a distance.</span>}
          </div>
          <p className="quiet">Usual ones: </p>
          <div className="row-actions" style={{ marginTop: 0 }}>
            {followUpDefs
              .filter((d) => !have.has(d.what))
              .map((d) => (
                <button
                  key={d.id}
                  type="button"
                  className="plain-button small bare"
                  style={{ textAlign: 'left' }}
                  onClick={() =>
                    setV({
                      ...v,
                      what: d.what.slice(0, 200),
                      atKm: /(\d+) km/.exec(d.trigger)?.[1] ? `${/(\d+) km/.exec(d.trigger)![1]} km` : '',
                    })
                  }
                >
                  {d.trigger}: {d.what}
                </button>
              ))}
          </div>
        </form>
      )}
    </div>
  );
}

function Sign() {
  const { sheet, plan, mayWrite } = useJob();
  const changing = useChangeJob();
  const put = usePut();
  const [statement, setStatement] = useState('');
  const gate = plan.gates.find((g) => g.gate === 'Hand over')!;
  if (sheet.job.closedAt) return <p className="notice">Handed over on {dayWords(sheet.job.closedAt)}.</p>;
  if (!mayWrite) return null;
  return (
    <form
      className="panel"
      onSubmit={(e) => {
        e.preventDefault();
        put.mutate(
          { kind: 'signature', key: 'hand-over', data: { what: 'Hand over', statement } },
          { onSuccess: () => changing.mutate({ signStation: 'hand-over' }) },
        );
      }}
    >
      <h3>Sign the hand over</h3>
      {!gate.opens && (
        <p className="ochre">
          {gate.of - gate.proved} of {gate.of} lines of the gate are open.
        </p>
      )}
      <Textarea
        label="What was told and given to the customer"
        value={statement}
        onChange={(e) => setStatement(e.currentTarget.value)}
      />
      {(put.isError || changing.isError) && (
        <p role="alert" className="oxide">
          {sentenceOf(put.error ?? changing.error)}
        </p>
      )}
      <div className="row-actions">
        <Button
          type="submit"
          disabled={!gate.opens || statement.trim().length < 5}
          loading={put.isPending || changing.isPending}
        >
          Hand over
        </Button>
      </div>
    </form>
  );
}

/** Open ends, follow-ups with a trigger, the last gate, the signature. */
export default function HandOverBench() {
  const { plan } = useJob();
  return (
    <>
      <div className="bench-head">
        <h2>Hand over</h2>
      </div>
      <OpenEnds />
      <FollowUps />
      <CustomerLinks />
      <div className="panel">
        <h3 style={{ marginBottom: 8 }}>The last gate</h3>
        <GateView gate={plan.gates.find((g) => g.gate === 'Hand over')!} />
      </div>
      <Sign />
    </>
  );
}
