import { isGone } from '../parts/records.ts';
import type { PartRecord } from '../parts/records.ts';
import type { HarvestLine } from './harvest.ts';

/** The last chance before a shell goes: what is still on it that somebody wants, and what is off and in it. */
export interface ShellDue {
  /** Titles of the harvest list of which nobody took the part or left it on by name. */
  untaken: readonly string[];
  /** Parts that came off it, are kept for a job, and have no place of their own. */
  unplaced: readonly string[];
}

/** What stands against letting the shell go. A line is settled by a part that came off, is missing, or was left on its car by name. */
export function shellDue(harvest: readonly HarvestLine[], parts: readonly PartRecord[]): ShellDue {
  const settled = new Set(parts.map((p) => p.takeId));
  return {
    untaken: harvest.filter((l) => !settled.has(l.part.id)).map((l) => l.part.title),
    unplaced: parts
      .filter((p) => p.fate !== 'fitted' && p.fate !== 'left-off' && !isGone(p.fate) && p.place.trim() === '')
      .map((p) => p.title),
  };
}

/** Why the shell cannot go, in a sentence; nothing where it can. */
export function againstShell({ untaken, unplaced }: ShellDue): string | undefined {
  const some = (titles: readonly string[]): string =>
    `${titles.slice(0, 3).join(', ')}${titles.length > 3 ? ` and ${titles.length - 3} more` : ''}`;
  if (untaken.length > 0)
    return `Still on it by the harvest list: ${some(untaken)}. Take it off, or write it as left on its car.`;
  if (unplaced.length > 0) return `Off it and without a place: ${some(unplaced)}. Say where it lies first.`;
  return undefined;
}
