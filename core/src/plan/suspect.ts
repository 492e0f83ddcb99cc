import { faults } from '../diagnosis/index.ts';
import { recordsOf } from '../records/index.ts';
import { caseStanding, curedBy } from './case.ts';
import type { SuspectOf } from './holding.ts';

/** The first suspect of an open case, from everything that was seen and cured on the job. */
export const firstSuspect: SuspectOf = (material, plan, caseId) => {
  const all = recordsOf(material, 'case');
  const seen = Object.values(recordsOf(material, 'observation')).filter((o) => o.caseId === caseId && !o.withdrawn);
  const first = caseStanding(plan, all[caseId]!, seen, { cured: curedBy(Object.values(all)) }).suspects[0]!;
  return {
    suspect: faults.find((f) => f.id === first.id)?.title ?? 'none of the known faults',
    share: first.now,
  };
};
