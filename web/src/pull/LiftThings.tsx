import { Button, Select, TextInput } from '@mantine/core';
import { Fragment, useState } from 'react';
import type { ReactNode } from 'react';
import { gearPlaces, itemWords, massKnown, massKnownWords } from '@bay/core/pull';
import type { LiftItem, LiftItemRecord, MassKnown } from '@bay/core/pull';
import { gearSorts, gearWords } from '@bay/core/sums';
import type { GearSort } from '@bay/core/sums';
import { capital } from '@bay/core/units';
import { useJob, usePut, useRecordForm, useRecords } from '../sheet/index.ts';
import { FormDialog, measured, MeasuredInput, Trouble } from '../ui/index.ts';
import type { Lift } from './useLift.ts';

type Sort = LiftItem['sort'];

/** What each sort of thing is asked for: its measures with their units. */
const asked = {
  hangs: [
    ['massKg', 'Mass', 'kg'],
    ['x', 'Ahead of the bell face', 'mm'],
    ['z', 'Above the crank', 'mm'],
  ],
  carries: [['ratingKg', 'Rating on its plate', 'kg']],
  crane: [['reachMm', 'Reach it is used at', 'mm']],
  clears: [
    ['needMm', 'Rise it wants', 'mm'],
    ['hasMm', 'Rise that is there', 'mm'],
  ],
  stands: [
    ['frontMm', 'Front supports, behind the front axle', 'mm'],
    ['rearMm', 'Rear supports, behind the front axle', 'mm'],
    ['leavesMm', 'Where what leaves balances, behind the front axle', 'mm'],
  ],
} as const satisfies Record<Sort, readonly (readonly [string, string, string])[]>;

const sortWords: Readonly<Record<Sort, string>> = {
  hangs: 'Hangs with it: accessory, transfer case, fluid',
  carries: 'Carries it: sling, shackle, eye, leveller',
  crane: 'Plate of a crane or hoist, reach by reach',
  clears: 'Must be cleared: studs, panel',
  stands: 'What the car stands on',
};
const placeWords = { hook: 'at the hook', front: 'front leg', rear: 'rear leg' } as const;
const choices = <T extends string>(of: readonly T[], words: Readonly<Record<T, string>>) =>
  of.map((value) => ({ value, label: capital(words[value]) }));

/** The rows of a plate that are asked for. */
const plateRows = [0, 1, 2, 3] as const;
const rowFields = (i: number): readonly [reach: string, kg: string] => [`reach${i}`, `kg${i}`];

type Field = (typeof asked)[Sort][number][0];

/** The rows of a plate that were written: a row counts where either of its two is there. */
const plateOf = (typed: Readonly<Record<string, unknown>>) =>
  plateRows.flatMap((i) => {
    const [reach, kg] = rowFields(i).map((field) => String(typed[field]));
    return `${reach}${kg}`.trim() === '' ? [] : [{ reachMm: measured(reach!, 'mm'), kg: measured(kg!, 'kg') }];
  });

