import { MultiSelect, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { clearances, shapeSureness } from '@bay/core/fit';
import type { JobScene } from '@bay/core/fit';
import { newId } from '../api/index.ts';
import { useRecordForm } from '../sheet/index.ts';
import { FormDialog, measured, MeasuredInput } from '../ui/index.ts';

const faces = [
  ['x0', 'Rear face, forward'],
  ['x1', 'Front face, forward'],
  ['y0', 'Right face, to the left'],
  ['y1', 'Left face, to the left'],
  ['z0', 'Lower face, up'],
  ['z1', 'Upper face, up'],
] as const;
const sides = [
  { value: 'bay', label: 'On the car' },
  { value: 'unit', label: 'On the engine' },
];
const sureWords = { tape: 'With a tape (2 mm)', card: 'With a card template (5 mm)', eye: 'By eye (20 mm)' } as const;

/** A thing that no fact covers, as a box by six numbers. */
export function OwnShapeForm({ scene, close }: { scene: JobScene; close: () => void }) {
  const [key] = useState(newId);
  const form = useRecordForm({
    kind: 'own-shape',
    key,
    initial: {
      name: '',
      side: 'bay',
      x0: '',
      x1: '',
      y0: '',
      y1: '',
      z0: '',
      z1: '',
      sure: 'tape',
      against: [] as string[],
      clearance: 'cl-fixed',
    },
    sent: ({ x0, x1, y0, y1, z0, z1, name, ...v }) => ({
      ...v,
      name: name.trim(),
      x: [measured(x0, 'mm'), measured(x1, 'mm')],
      y: [measured(y0, 'mm'), measured(y1, 'mm')],
      z: [measured(z0, 'mm'), measured(z1, 'mm')],
      typed: { x0, x1, y0, y1, z0, z1 },
    }),
    names: { 'x.0': 'x0', 'x.1': 'x1', 'y.0': 'y0', 'y.1': 'y1', 'z.0': 'z0', 'z.1': 'z1', x: 'x1', y: 'y1', z: 'z1' },
  });
  const other = form.values.side === 'bay' ? 'unit' : 'bay';
  const against = [...new Map(scene.shapes.filter((s) => s.side === other).map((s) => [s.id, s.name]))];
  return (
    <FormDialog title="A shape of our own" submit="Draw it" of={form} send={form.send} close={close}>
      <TextInput label="What it is" placeholder="Fuse box" data-autofocus {...form.field('name')} />
      <Select
        label="Where it is"
        description={
          other === 'unit'
            ? 'Read from the firewall, the centre line and the rail top'
            : 'Read from the crank axis at the bell face'
        }
        data={sides}
        allowDeselect={false}
        {...form.field('side')}
      />
      <div className="fields">
        {faces.map(([field, label]) => (
          <MeasuredInput key={field} label={label} unit="mm" {...form.field(field)} />
        ))}
      </div>
      <Select
        label="How it was read"
        data={shapeSureness.map((value) => ({ value, label: sureWords[value] }))}
        allowDeselect={false}
        {...form.field('sure')}
      />
      <MultiSelect
        label="Held against"
        data={against.map(([value, label]) => ({ value, label }))}
        searchable
        {...form.field('against')}
      />
      <Select
        label="Least gap"
        data={clearances.map((c) => ({ value: c.id, label: `${c.pair}: ${c.staticMm} mm and rock` }))}
        allowDeselect={false}
        searchable
        {...form.field('clearance')}
      />
    </FormDialog>
  );
}
