import { Button, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { fluidSystems } from '@bay/core/fluids';
import type { FluidSystemId } from '@bay/core/fluids';
import { capital } from '@bay/core/units';
import { useJob, useRecordForm, useRecords } from '../sheet/index.ts';
import { DateField } from '../ui/DateField.tsx';
import { dayWords, FormDialog, measured, MeasuredInput, today } from '../ui/index.ts';

const title = (id: FluidSystemId): string => fluidSystems.find((s) => s.id === id)!.title;
const litres = (l: number): string => `${Math.round(l * 10) / 10} L`;

export function CaughtForm({ close }: { close: () => void }) {
  const form = useRecordForm({
    kind: 'caught',
    initial: {
      system: 'engine-oil',
      litres: '',
      fate: 'kept',
      where: '',
      on: today(),
    },
    sent: (v) => ({ ...v, from: 'donor', where: v.where.trim(), litres: measured(v.litres, 'L') }),
  });
  return (
    <FormDialog title="A fluid was caught" submit="Keep" of={form} send={form.send} close={close}>
      <p className="caution">
        Fuel and refrigerant: by a licensed person where local rules ask for one, away from flame.
      </p>
      <div className="fields">
        <Select
          label="Which fluid"
          data={fluidSystems.map((s) => ({ value: s.id, label: capital(s.title) }))}
          allowDeselect={false}
          {...form.field('system')}
        />
        <MeasuredInput label="How much" unit="L" {...form.field('litres')} />
        <Select
          label="What becomes of it"
          data={[
            { value: 'kept', label: 'Kept here' },
            { value: 'handed', label: 'Handed over' },
          ]}
          allowDeselect={false}
          {...form.field('fate')}
        />
        <TextInput
          label={form.values.fate === 'kept' ? 'Where it stands' : 'Who has it'}
          placeholder={form.values.fate === 'kept' ? 'drum 2' : 'the collector, with receipt'}
          data-autofocus
          {...form.field('where')}
        />
        <DateField label="On" past {...form.field('on')} />
      </div>
    </FormDialog>
  );
}

/** Fluids of the donor that were caught: how much, and where each went. */
export function CaughtFluids() {
  const { mayWrite } = useJob();
  const caught = Object.entries(useRecords('caught')).filter(([, c]) => c.from === 'donor');
  const [adding, setAdding] = useState(false);
  const sum = (fate: 'kept' | 'handed'): number =>
    caught.reduce((all, [, c]) => all + (c.fate === fate ? c.litres : 0), 0);
  return (
    <section className="panel" aria-label="Fluids that were caught">
      <div className="bench-head">
        <h3>Fluids caught</h3>
        <span className="quiet">
          {caught.length === 0
            ? 'none is written yet'
            : `${litres(sum('kept'))} kept, ${litres(sum('handed'))} handed over`}
        </span>
        {mayWrite && (
          <span className="right no-print">
            <Button variant="default" onClick={() => setAdding(true)}>
              A fluid was caught
            </Button>
          </span>
        )}
      </div>
      {caught.length > 0 && (
        <ul className="things">
          {caught.map(([key, c]) => (
            <li key={key}>
              <span>
                <b>{litres(c.litres)}</b> {title(c.system)}, {c.fate === 'kept' ? 'kept at' : 'handed to'} {c.where}{' '}
                <span className="quiet">{dayWords(c.on)}</span>
              </span>
            </li>
          ))}
        </ul>
      )}
      {adding && <CaughtForm close={() => setAdding(false)} />}
    </section>
  );
}
