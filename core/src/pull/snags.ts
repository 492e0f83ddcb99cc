import type { HeldFor } from './step-states.ts';
import type { SnagRecord, SnagWay } from './records.ts';
import type { StepChanges } from './types.ts';

/** What was found otherwise than planned, as it changes the time and the order of steps. Common practice, no source. */

const hour = 3_600_000;

/** Before heat comes near: no open fuel. */
const stateOfWay: Readonly<Partial<Record<SnagWay, string>>> = { heat: 'st-hot-work-ok', cut: 'st-hot-work-ok' };
/** Nothing is cut before it is written what is scrap. */
const firstOfWay: Readonly<Partial<Record<SnagWay, string>>> = { cut: 'rm-fate-list' };

/** Still to be dealt with. */
export const snagOpen = ({ ended, removed }: SnagRecord): boolean => ended === undefined && removed === undefined;

/** When it may be tried again, ISO; nothing where it is not soaked. */
export const soakedAt = ({ at, soakHours }: SnagRecord): string | undefined =>
  at === undefined || soakHours === undefined ? undefined : new Date(Date.parse(at) + soakHours * hour).toISOString();

/** Minutes that were found to come on top of a step, by the key of its record. */
export function extraMinutesOf(snags: Readonly<Record<string, SnagRecord>>): Map<string, number> {
  const extra = new Map<string, number>();
  for (const { step, extraMinutes, removed } of Object.values(snags))
    if (extraMinutes !== undefined && !removed) extra.set(step, (extra.get(step) ?? 0) + extraMinutes);
  return extra;
}

/** What steps wait for: penetrant that soaks is tried when its hours are over, and not before. */
export const soakWaits = (snags: Readonly<Record<string, SnagRecord>>): { step: string; held: HeldFor }[] =>
  Object.values(snags).flatMap((snag) => {
    const until = snagOpen(snag) ? soakedAt(snag) : undefined;
    return until === undefined
      ? []
      : [{ step: snag.step, held: { waitsFor: `penetrant to soak (${snag.what})`, due: until } }];
  });

/** What they change in the order of one list, whose keys begin so. */
export function snagChanges(snags: Readonly<Record<string, SnagRecord>>, prefix: '' | 'donor-'): StepChanges[] {
  return Object.values(snags).flatMap((snag): StepChanges[] => {
    if (!snagOpen(snag) || !snag.step.startsWith(`${prefix}rm-`)) return [];
    const step = snag.step.slice(prefix.length);
    const states = [...new Set(snag.ways.flatMap((w) => stateOfWay[w] ?? []))];
    const first = [...new Set(snag.ways.flatMap((w) => firstOfWay[w] ?? []))].filter((f) => f !== step);
    if (states.length === 0 && first.length === 0) return [];
    return [
      {
        id: `snag:${step}:${[...states, ...first].join()}`,
        addsNeeds: states.map((state) => [step, state] as const),
        addsOrder: first.map((f) => [f, step] as const),
      },
    ];
  });
}
