import { Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { clearances, shapeSureness } from '@bay/core/fit';
import type { JobScene } from '@bay/core/fit';
import { newId } from '../api/index.ts';
import { useRecordForm } from '../sheet/index.ts';
import { FormDialog, measured, MeasuredInput, Several } from '../ui/index.ts';

const keysOf = ['x0', 'x1', 'y0', 'y1', 'z0', 'z1'] as const;
const labels = {
  box: [
    'Rear face, forward',
    'Front face, forward',
    'Right face, to the left',
    'Left face, to the left',
    'Lower face, up',
    'Upper face, up',
  ],
  bar: [
    'One end, forward',
    'Other end, forward',
    'One end, to the left',
    'Other end, to the left',
    'One end, up',
    'Other end, up',
  ],
} as const;
const forms = [
  { value: 'box', label: 'A box, by its faces' },
  { value: 'bar', label: 'A bar or a pipe, by its ends' },
];
const sides = [
  { value: 'bay', label: 'On the car' },
  { value: 'unit', label: 'On the engine' },
];
const sureWords = { tape: 'With a tape (2 mm)', card: 'With a card template (5 mm)', eye: 'By eye (20 mm)' } as const;

/** Faces that were drawn, by axis, mm. */
export type DrawnFaces = Partial<Record<'x' | 'y' | 'z', readonly [number, number]>>;

const whole = (of: readonly [number, number] | undefined, end: 0 | 1): string =>
  of ? `${Math.round(of[end])} mm` : '';

/** A thing that no fact covers, as a box or a bar by six numbers; those of a box that was drawn stand in their fields. */
export function OwnShapeForm({ scene, drawn = {}, close }: { scene: JobScene; drawn?: DrawnFaces; close: () => void }) {
  const [key] = useState(newId);
  const form = useRecordForm({
    kind: 'own-shape',
    key,
    initial: {
      name: '',
      form: 'box',
      across: '',
      side: 'bay',
      x0: whole(drawn.x, 0),
      x1: whole(drawn.x, 1),
      y0: whole(drawn.y, 0),
      y1: whole(drawn.y, 1),
      z0: whole(drawn.z, 0),
      z1: whole(drawn.z, 1),
      // What was pulled in a drawing is by eye until somebody reads it.
      sure: Object.keys(drawn).length > 0 ? 'eye' : 'tape',
      against: [] as string[],
      clearance: 'cl-fixed',
    },
    sent: ({ x0, x1, y0, y1, z0, z1, name, form: shape, across, ...v }) => ({
      ...v,
      ...(shape === 'bar' ? { across: measured(across, 'mm') ?? 0 } : {}),
      name: name.trim(),
      x: [measured(x0, 'mm'), measured(x1, 'mm')],
      y: [measured(y0, 'mm'), measured(y1, 'mm')],
      z: [measured(z0, 'mm'), measured(z1, 'mm')],
      typed: { x0, x1, y0, y1, z0, z1 },
    }),
    names: { 'x.0': 'x0', 'x.1': 'x1', 'y.0': 'y0', 'y.1': 'y1', 'z.0': 'z0', 'z.1': 'z1', x: 'x1', y: 'y1', z: 'z1' },
  });
  const shape = form.values.form === 'bar' ? 'bar' : 'box';
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
      <Select label="Its form" data={forms} allowDeselect={false} {...form.field('form')} />
      <div className="fields">
        {keysOf.map((field, i) => (
          <MeasuredInput key={field} label={labels[shape][i]!} unit="mm" {...form.field(field)} />
        ))}
        {shape === 'bar' && <MeasuredInput label="Across" unit="mm" {...form.field('across')} />}
      </div>
      <Select
        label="How it was read"
        data={shapeSureness.map((value) => ({ value, label: sureWords[value] }))}
        allowDeselect={false}
        {...form.field('sure')}
      />
      <Several
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
