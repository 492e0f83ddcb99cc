import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useMemo, useRef, useState } from 'react';
import { readLog, searchLog } from '@bay/contract/logbook';
import type { LogEntry } from '@bay/contract/logbook';
import { call, keys } from '../api/index.ts';

export interface BookFilter {
  kind?: string;
  station?: string;
  by?: string;
  from?: string;
  to?: string;
  about?: string;
}

export const isNarrowed = (f: BookFilter): boolean => Object.values(f).some(Boolean);

const pageLines = 100;
/** Minutes that this device's days are ahead of UTC. */
const offset = (): string => String(-new Date().getTimezoneOffset());

// A line that waits on this device has a number beyond all that the server gives.
const isPending = (e: LogEntry): boolean => e.id > Number.MAX_SAFE_INTEGER / 2;

/** The last lines as they were ever shown: the job brings the newest only, and what was read stays in the book. */
function useTail(latest: readonly LogEntry[]): readonly LogEntry[] {
  const known = useRef(new Map<number, LogEntry>());
  return useMemo(() => {
    for (const e of latest) if (!isPending(e)) known.current.set(e.id, e);
    return [...[...known.current.values()].sort((x, y) => x.id - y.id), ...latest.filter(isPending)];
  }, [latest]);
}

/** The book of a job: its last lines, and behind them pages of earlier ones. Narrowed, it is read in pages from the end. */
export function useBook(jobId: string, latest: readonly LogEntry[], filter: BookFilter) {
  const narrowed = isNarrowed(filter);
  const tail = useTail(latest);
  // Where the earlier pages begin; set when somebody first goes back, and then it stays.
  const [from, setFrom] = useState<number>();
  const before = narrowed ? undefined : from;
  const pages = useInfiniteQuery({
    queryKey: keys.book(jobId, filter, before ?? 'end'),
    queryFn: ({ pageParam, signal }) => {
      const query = {
        ...filter,
        offset: offset(),
        limit: String(pageLines),
        ...(pageParam === undefined ? {} : { before: String(pageParam) }),
      };
      return call(readLog, { params: { jobId }, query: query as never, signal });
    },
    initialPageParam: before,
    getNextPageParam: (page) => (page.more ? page.entries[0]?.id : undefined),
    enabled: narrowed || from !== undefined,
  });
  const entries = useMemo(() => {
    const older = (pages.data?.pages ?? []).toReversed().flatMap((p) => p.entries);
    return narrowed ? older : [...older, ...tail];
  }, [pages.data, tail, narrowed]);
  return {
    entries,
    more: pages.data ? pages.hasNextPage : tail.length >= 80,
    loading: pages.isFetching,
    earlier: (): void => {
      if (pages.isFetching) return;
      if (pages.data) void pages.fetchNextPage();
      else setFrom(tail[0]?.id);
    },
  };
}

/** Lines with these words, of one job or of the shop. */
export const useFound = (q: string, jobId: string | undefined) =>
  useQuery({
    queryKey: keys.bookSearch(jobId, q),
    queryFn: ({ signal }) =>
      call(searchLog, { query: { q, ...(jobId ? { jobId } : {}), limit: '60' as unknown as number }, signal }),
    enabled: q.trim().length >= 2,
    staleTime: 5000,
    gcTime: 60_000,
  });
