import { useQuery } from '@tanstack/react-query';
import { listOrders } from '@bay/contract/orders';
import { call, keys } from '../api/index.ts';

/** Orders with something to come or to settle, of the shop or of one job; or all of them. */
export function useOrders({ jobId, open = true }: { jobId?: string; open?: boolean } = {}) {
  return useQuery({
    queryKey: keys.orders(jobId, open),
    queryFn: () => call(listOrders, { query: { open: String(open), ...(jobId === undefined ? {} : { jobId }) } }),
  });
}
