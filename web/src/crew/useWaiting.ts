import { useQuery } from '@tanstack/react-query';
import { readWaiting } from '@bay/contract/crew';
import { call, keys } from '../api/index.ts';

export const waitingQuery = { queryKey: keys.waiting, queryFn: () => call(readWaiting) };

/** How much waits for the person at this device. */
export const useWaiting = (somebody: boolean): number =>
  useQuery({ ...waitingQuery, enabled: somebody }).data?.items.length ?? 0;
