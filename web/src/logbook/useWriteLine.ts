import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { JobSheet } from '@bay/contract/jobs';
import { writeLog } from '@bay/contract/logbook';
import type { LogEntry } from '@bay/contract/logbook';
import { command, keys, nowIso, useMe } from '../api/index.ts';
import { today } from '../ui/index.ts';

/** A line of the book as the device writes it, until the server's own stands there. */
function pendingEntry(line: string, person: { id: string; name: string; initials: string }): LogEntry {
  return {
    id: Number.MAX_SAFE_INTEGER - Math.floor(Math.random() * 1e6),
    kind: 'note',
    station: null,
    text: line,
    about: null,
    data: { pending: true },
    byId: person.id,
    by: person.name,
    initials: person.initials,
    at: nowIso(),
    receivedAt: null,
    commandId: null,
    marks: [],
  };
}

export interface LineWrite {
  line: string;
  /** Key of what it belongs to. */
  about?: string | undefined;
  /** Kept by whoever sends it, so that a second try after a lost answer does not write twice. */
  commandId?: string | undefined;
}

/** Writes a line of the log bar; without a network it waits on the device and stands in the book as waiting. */
export function useWriteLine(jobId: string) {
  const me = useMe().data?.person;
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ line, about, commandId }: LineWrite) => {
      const before = client.getQueryData(keys.job(jobId));
      return command(
        writeLog,
        { params: { jobId }, body: { line, today: today(), ...(about ? { about } : {}) } },
        {
          label: 'line written',
          jobId,
          commandId,
          offline: () => {
            const entry = pendingEntry(line, me!);
            client.setQueryData<JobSheet>(keys.job(jobId), (old) => old && { ...old, log: [...old.log, entry] });
            return { entry };
          },
          restore: () => client.setQueryData(keys.job(jobId), before),
        },
      );
    },
    // The line is written; that the page is read again is nothing to wait for.
    onSuccess: () => void client.invalidateQueries({ queryKey: keys.job(jobId) }),
  });
}
