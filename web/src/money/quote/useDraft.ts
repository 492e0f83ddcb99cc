import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { estimateOf } from '@bay/core/clock';
import { draftQuote, noTerms, offerOf, riskInputOf, termsMissing } from '@bay/core/money';
import type { Terms } from '@bay/core/money';
import { truthIn } from '@bay/core/rules';
import { readTerms } from '@bay/contract/money';
import { call, keys } from '../../api/index.ts';
import { useJob, useRecords } from '../../sheet/index.ts';

/** What the shop counts with; asked of the server only for those who may see it. */
export function useTerms(sees: boolean) {
  return useQuery({ queryKey: keys.terms, queryFn: () => call(readTerms), enabled: sees });
}

/** The quote as it stands now, from the plan and what people decided of its lines. */
export function useDraft(sees: boolean) {
  const { sheet, plan } = useJob();
  const decisions = useRecords('quote-line');
  const kitRecords = useRecords('kit');
  const read = useTerms(sees);
  const withDonor = sheet.units.some((u) => u.role === 'donor');
  return useMemo(() => {
    const given = read.data?.terms;
    const terms: Terms = given
      ? {
          ...given,
          hourRate: given.hourRate ?? undefined,
          hourCost: given.hourCost ?? undefined,
          priceUnit: given.priceUnit ?? undefined,
        }
      : noTerms;
    const estimate = estimateOf(truthIn(plan.scope), { withDonor });
    const lines = draftQuote({ estimate, kit: plan.kit, kitRecords, decisions, terms });
    return {
      terms,
      revision: read.data?.revision ?? 0,
      known: read.data !== undefined,
      estimate,
      lines,
      missing: termsMissing(lines, terms),
      offer: offerOf(lines, estimate, terms),
      risk: {
        carried: riskInputOf(lines, estimate.causes, terms),
        asExtra: riskInputOf(lines, estimate.causes, terms, { carriesOpen: false }),
      },
    };
  }, [plan.scope, plan.kit, kitRecords, decisions, read.data, withDonor]);
}
export type Draft = ReturnType<typeof useDraft>;
