import { Button, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { jointWords, proofOf, shiftWords } from '@bay/core/donors';
import type { ProofRunRecord } from '@bay/core/donors';
import { formatMeasure } from '@bay/core/units';
import { SignHere } from '../arrival/index.ts';
import { useJob, useRecordForm, useRecords } from '../sheet/index.ts';
import { DateField } from '../ui/DateField.tsx';
import { dayWords, FormDialog, measured, MeasuredInput, today, words } from '../ui/index.ts';

const shifts: Readonly<Record<(typeof shiftWords)[number], string>> = {
  well: 'Shifts well',
  badly: 'Shifts badly',
  'not-tried': 'Not tried',
};
const joints: Readonly<Record<(typeof jointWords)[number], string>> = {
  dry: 'Dry',
  weeps: 'Weeps',
  leaks: 'Leaks',
  'not-looked': 'Nobody looked',
};
const typed = (value: number | undefined, unit: string, digits: number): string =>
  value === undefined ? '' : formatMeasure(value, unit, digits);

export function ProofForm({
  recordKey,
  now,
  close,
}: {
  recordKey: string | undefined;
  now: ProofRunRecord | undefined;
  close: () => void;
}) {
  const form = useRecordForm({
    kind: 'proof-run',
    key: recordKey,
    about: recordKey ?? 'proof',
    initial: {
      on: now?.on ?? today(),
      minutes: now?.minutes === undefined ? '' : String(now.minutes),
      km: typed(now?.km, 'km', 1),
      odometer: typed(now?.odometerKm, 'km', 0),
      coolant: typed(now?.coolantC, '°C', 0),
      cold: typed(now?.oilColdBar, 'bar', 1),
      hot: typed(now?.oilHotBar, 'bar', 1),
      codes: now?.codes ?? '',
      shifts: now?.shifts ?? ('not-tried' as const),
      joints: now?.joints ?? ('not-looked' as const),
      seen: now?.seen ?? '',
      film: now?.film ?? '',
    },
    sent: (v) => ({
      on: v.on,
      minutes: v.minutes.trim() === '' ? undefined : Number(v.minutes.replace(',', '.')),
      km: measured(v.km, 'km'),
      odometerKm: measured(v.odometer, 'km'),
      coolantC: measured(v.coolant, '°C'),
      oilColdBar: measured(v.cold, 'bar'),
      oilHotBar: measured(v.hot, 'bar'),
      codes: words(v.codes),
      shifts: v.shifts,
      joints: v.joints,
      seen: words(v.seen),
      film: words(v.film),
      ...(now?.signed ? { signed: now.signed } : {}),
    }),
    names: { odometerKm: 'odometer', coolantC: 'coolant', oilColdBar: 'cold', oilHotBar: 'hot' },
  });
  return (
    <FormDialog
      title="It runs, before anything is off"
      submit="Keep the run"
      size="lg"
      of={form}
      send={form.send}
      close={close}
    >
      <p className="caution">
        Exhaust gas: open air or extraction. A fan turns. A crashed car is driven on private ground, slowly.
      </p>
      <div className="fields">
        <DateField label="Run on" past {...form.field('on')} />
        <TextInput label="Ran, minutes" inputMode="decimal" data-autofocus {...form.field('minutes')} />
        <MeasuredInput label="Driven" unit="km" {...form.field('km')} />
        <MeasuredInput label="Odometer then" unit="km" {...form.field('odometer')} />
        <MeasuredInput label="Coolant, hottest" unit="°C" {...form.field('coolant')} />
        <MeasuredInput label="Oil pressure cold" unit="bar" {...form.field('cold')} />
        <MeasuredInput label="Oil pressure hot at idle" unit="bar" {...form.field('hot')} />
        <TextInput label="Codes, or none" {...form.field('codes')} />
        <Select
          label="Gearbox"
          data={shiftWords.map((value) => ({ value, label: shifts[value] }))}
          allowDeselect={false}
          {...form.field('shifts')}
        />
        <Select
          label="Its joints"
          data={jointWords.map((value) => ({ value, label: joints[value] }))}
          allowDeselect={false}
          {...form.field('joints')}
        />
        <TextInput label="Smoke, noises, compression" {...form.field('seen')} />
        <TextInput label="Where the film of it lies" {...form.field('film')} />
      </div>
      {now?.signed && <p className="ochre">A change lets the name under it fall: it is signed anew.</p>}
    </FormDialog>
  );
}

export function SignProofForm({
  recordKey,
  now,
  close,
}: {
  recordKey: string;
  now: ProofRunRecord;
  close: () => void;
}) {
  const form = useRecordForm({
    kind: 'proof-run',
    key: recordKey,
    about: 'name under the run',
    initial: { name: '', strokes: [] as [number, number][][] },
    sent: (v) => ({ ...now, signed: { name: v.name, strokes: v.strokes } }),
    names: { 'signed.name': 'name', 'signed.strokes': 'strokes' },
    merges: true,
  });
  const strokes = form.field('strokes');
  return (
    <FormDialog title="Buyer or partner signs" submit="Signed" size="lg" of={form} send={form.send} close={close}>
      <p>It says what was read of the run. It goes with engine and gearbox.</p>
      <TextInput label="Name" data-autofocus {...form.field('name')} />
      <SignHere strokes={strokes.value} set={strokes.onChange} error={strokes.error} />
    </FormDialog>
  );
}

/** The run of the donor before it is taken apart: figures, what is missing for a proof, what speaks against it, a name under it. */
export function ProofRun() {
  const { sheet, mayWrite } = useJob();
  const runs = Object.entries(useRecords('proof-run'));
  const [editing, setEditing] = useState<'new' | string>();
  const [signing, setSigning] = useState<string>();
  if (!sheet.units.some((u) => u.role === 'engine')) return null;
  return (
    <section className="panel" aria-label="Proof that it runs">
      <div className="bench-head">
        <h3>Proof that it runs</h3>
        <span className="quiet">
          {runs.length === 0 ? 'before anything is taken off; it goes with the engine' : ''}
        </span>
        {mayWrite && (
          <span className="right no-print">
            <Button variant="default" onClick={() => setEditing('new')}>
              It was run
            </Button>
          </span>
        )}
      </div>
      <ul className="rows">
        {runs.map(([key, run]) => {
          const { gaps, against, proved } = proofOf(run);
          return (
            <li key={key} className="row-actions">
              <span>
                <b className={proved ? 'teal' : against.length > 0 ? 'oxide' : 'ochre'}>
                  {proved ? 'Proved' : against.length > 0 ? 'Speaks against it' : 'In part'}
                </b>{' '}
                {dayWords(run.on)}
                {run.minutes === undefined ? '' : `, ${run.minutes} min`}
                {run.oilHotBar === undefined ? '' : `, ${run.oilHotBar} bar hot`}
                {run.signed ? `, signed by ${run.signed.name}` : ''}
                {against.length > 0 && <span className="oxide">; {against.join(', ')}</span>}
                {gaps.length > 0 && <span className="quiet">; not written: {gaps.join(', ')}</span>}
              </span>
              {mayWrite && (
                <>
                  <button type="button" className="plain-button small" onClick={() => setEditing(key)}>
                    Its figures
                  </button>
                  {!run.signed && (
                    <button type="button" className="plain-button small" onClick={() => setSigning(key)}>
                      Somebody signs it
                    </button>
                  )}
                </>
              )}
            </li>
          );
        })}
      </ul>
      {editing !== undefined && (
        <ProofForm
          recordKey={editing === 'new' ? undefined : editing}
          now={runs.find(([key]) => key === editing)?.[1]}
          close={() => setEditing(undefined)}
        />
      )}
      {signing !== undefined && (
        <SignProofForm
          recordKey={signing}
          now={runs.find(([key]) => key === signing)![1]}
          close={() => setSigning(undefined)}
        />
      )}
    </section>
  );
}
