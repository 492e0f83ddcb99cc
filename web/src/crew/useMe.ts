import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { UseMutationResult } from '@tanstack/react-query';
import { getMe } from '@bay/contract/crew';
import type { Me } from '@bay/contract/crew';
import { call, keepToken } from '../api/index.ts';

const keep = (me: Me): Me => {
  keepToken(me.token);
  return me;
};

/** Who is at this device. */
export const useMe = () => useQuery({ queryKey: ['me'], queryFn: () => call(getMe).then(keep), staleTime: 60_000 });

/** Something that changes who is here: the answer is the new "me", and nothing of the one before stays. */
export function useEntering<V>(enter: (values: V) => Promise<Me>): UseMutationResult<Me, Error, V> {
  const client = useQueryClient();
  return useMutation({
    mutationFn: enter,
    onSuccess: (me) => {
      keep(me);
      client.removeQueries({ predicate: (q) => q.queryKey[0] !== 'me' });
      client.setQueryData(['me'], me);
    },
  });
}
