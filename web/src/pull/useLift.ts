import { useMemo } from 'react';
import { bookOf } from '@bay/core/plan';
import { itemsOf, liftPlan } from '@bay/core/pull';
import type { LiftPlan, RigRecord } from '@bay/core/pull';
import { useJob, useRecords } from '../sheet/index.ts';

export type Lift = 'out' | 'in';

/** The lift of the car's own engine, or of the one that comes in, as it is known now. */
export function useLift(lift: Lift): { plan: LiftPlan; rig: RigRecord | undefined; unitId: string | undefined } {
  const { sheet, plan } = useJob();
  const rig = useRecords('rig')[lift];
  const written = useRecords('lift-item');
  const unitId = sheet.units.find((u) => u.role === (lift === 'out' ? 'own-engine' : 'engine'))?.id;
  const computed = useMemo(() => {
    const own = bookOf({ jobId: sheet.job.id, units: sheet.units, facts: sheet.facts }, [
      ['own-engine', 'eng-'],
      ['own-gearbox', 'gbx-'],
    ]);
    return liftPlan({
      unit: lift === 'out' ? own : plan.facts,
      job: plan.facts,
      rig,
      unitId,
      comesIn: lift === 'in',
      items: itemsOf(written, lift, unitId),
    });
  }, [sheet.job.id, sheet.units, sheet.facts, plan.facts, rig, written, unitId, lift]);
  return { plan: computed, rig, unitId };
}