/** A thing of the lift, written by people. */
export function LiftThingForm({
  lift,
  unitId,
  recordKey,
  now,
  close,
}: {
  lift: Lift;
  unitId: string | undefined;
  recordKey?: string;
  now?: LiftItemRecord;
  close: () => void;
}) {
  const before: Partial<Record<string, unknown>> = now?.item ?? {};
  const shown = (field: Field, unit: string): string =>
    before[field] === undefined ? '' : `${before[field] as number} ${unit}`;
  const fields = Object.fromEntries(
    Object.values(asked)
      .flat()
      .map(([field, , unit]) => [field, shown(field, unit)]),
  ) as Record<Field, string>;
  const plate = now?.item.sort === 'crane' ? now.item.plate : [];
  const plateTyped: Record<string, string> = Object.fromEntries(
    plateRows.flatMap((i) => {
      const [reach, kg] = rowFields(i);
      const row = plate[i];
      return [
        [reach, row ? `${row.reachMm} mm` : ''],
        [kg, row ? `${row.kg} kg` : ''],
      ];
    }),
  );
  const form = useRecordForm({
    kind: 'lift-item',
    key: recordKey,
    about: recordKey ?? `thing of the lift ${lift}`,
    initial: {
      sort: now?.item.sort ?? 'hangs',
      what: (before['what'] ?? '') as string,
      known: (before['known'] ?? 'weighed') as MassKnown,
      gear: (before['gear'] ?? 'sling') as GearSort,
      on: (before['on'] ?? 'front') as (typeof gearPlaces)[number],
      ...fields,
      ...plateTyped,
    },
    sent: (v) => ({
      lift,
      ...(unitId ? { unitId } : {}),
      item: {
        sort: v.sort,
        ...(v.sort === 'stands' ? {} : { what: v.what.trim() }),
        ...(v.sort === 'hangs' ? { known: v.known } : {}),
        ...(v.sort === 'crane' ? { plate: plateOf(v) } : {}),
        ...(v.sort === 'carries' ? { gear: v.gear, on: v.on } : {}),
        ...Object.fromEntries(asked[v.sort].map(([field, , unit]) => [field, measured(v[field], unit)])),
      },
    }),
    names: Object.fromEntries([
      ...(['what', 'known', 'gear', 'on', ...(Object.keys(fields) as Field[])] as const).map((field) => [
        `item.${field}`,
        field,
      ]),
      ['item.plate', 'reach0'],
      ...plateRows.flatMap((i) => [
        [`item.plate.${i}.reachMm`, rowFields(i)[0]],
        [`item.plate.${i}.kg`, rowFields(i)[1]],
      ]),
    ]),
  });
  const { sort } = form.values;
  return (
    <FormDialog
      title={now ? 'A thing of this lift' : 'Add to this lift'}
      submit="Keep"
      size="lg"
      of={form}
      send={form.send}
      close={close}
    >
      {!now && (
        <Select
          label="What it is to the lift"
          data={choices(Object.keys(asked) as Sort[], sortWords)}
          allowDeselect={false}
          {...form.field('sort')}
        />
      )}
      {sort !== 'stands' && (
        <TextInput
          label="Name"
          placeholder={{ hangs: 'alternator', carries: 'front eye', crane: 'shop hoist', clears: 'mount stud' }[sort]}
          {...form.field('what')}
        />
      )}
      <div className="fields">
        {sort === 'carries' && (
          <>
            <Select label="Sort" data={choices(gearSorts, gearWords)} allowDeselect={false} {...form.field('gear')} />
            <Select label="Where" data={choices(gearPlaces, placeWords)} allowDeselect={false} {...form.field('on')} />
          </>
        )}
        {asked[sort].map(([field, label, unit]) => (
          <MeasuredInput key={field} label={label} unit={unit} {...form.field(field)} />
        ))}
        {sort === 'crane' &&
          plateRows.map((i) => {
            const [reach, kg] = rowFields(i) as readonly ['what', 'what'];
            return (
              <Fragment key={i}>
                <MeasuredInput label={`Plate, reach ${i + 1}`} unit="mm" {...form.field(reach)} />
                <MeasuredInput label={`Carries at reach ${i + 1}`} unit="kg" {...form.field(kg)} />
              </Fragment>
            );
          })}
        {sort === 'hangs' && (
          <Select
            label="Mass known by"
            data={choices(massKnown, massKnownWords)}
            allowDeselect={false}
            {...form.field('known')}
          />
        )}
      </div>
      <p className="quiet">
        {
          {
            hangs: 'From the centre of the crank at the bell face; behind it and below it with a minus.',
            carries: 'An eye bolt keeps little of its plate when the leg leans; what carries least decides.',
            crane: 'Between two reaches the longer one counts; beyond the longest nothing is lifted.',
            clears: 'As the unit hangs: 64 mm of stud want 64 mm of rise before anything moves sideways.',
            stands: 'Ahead of the front axle with a minus. Axle masses and wheelbase stand among the facts of the car.',
          }[sort]
        }
      </p>
    </FormDialog>
  );
}

/** What hangs with the unit, carries it, must be cleared and holds the car up, each line a record of its own. */
export function LiftThings({
  lift,
  unitId,
  beside,
}: {
  lift: Lift;
  unitId: string | undefined;
  /** Pressed beside the adding of a thing. */
  beside: ReactNode;
}) {
  const { mayWrite } = useJob();
  const put = usePut();
  const records = useRecords('lift-item');
  const [open, setOpen] = useState<string>();
  const own = Object.entries(records).filter(([, r]) => r.lift === lift && !r.removed);
  return (
    <>
      {own.length > 0 && (
        <ul className="things" aria-label="Things of this lift">
          {own.map(([key, record]) => (
            <li key={key}>
              <span>{capital(itemWords(record.item))}</span>
              {mayWrite && (
                <span className="row-actions">
                  <Button
                    variant="subtle"
                    aria-label={`Change: ${itemWords(record.item)}`}
                    onClick={() => setOpen(key)}
                  >
                    Change
                  </Button>
                  <Button
                    variant="subtle"
                    aria-label={`Take back: ${itemWords(record.item)}`}
                    loading={put.isPending}
                    onClick={() => put.mutate({ kind: 'lift-item', key, data: { ...record, removed: true } })}
                  >
                    Take back
                  </Button>
                </span>
              )}
            </li>
          ))}
        </ul>
      )}
      <Trouble of={put} />
      {mayWrite && (
        <div className="row-actions">
          <Button variant="default" onClick={() => setOpen('new')}>
            Add to this lift
          </Button>
          {beside}
        </div>
      )}
      {open !== undefined && (
        <LiftThingForm
          lift={lift}
          unitId={unitId}
          {...(open === 'new' ? {} : { recordKey: open, now: records[open]! })}
          close={() => setOpen(undefined)}
        />
      )}
    </>
  );
}
