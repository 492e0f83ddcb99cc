import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { UseMutationResult } from '@tanstack/react-query';
import { getMe, listCrew } from '@bay/contract/crew';
import type { Me } from '@bay/contract/crew';
import { call, keepToken } from './client.ts';
import { keepPerson } from './command.ts';
import { forgetAll } from './done.ts';
import { keys } from './keys.ts';

/** Takes what "me" says where it is needed outside of a screen: token, name of who writes. */
const keep = (me: Me): Me => {
  keepToken(me.token, me.person?.id);
  keepPerson(me.person);
  return me;
};

/** Counts who came and went: an answer that was asked for before somebody came speaks of somebody who is gone. */
let comings = 0;

/** Who is at this device. */
export function useMe() {
  const client = useQueryClient();
  return useQuery({
    queryKey: keys.me,
    queryFn: async () => {
      const asked = comings;
      const me = await call(getMe);
      return asked === comings ? keep(me) : (client.getQueryData<Me>(keys.me) ?? me);
    },
    staleTime: 60_000,
  });
}

/** What a device kept of "me" from the last time, when it starts without a network. */
export const recall = (me: Me | undefined): void => {
  if (!me) return;
  keepPerson(me.person);
  keepToken('', me.person?.id);
};

/** Something that changes who is here: the answer is the new "me", and nothing of the one before stays. */
export function useEntering<V>(enter: (values: V) => Promise<Me>): UseMutationResult<Me, Error, V> {
  const client = useQueryClient();
  return useMutation({
    mutationFn: enter,
    onSuccess: (me) => {
      comings += 1;
      keep(me);
      forgetAll();
      client.removeQueries({ predicate: (q) => q.queryKey[0] !== 'me' });
      client.setQueryData(keys.me, me);
    },
  });
}

/** Everybody who works in the shop. */
export const useCrew = () => useQuery({ queryKey: keys.crew, queryFn: () => call(listCrew) });

/** Onlookers read; they do not write. */
export const useRights = (): { mayWrite: boolean; isManager: boolean } => {
  const role = useMe().data?.person?.role;
  return { mayWrite: role === 'manager' || role === 'technician', isManager: role === 'manager' };
};
