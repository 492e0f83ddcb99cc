import { useMutation, useQueryClient } from '@tanstack/react-query';
import { startClock, stopClock } from '@bay/contract/clock';
import type { ClockRow } from '@bay/contract/clock';
import type { WorkKind } from '@bay/core/clock';
import type { StationId } from '@bay/core/jobs';
import type { JobSheet } from '@bay/contract/jobs';
import { command, keys, newId, nowIso, useMe } from '../api/index.ts';

export interface ClockStart {
  jobId: string;
  about?: string;
  title: string;
  station: StationId;
  work: WorkKind;
  redoes?: string;
}

/** Clocks a person on and off; without a network the device goes on counting and says so later. */
export function useClock() {
  const client = useQueryClient();
  const me = useMe().data?.person;
  const settle = (): void => {
    for (const queryKey of [keys.bench, keys.floor, keys.waiting, keys.clocks(), keys.job()])
      void client.invalidateQueries({ queryKey });
  };
  const start = useMutation({
    mutationFn: ({ jobId, ...body }: ClockStart) => {
      const offline = (): { clock: ClockRow } => {
        const clock: ClockRow = {
          id: newId(),
          jobId,
          personId: me?.id ?? '',
          person: me?.name ?? '',
          initials: me?.initials ?? '',
          about: body.about ?? null,
          title: body.title,
          station: body.station,
          work: body.work,
          redoes: body.redoes ?? null,
          estimate: null,
          startedAt: nowIso(),
          endedAt: null,
          corrections: [],
          revision: 0,
        };
        client.setQueryData<JobSheet>(
          keys.job(jobId),
          (old) => old && { ...old, running: [...old.running.filter((c) => c.personId !== me?.id), clock] },
        );
        client.setQueryData<{ running: ClockRow | null }>(
          keys.bench,
          (old) => old && { ...old, running: clock, step: null },
        );
        return { clock };
      };
      return command(startClock, { params: { jobId }, body }, { label: 'clock on', jobId, offline });
    },
    onSettled: settle,
  });
  const stop = useMutation({
    mutationFn: (jobId: string | undefined) => {
      const offline = (): { clock: null } => {
        if (jobId)
          client.setQueryData<JobSheet>(
            keys.job(jobId),
            (old) => old && { ...old, running: old.running.filter((c) => c.personId !== me?.id) },
          );
        client.setQueryData<{ running: ClockRow | null }>(
          keys.bench,
          (old) => old && { ...old, running: null, step: null },
        );
        return { clock: null };
      };
      return command(stopClock, { body: {} }, { label: 'clock off', jobId, offline });
    },
    onSettled: settle,
  });
  return { start, stop };
}
