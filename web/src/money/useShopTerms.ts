import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { noTerms } from '@bay/core/money';
import type { Terms } from '@bay/core/money';
import { readTerms } from '@bay/contract/money';
import { call, keys } from '../api/index.ts';

/** What the shop counts with; asked of the server only for those who may see it. */
export const useTerms = (sees: boolean) =>
  useQuery({ queryKey: keys.terms, queryFn: () => call(readTerms), enabled: sees });

/** The same as sums read it: what nobody set, or what is not to be seen, is nothing. */
export function useShopTerms(sees: boolean): Terms {
  const { terms: given, history } = useTerms(sees).data ?? {};
  return useMemo(
    () =>
      given
        ? {
            ...given,
            ...(history ? { history } : {}),
            hourRate: given.hourRate ?? undefined,
            hourCost: given.hourCost ?? undefined,
            priceUnit: given.priceUnit ?? undefined,
          }
        : noTerms,
    [given, history],
  );
}
