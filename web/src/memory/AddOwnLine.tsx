import { Select, TextInput } from '@mantine/core';
import { useMemo, useState } from 'react';
import { stations } from '@bay/core/jobs';
import { kitLines } from '@bay/core/kit';
import { checkGates, ownId, ownSorts } from '@bay/core/memory';
import { workSteps } from '@bay/core/plan';
import { dropLimits } from '@bay/core/sums';
import { newId } from '../api/index.ts';
import { useJob, usePut, useRecords } from '../sheet/index.ts';
import { FormDialog, measured, MeasuredInput, useForm, words, Several } from '../ui/index.ts';
import { memoryKinds } from '@bay/contract/memory';
import { sortWords } from './sort-words.ts';

const systems = [...new Set(kitLines.map((k) => k.system))].sort();

/** A figure as it was typed: nothing where nothing is, and what is no number so that the rule says so. */
const figure = (typed: string): number | undefined =>
  typed.trim() === '' ? undefined : Number(typed.replace(',', '.'));

/** Some figures that belong together, or nothing where none of them is typed. */
const figures = (typed: readonly string[]): number[] | undefined =>
  typed.every((t) => t.trim() === '') ? undefined : typed.map((t) => figure(t) ?? Number.NaN);

const some = (ids: readonly string[]): string[] | undefined => (ids.length > 0 ? [...ids] : undefined);

/** A line that no rule of the program knew: where it belongs, what comes first, and what waits for it. */
export function AddOwnLine({ close }: { close: () => void }) {
  const { sheet, plan } = useJob();
  const put = usePut();
  const tasks = useRecords('task');
  // The same for every try: a line whose answer was lost is not there twice.
  const [unique] = useState(() => newId().replaceAll('-', '').slice(0, 4));
  const withDonor = sheet.units.some((u) => u.role === 'donor');
  const steps = useMemo(
    () => workSteps(plan, tasks, withDonor).map((s) => ({ value: s.key, label: s.title })),
    [plan, tasks, withDonor],
  );
  const form = useForm({
    draft: `${sheet.job.id}:own-line`,
    initial: {
      sort: 'step',
      title: '',
      why: '',
      station: sheet.job.station,
      least: '',
      most: '',
      people: '',
      after: [] as string[],
      before: [] as string[],
      parts: [] as string[],
      gate: 'First crank',
      system: 'mechanical',
      options: '',
      low: '',
      likely: '',
      high: '',
      from: '',
      to: '',
      load: 'pump or fan',
      amps: '',
    },
    schema: memoryKinds['own-line'].input,
    sent: (v) => {
      const isWork = v.sort === 'step' || v.sort === 'check';
      return {
        sort: v.sort,
        title: v.title,
        why: v.why,
        station: v.station,
        ...(isWork
          ? {
              minutes: figures([v.least, v.most]),
              people: figure(v.people),
              after: some(v.after),
              before: v.sort === 'step' ? some(v.before) : undefined,
              parts: some(v.parts),
            }
          : {}),
        ...(v.sort === 'check' ? { gate: v.gate } : {}),
        ...(v.sort === 'part'
          ? { system: v.system, options: words(v.options), price: figures([v.low, v.likely, v.high]) }
          : {}),
        ...(v.sort === 'circuit' ? { from: v.from, to: v.to, load: v.load, amps: measured(v.amps, 'A') } : {}),
      };
    },
    names: {
      minutes: 'least',
      'minutes.0': 'least',
      'minutes.1': 'most',
      'price.0': 'low',
      'price.1': 'likely',
      'price.2': 'high',
      price: 'low',
      'data.after': 'after',
      'data.title': 'title',
    },
  });
  const { sort } = form.values;
  const isWork = sort === 'step' || sort === 'check';
  return (
    <FormDialog
      title="A line of our own"
      submit="Add it"
      of={form}
      send={(data) =>
        put.mutateAsync({ kind: 'own-line', key: ownId(form.values.title.trim(), unique), data, revision: 0 })
      }
      close={close}
    >
      <Select
        label="What it is"
        data={ownSorts.map((value) => ({ value, label: sortWords[value] }))}
        allowDeselect={false}
        {...form.field('sort')}
      />
      <TextInput label="In a few words" data-autofocus {...form.field('title')} />
      <TextInput label="What happens without it" {...form.field('why')} />
      <Select
        label="At which station"
        data={stations.map((s) => ({ value: s.id, label: s.name }))}
        allowDeselect={false}
        {...form.field('station')}
      />
      {isWork && (
        <>
          <div className="fields">
            <TextInput label="Minutes, least" inputMode="numeric" {...form.field('least')} />
            <TextInput label="Minutes, most" inputMode="numeric" {...form.field('most')} />
            <TextInput label="People" inputMode="numeric" {...form.field('people')} />
          </div>
          <Several label="Comes after" data={steps} searchable {...form.field('after')} />
          {sort === 'step' ? (
            <Several label="Comes before" data={steps} searchable {...form.field('before')} />
          ) : (
            <Select
              label="Done before"
              data={checkGates.map((value) => ({ value, label: value }))}
              allowDeselect={false}
              {...form.field('gate')}
            />
          )}
          <Several
            label="Parts that are to be here first"
            data={plan.kit.map((k) => ({ value: k.def.id, label: k.def.title }))}
            searchable
            {...form.field('parts')}
          />
        </>
      )}
      {sort === 'part' && (
        <>
          <Select label="System" data={systems} allowDeselect={false} searchable {...form.field('system')} />
          <TextInput label="What is settled before it is ordered" {...form.field('options')} />
          <div className="fields">
            <TextInput
              label="Costs, low"
              description="An estimate, in units of the price list"
              inputMode="decimal"
              {...form.field('low')}
            />
            <TextInput label="Costs, likely" inputMode="decimal" {...form.field('likely')} />
            <TextInput label="Costs, high" inputMode="decimal" {...form.field('high')} />
          </div>
        </>
      )}
      {sort === 'circuit' && (
        <>
          <TextInput label="From" {...form.field('from')} />
          <TextInput label="To" {...form.field('to')} />
          <Select
            label="What it feeds"
            data={Object.keys(dropLimits)}
            allowDeselect={false}
            searchable
            {...form.field('load')}
          />
          <MeasuredInput label="Draws" unit="A" {...form.field('amps')} />
        </>
      )}
    </FormDialog>
  );
}
