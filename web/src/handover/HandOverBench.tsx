import { counted } from '@bay/core/units';
import { TextInput, Textarea } from '@mantine/core';
import { followUpDefs, gatesOfStation } from '@bay/core/commissioning';
import { GateView } from '../commissioning/index.ts';
import { useChangeJob, useJob, usePut, useRecordForm, useRecords } from '../sheet/index.ts';
import { dayAfter, dayWords, Form, fromToday, measured, MeasuredInput, Trouble, words } from '../ui/index.ts';
import { DateField } from '../ui/DateField.tsx';
import { Works } from '../arrival/index.ts';
import { BeforeAfter } from './BeforeAfter.tsx';
import { Runs } from './Runs.tsx';
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
            <span className="tag">not looked at</span> {counted(l.knockOnOpen.length, 'knock-on check')} of{' '}
            {l.def.title}
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

function FollowUpForm({ have }: { have: ReadonlySet<string> }) {
  const form = useRecordForm({
    kind: 'follow-up',
    initial: { what: '', on: '', atKm: '', occasion: '' },
    sent: (v) => ({ what: v.what, on: words(v.on), atKm: measured(v.atKm, 'km'), occasion: words(v.occasion) }),
  });
  const { what, on, atKm, occasion } = form.values;
  const noTrigger = on === '' && atKm.trim() === '' && occasion.trim() === '';
  return (
    <Form
      of={form}
      submit="Add the follow-up"
      variant="default"
      disabled={noTrigger}
      send={form.send}
      after={form.startAnew}
      beside={what && noTrigger && <span className="ochre">A follow-up needs a date, a distance or an occasion.</span>}
    >
      <div className="fields">
        <TextInput label="What" {...form.field('what')} />
        <DateField label="On" {...form.field('on')} />
        <MeasuredInput label="Or at" unit="km" {...form.field('atKm')} />
        <TextInput label="Or when" placeholder="the engine is out again" {...form.field('occasion')} />
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
                form.set({
                  what: d.what.slice(0, 200),
                  atKm: d.atKm === undefined ? '' : `${d.atKm} km`,
                  on: d.afterDays === undefined ? '' : dayAfter(d.afterDays),
                  occasion: d.atKm === undefined && d.afterDays === undefined ? d.trigger : '',
                })
              }
            >
              {d.trigger}: {d.what}
            </button>
          ))}
      </div>
    </Form>
  );
}

function FollowUps() {
  const { mayWrite } = useJob();
  const all = Object.entries(useRecords('follow-up'));
  const put = usePut();
  return (
    <div className="panel">
      <h3>Follow-ups</h3>
      <ul>
        {all.map(([key, f]) => (
          <li key={key} className="row-actions" style={f.done ? { color: 'var(--quiet)' } : undefined}>
            <span style={{ flex: 1 }}>
              {f.what}{' '}
              <span className="quiet">
                {[
                  f.on ? `${dayWords(f.on)}, ${fromToday(f.on)}` : '',
                  f.atKm ? `at ${f.atKm} km` : '',
                  f.occasion ?? '',
                ]
                  .filter(Boolean)
                  .join(' or ')}
                {f.done ? ` done, ${f.done.by}` : !f.on && !f.atKm && !f.occasion ? ' no trigger: an open end' : ''}
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
      {mayWrite && <FollowUpForm have={new Set(all.map(([, f]) => f.what))} />}
    </div>
  );
}

function Sign() {
  const { sheet, plan, mayWrite } = useJob();
  const changing = useChangeJob();
  const form = useRecordForm({
    kind: 'signature',
    key: 'hand-over',
    initial: { statement: '' },
    sent: ({ statement }) => ({ what: 'Hand over', statement }),
  });
  const shut = plan.gates.filter((g) => gatesOfStation['hand-over'].includes(g.gate) && !g.opens);
  if (sheet.job.closedAt) return <p className="notice">Handed over on {dayWords(sheet.job.closedAt)}.</p>;
  if (!mayWrite) return null;
  return (
    <Form
      className="panel"
      of={form}
      submit="Hand over"
      disabled={shut.length > 0}
      send={async (data) => {
        await form.send(data);
        await changing.mutateAsync({ signStation: 'hand-over' });
      }}
    >
      <h3>Sign the hand over</h3>
      {shut.map((g) => (
        <p key={g.gate} className="ochre">
          {g.of - g.proved} of {counted(g.of, 'line')} before "{g.gate}" not proved.
        </p>
      ))}
      <Textarea label="What was told and given to the customer" {...form.field('statement')} />
    </Form>
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
      <BeforeAfter />
      <Runs />
      <section className="panel" aria-label="What works">
        <h3>What worked when it came</h3>
        <Works goes />
      </section>
      <CustomerLinks />
      <div className="panel">
        <h3 style={{ marginBottom: 8 }}>The last gate</h3>
        <GateView gate={plan.gates.find((g) => g.gate === 'Hand over')!} />
      </div>
      <Sign />
    </>
  );
}
