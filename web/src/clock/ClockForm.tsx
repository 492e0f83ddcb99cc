import { Select, TextInput } from '@mantine/core';
import { workKinds } from '@bay/core/clock';
import type { WorkKind } from '@bay/core/clock';
import { stations } from '@bay/core/jobs';
import type { StationId } from '@bay/core/jobs';
import { startClock } from '@bay/contract/clock';
import { FormDialog, useForm } from '../ui/index.ts';
import { useClock } from './useClock.ts';

const kindWords: Record<WorkKind, string> = {
  work: 'Work',
  diagnosis: 'Finding a fault',
  fabrication: 'Making a part',
  waiting: 'Waiting',
  rework: 'Rework',
};

/** Clocks on work that is no step of the plan: a fault, a part made, waiting, rework. */
export function ClockForm({ jobId, station, close }: { jobId: string; station: StationId; close: () => void }) {
  const { start } = useClock();
  const initial: { title: string; work: WorkKind; station: StationId; redoes: string } = {
    title: '',
    work: 'work',
    station,
    redoes: '',
  };
  const form = useForm({
    draft: `${jobId}:clock`,
    initial,
    command: startClock,
    sent: ({ redoes, ...v }) => ({ ...v, redoes: v.work === 'rework' ? redoes : undefined }),
  });
  return (
    <FormDialog
      title="Clock on"
      submit="Clock on"
      of={form}
      send={(sent) => start.mutateAsync({ jobId, ...sent })}
      close={close}
    >
      <TextInput label="What you work on" data-autofocus {...form.field('title')} />
      <Select
        label="Kind of work"
        data={workKinds.map((w) => ({ value: w, label: kindWords[w] }))}
        {...form.field('work')}
      />
      {form.values.work === 'rework' && (
        <TextInput
          label="What it redoes"
          description="Rework names what is done a second time."
          {...form.field('redoes')}
        />
      )}
      <Select label="Station" data={stations.map((s) => ({ value: s.id, label: s.name }))} {...form.field('station')} />
    </FormDialog>
  );
}
