import { Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { workKinds } from '@bay/core/clock';
import type { WorkKind } from '@bay/core/clock';
import { stations } from '@bay/core/jobs';
import type { StationId } from '@bay/core/jobs';
import { FormModal } from '../ui/index.ts';
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
  const [title, setTitle] = useState('');
  const [work, setWork] = useState<WorkKind>('work');
  const [at, setAt] = useState<StationId>(station);
  const [redoes, setRedoes] = useState('');
  return (
    <FormModal
      title="Clock on"
      submit="Clock on"
      of={start}
      disabled={title.trim().length < 2 || (work === 'rework' && redoes.trim().length < 3)}
      onSubmit={() =>
        start.mutate({ jobId, title, station: at, work, ...(redoes.trim() ? { redoes } : {}) }, { onSuccess: close })
      }
      close={close}
    >
      <TextInput
        label="What you work on"
        value={title}
        onChange={(e) => setTitle(e.currentTarget.value)}
        data-autofocus
      />
      <Select
        label="Kind of work"
        data={workKinds.map((w) => ({ value: w, label: kindWords[w] }))}
        value={work}
        onChange={(w) => setWork(w ?? 'work')}
      />
      {work === 'rework' && (
        <TextInput
          label="What it redoes"
          value={redoes}
          onChange={(e) => setRedoes(e.currentTarget.value)}
          description="Rework names what is done a second time."
        />
      )}
      <Select
        label="Station"
        data={stations.map((s) => ({ value: s.id, label: s.name }))}
        value={at}
        onChange={(s) => setAt(s ?? station)}
      />
    </FormModal>
  );
}
