import { consumables } from './data/consumables.ts';
import type { Consumable } from './data/consumables.ts';

const byStep = new Map<string, Consumable[]>();
for (const one of consumables) for (const step of one.steps) byStep.set(step, [...(byStep.get(step) ?? []), one]);

/** What a step uses up; none where the content names nothing. */
export const usedUpAt = (stepId: string): readonly Consumable[] => byStep.get(stepId) ?? [];

/** What steps that are still to be done use up, each once, with those steps. */
export function usedUpBy(stepIds: Iterable<string>): { what: Consumable; steps: readonly string[] }[] {
  const ids = new Set(stepIds);
  return consumables.flatMap((what) => {
    const steps = what.steps.filter((id) => ids.has(id));
    return steps.length > 0 ? [{ what, steps }] : [];
  });
}
