import { recordsOf } from '../records/index.ts';
import { orderedAs } from './holding.ts';
import type { JobMaterial } from './input.ts';
import type { Plan } from './plan.ts';
import { workSteps } from './steps.ts';
import { titleOf } from './title.ts';

/**
 * A part beside the step that waits for it: the step waits for it alone, so it is late whatever its day says; the step waits for other
 * things as well; or it is here and its step cannot begin yet.
 */
export type PartTiming = 'late-for-step' | 'awaited' | 'too-early';

/** Of each kit line that a step was to wait for, how it stands beside that step; the most pressing where several wait. */
export function partTimings(
  material: Pick<JobMaterial, 'records' | 'units'>,
  plan: Plan,
): ReadonlyMap<string, PartTiming> {
  const rank: readonly PartTiming[] = ['late-for-step', 'awaited', 'too-early'];
  const found = new Map<string, PartTiming>();
  const say = (kitId: string, timing: PartTiming): void => {
    const now = found.get(kitId);
    if (now === undefined || rank.indexOf(timing) < rank.indexOf(now)) found.set(kitId, timing);
  };
  const byTitle = new Map(Object.keys(recordsOf(material, 'kit')).map((id) => [titleOf(id), id]));
  const donor = material.units.some((u) => u.role === 'donor');
  const steps = new Map(workSteps(plan, recordsOf(material, 'task'), donor).map((s) => [s.key, s]));
  for (const { about, waitsFor, released } of Object.values(recordsOf(material, 'hold'))) {
    const step = about === undefined ? undefined : steps.get(about);
    if (!step || step.status === 'done' || step.status === 'waived') continue;
    const others = step.heldBy.length + (step.unmet?.length ?? 0) + (step.waits?.length ?? 0) - (released ? 0 : 1);
    // A hold of an order carries the title of its line; one that somebody wrote is looked up by its words.
    const kitId = byTitle.get(waitsFor) ?? orderedAs(material, waitsFor);
    if (kitId === undefined) continue;
    if (!released) say(kitId, others > 0 ? 'awaited' : 'late-for-step');
    else if (others > 0) say(kitId, 'too-early');
  }
  return found;
}
