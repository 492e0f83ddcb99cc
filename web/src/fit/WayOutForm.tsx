import { Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { shapeRules } from '@bay/core/fit';
import { noCurrency } from '@bay/core/money';
import type { JobScene } from '@bay/core/fit';
import { may } from '@bay/contract/rights';
import { newId, useMe } from '../api/index.ts';
import { useRecordForm } from '../sheet/index.ts';
import { FormDialog, measured, money, MeasuredInput, MoneyInput, words } from '../ui/index.ts';

const ways = [
  ['x', 'Forward', 'To the rear: with a minus'],
  ['y', 'To the left', 'To the right: with a minus'],
  ['z', 'Up', 'Down: with a minus'],
] as const;

/** A way out that somebody knows of: a shallower sump is one whose floor comes to stand higher. */
export function WayOutForm({ scene, close }: { scene: JobScene; close: () => void }) {
  const [key] = useState(newId);
  const me = useMe();
  const seesMoney = may(me.data?.person?.role, 'see-money');
  const currency = me.data?.shop?.currency ?? noCurrency;
  const names = new Map(scene.shapes.map((s) => [s.id, s.name]));
  const form = useRecordForm({
    kind: 'way-out',
    key,
    initial: { title: '', shape: '', x: '', y: '', z: '', cost: '', hours: '', approval: '' },
    sent: (v) => ({
      title: v.title.trim(),
      shape: v.shape,
      ...Object.fromEntries(ways.map(([field]) => [field, measured(v[field], 'mm')])),
      hours: measured(v.hours, 'h'),
      ...(seesMoney ? { cost: money(v.cost, currency) } : {}),
      approval: words(v.approval),
      typed: Object.fromEntries(ways.map(([field]) => [field, v[field].trim()]).filter(([, typed]) => typed !== '')),
    }),
  });
  const structural = shapeRules.some((r) => r.id === form.values.shape && r.structural);
  return (
    <FormDialog title="A way out" submit="Save the way out" of={form} send={form.send} close={close}>
      <TextInput label="What is done" placeholder="Sump of the sister engine" data-autofocus {...form.field('title')} />
      <Select
        label="What it moves"
        data={[...names].map(([value, label]) => ({ value, label }))}
        searchable
        {...form.field('shape')}
      />
      <p className="quiet">By how much its near face comes to stand elsewhere. A shallower sump comes up.</p>
      <div className="fields">
        {ways.map(([field, label, description]) => (
          <MeasuredInput key={field} label={label} unit="mm" description={description} {...form.field(field)} />
        ))}
        <MeasuredInput label="Hours" unit="h" {...form.field('hours')} />
        {seesMoney && <MoneyInput label="Cost" currency={currency} {...form.field('cost')} />}
      </div>
      {structural && (
        <TextInput
          label="Who has to agree"
          description="Structure, steering: the maker's manual and local law go first, by a qualified person."
          {...form.field('approval')}
        />
      )}
    </FormDialog>
  );
}
