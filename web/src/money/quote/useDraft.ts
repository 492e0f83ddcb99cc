import { useMemo } from 'react';
import { offerOf, riskInputOf, termsMissing } from '@bay/core/money';
import { draftOfPlan } from '@bay/core/plan';
import { useJob, useRecords } from '../../sheet/index.ts';
import { useShopTerms, useTerms } from '../useShopTerms.ts';

/** The quote as it stands now, from the plan and what people decided of its lines. */
export function useDraft(sees: boolean) {
  const { sheet, plan } = useJob();
  const decisions = useRecords('quote-line');
  const kitRecords = useRecords('kit');
  const read = useTerms(sees);
  const withDonor = sheet.units.some((u) => u.role === 'donor');
  const terms = useShopTerms(sees);
  return useMemo(() => {
    const { estimate, lines, foreseen } = draftOfPlan(
      { scope: plan.scope, kit: plan.kit, ownLines: plan.ownLines },
      withDonor,
      terms,
      {
        kit: kitRecords,
        decisions,
      },
    );
    return {
      terms,
      revision: read.data?.revision ?? 0,
      known: read.data !== undefined,
      estimate,
      lines,
      foreseen,
      missing: termsMissing(lines, terms),
      offer: offerOf(lines, estimate, terms),
      risk: {
        carried: riskInputOf(lines, estimate.causes, terms),
        asExtra: riskInputOf(lines, estimate.causes, terms, { carriesOpen: false }),
      },
    };
  }, [plan.scope, plan.kit, plan.ownLines, kitRecords, decisions, read.data, terms, withDonor]);
}
export type Draft = ReturnType<typeof useDraft>;
