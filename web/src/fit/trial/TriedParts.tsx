import { Button, Checkbox, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { triedFits } from '@bay/core/logbook';
import type { TriedFit } from '@bay/core/logbook';
import { newId } from '../../api/index.ts';
import { useJob, useRecordForm, useRecords } from '../../sheet/index.ts';
import { FormDialog, measured, MeasuredInput, words } from '../../ui/index.ts';
import { TriedRows } from './TriedRows.tsx';
import { fitsWords } from './words.ts';

/** A part that was held to the car: its exact variant, how it fitted, what else was not standard, what became of it. */
function TriedForm({ close }: { close: () => void }) {
  const { plan } = useJob();
  const [key] = useState(newId);
  const form = useRecordForm({
    kind: 'tried',
    key,
    about: 'a part tried',
    initial: {
      part: '',
      variant: '',
      fits: null as TriedFit | null,
      how: '',
      gap: '',
      alsoNotStandard: '',
      kitLine: null as string | null,
      back: false,
      moneyBack: false,
    },
    sent: ({ gap, back, moneyBack, ...v }) => ({
      part: v.part,
      variant: words(v.variant),
      fits: v.fits,
      how: v.how,
      gapMm: measured(gap, 'mm'),
      alsoNotStandard: words(v.alsoNotStandard),
      kitLine: v.kitLine ?? undefined,
      back,
      ...(back && moneyBack ? { moneyBack } : {}),
    }),
    names: { gapMm: 'gap' },
  });
  const { back, moneyBack } = form.values;
  return (
    <FormDialog title="A part that was tried" submit="Keep it" of={form} send={form.send} close={close} size="lg">
      <div className="fields">
        <TextInput
          label="What was tried"
          placeholder="Mid-length header, left"
          data-autofocus
          {...form.field('part')}
        />
        <TextInput label="Exact variant" placeholder="Number, year, casting" {...form.field('variant')} />
        <Select
          label="How it went"
          data={triedFits.map((value) => ({ value, label: fitsWords[value] }))}
          {...form.field('fits')}
        />
        <MeasuredInput label="Gap left" unit="mm" {...form.field('gap')} />
      </div>
      <TextInput label="What was seen" placeholder="Meets the steering joint at full lock" {...form.field('how')} />
      <TextInput
        label="What else on the car is not standard"
        placeholder="Crossmember notched, 25 mm springs"
        {...form.field('alsoNotStandard')}
      />
      <Select
        label="Bought for"
        data={plan.kit.map((l) => ({ value: l.def.id, label: l.def.title }))}
        searchable
        clearable
        {...form.field('kitLine')}
      />
      <Checkbox
        mt="sm"
        label="It went back"
        checked={back}
        onChange={(e) => form.set({ back: e.currentTarget.checked })}
      />
      {back && (
        <Checkbox
          mt="sm"
          label="The money is back too"
          checked={moneyBack}
          onChange={(e) => form.set({ moneyBack: e.currentTarget.checked })}
        />
      )}
    </FormDialog>
  );
}

/** Parts that were tried on this car; the shop's register has those of every car. */
export function TriedParts() {
  const { sheet, mayWrite } = useJob();
  const records = useRecords('tried');
  const [adding, setAdding] = useState(false);
  const { id, number } = sheet.job;
  const engine = sheet.units.find((u) => u.role === 'engine')?.name ?? null;
  const parts = Object.entries(records).map(([key, tried]) => ({
    jobId: id,
    number,
    carName: sheet.units.find((u) => u.role === 'car')?.name ?? '',
    engineName: engine,
    key,
    tried,
  }));
  return (
    <section className="panel" aria-label="Tried parts">
      <h3>Tried on this car</h3>
      {parts.length === 0 && <p className="quiet">No part was tried yet, or none was written down.</p>}
      <TriedRows parts={parts} />
      <div className="row-actions">
        {mayWrite && (
          <Button variant="default" onClick={() => setAdding(true)}>
            A part was tried
          </Button>
        )}
        <Link to="/tried">Tried on any car of the shop</Link>
      </div>
      {adding && <TriedForm close={() => setAdding(false)} />}
    </section>
  );
}
