import { counted } from '@bay/core/units';
import { recordsOf } from '@bay/core/records';
import type { StationId } from '@bay/core/jobs';
import { circuitCount, stepList } from '@bay/core/plan';
import type { Plan, StepListId } from '@bay/core/plan';
import { countSteps } from '@bay/core/pull';
import type { JobSheet } from '@bay/contract/jobs';

export interface Progress {
  said: string;
  /** 0 to 1; left out where nothing counts it. */
  share?: number;
  waits: boolean;
}

/** How far each station is, and whether something there waits for somebody. */
export function progressOf(sheet: JobSheet, plan: Plan): Record<StationId, Progress> {
  const count = (kind: string): number => sheet.records.filter((r) => r.kind === kind).length;
  const clashes = plan.fits.filter((l) => l.verdict.word === 'clash' && !l.resolved).length;
  const judged = plan.fits.filter((l) => l.verdict.word !== 'not-measured').length;
  const crank = plan.gates.find((g) => g.gate === 'First crank')!;
  const attempts = count('attempt');
  const openCase = Object.values(recordsOf(sheet, 'case')).some((c) => !c.closed);
  const followUps = Object.values(recordsOf(sheet, 'follow-up')).filter((f) => !f.done).length;
  const circuits = circuitCount(sheet, plan);
  const asked = sheet.facts.length + plan.waitingFor.size;
  const shared = (done: number, of: number): { share?: number } => (of > 0 ? { share: Math.min(1, done / of) } : {});
  const part = (done: number, of: number): Progress => ({
    said: `${done} of ${of}`,
    ...shared(done, of),
    waits: false,
  });
  const steps = (id: StepListId): Progress => {
    const { closed, of } = countSteps(stepList(plan, id, recordsOf(sheet, 'task')).states.values());
    return part(closed, of);
  };
  const all: Record<StationId, Progress> = {
    scope: { said: counted(sheet.facts.length, 'fact'), ...shared(sheet.facts.length, asked), waits: false },
    donor: part(count('part'), plan.harvest.length),
    pull: { ...steps('pull'), waits: plan.pull.contradictions.length > 0 },
    prep: steps('prep'),
    fit: {
      ...part(judged, plan.fits.length),
      ...(clashes > 0 ? { said: `${clashes} to decide`, waits: true } : {}),
    },
    connect: part(circuits.tested, circuits.of),
    start: {
      said: attempts > 0 ? `attempt ${attempts}` : `gate ${crank.proved} of ${crank.of}`,
      ...shared(crank.proved, crank.of),
      waits: openCase,
    },
    'hand-over': { said: followUps > 0 ? counted(followUps, 'follow-up') : '', waits: false },
  };
  for (const id of sheet.job.signedStations) all[id] = { said: 'signed', share: 1, waits: false };
  return all;
}
