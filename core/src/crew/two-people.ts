import { twoPersonSteps } from './data/two-people.ts';
import type { TwoPersonStep } from './types.ts';

const at = new Map<string, TwoPersonStep>(twoPersonSteps.flatMap((duo) => duo.at.map((id) => [id, duo] as const)));

/** Who must stand beside a step or a gate line, and what the shop does when nobody can; undefined: one person does it. */
export function twoPeopleAt(id: string): string | undefined {
  const duo = at.get(id);
  if (!duo) return undefined;
  const { bothMinutes: both } = duo;
  const long =
    both === undefined
      ? 'throughout'
      : `${both.least === both.most ? both.least : `${both.least}–${both.most}`} min (estimate)`;
  return `Two people, ${long}: ${duo.roles}. ${duo.alone === undefined ? 'Nobody does this alone' : `Alone: ${duo.alone}`}`;
}
