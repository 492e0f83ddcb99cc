import { takeoverSheet } from '../handover/takeover.ts';
import type { Running, TakeoverSheet } from '../handover/takeover.ts';
import type { StationId } from '../jobs/stations.ts';
import { recordsOf } from '../records/index.ts';
import type { RecordData, RecordKind } from '../records/index.ts';
import { nextGate } from './holding.ts';
import { torquesNow } from './input.ts';
import type { JobMaterial } from './input.ts';
import type { Plan } from './plan.ts';
import { workSteps } from './steps.ts';

/** The takeover sheet of a job, from its plan and its records. */
export function takeoverOf(
  job: { station: StationId; signedStations: readonly StationId[] },
  material: Pick<JobMaterial, 'records' | 'units'>,
  plan: Plan,
  running: readonly Running[],
): TakeoverSheet {
  const all = <K extends RecordKind>(kind: K): RecordData<K>[] => Object.values(recordsOf(material, kind));
  const donor = material.units.some((u) => u.role === 'donor');
  return takeoverSheet(
    job,
    {
      steps: workSteps(plan, recordsOf(material, 'task'), donor),
      nextGate: nextGate(job, plan),
      provisional: plan.provisional,
      waitingFor: plan.waitingFor,
      sheets: all('sheet'),
      joints: all('joint'),
      torques: torquesNow(material),
      bags: all('bag'),
      parts: all('part'),
      asks: all('ask'),
      holds: all('hold'),
      // A finding stays open whatever becomes of the unit it was made on.
      findings: material.records.flatMap((r) => (r.kind === 'finding' ? [r.data] : [])),
    },
    running,
  );
}
