import type { RigRecord } from '@bay/core/pull';
import { useRecordForm } from '../sheet/index.ts';
import { FormDialog, measured, MeasuredInput } from '../ui/index.ts';
import type { Lift } from './useLift.ts';

const fields = [
  ['frontX', 'Front eye, ahead of the bell face', 'mm'],
  ['frontZ', 'Front eye, above the crank', 'mm'],
  ['rearX', 'Rear eye, ahead of the bell face', 'mm'],
  ['rearZ', 'Rear eye, above the crank', 'mm'],
  ['hookAbove', 'Hook above the higher eye', 'mm'],
  ['hookX', 'Hook, ahead of the bell face', 'mm'],
  ['tailDownDeg', 'To hang so, tail down', 'deg'],
  ['leastRatingKg', 'Least rating among sling, shackle, leveller, bolt', 'kg'],
] as const;
const notes: Partial<Record<(typeof fields)[number][0], string>> = {
  rearX: 'Behind it: with a minus',
  hookX: 'Left empty: over where it balances, or as it is to hang',
  tailDownDeg: 'Nose down: with a minus. The place of the hook is reckoned from it',
  leastRatingKg: 'From the plates',
};

/** Where the slings hold and where the hook stands. */
export function RigForm({
  lift,
  rig,
  unitId,
  close,
}: {
  lift: Lift;
  rig: RigRecord | undefined;
  unitId: string | undefined;
  close: () => void;
}) {
  const as = (field: (typeof fields)[number][0], unit: string): string =>
    rig?.typed[field] ?? (rig?.[field] === undefined ? '' : `${rig[field]} ${unit}`);
  const initial = Object.fromEntries(fields.map(([field, , unit]) => [field, as(field, unit)])) as Record<
    (typeof fields)[number][0],
    string
  >;
  const form = useRecordForm({
    kind: 'rig',
    key: lift,
    initial,
    sent: (v) => ({
      ...(unitId ? { unitId } : {}),
      ...Object.fromEntries(fields.map(([field, , unit]) => [field, measured(v[field], unit)])),
      typed: Object.fromEntries(fields.map(([field]) => [field, v[field].trim()]).filter(([, typed]) => typed !== '')),
    }),
  });
  return (
    <FormDialog title="Where the slings hold" submit="Save the slings" of={form} send={form.send} close={close}>
      <p className="quiet">
        From the centre of the crank at the bell face. Sound points only, bolts to full thread depth.
      </p>
      <div className="fields">
        {fields.map(([field, label, unit]) => (
          <MeasuredInput
            key={field}
            label={label}
            unit={unit}
            {...(notes[field] ? { description: notes[field] } : {})}
            {...form.field(field)}
          />
        ))}
      </div>
    </FormDialog>
  );
}
