import type { StationId } from '../jobs/stations.ts';

/** What closed jobs of the shop took beside what was reckoned for them, station by station. */

export interface StationPast {
  /** Closed jobs that it rests on. */
  jobs: number;
  /** Hours taken over hours reckoned, the middle one of those jobs. */
  ratio: number;
}
export type ShopHistory = Readonly<Partial<Record<StationId, StationPast>>>;

/** Hours by station. */
export type StationHours = Readonly<Partial<Record<StationId, number>>>;

/** Fewer jobs than these teach nothing. */
export const enoughJobs = 3;
/** Where less than this share of what was reckoned stands on the clocks, nobody clocked: that is no fast job. Common practice, no source. */
const leastClocked = 1 / 3;

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const mid = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1 ? sorted[mid]! : (sorted[mid - 1]! + sorted[mid]!) / 2;
}

/** What each station took over what was reckoned, by the jobs on which both are known. */
export function historyOf(jobs: readonly { reckoned: StationHours; taken: StationHours }[]): ShopHistory {
  const ratios = new Map<StationId, number[]>();
  for (const { reckoned, taken } of jobs)
    for (const [station, hours] of Object.entries(reckoned) as [StationId, number][]) {
      const ratio = hours > 0 ? (taken[station] ?? 0) / hours : 0;
      if (ratio >= leastClocked) ratios.set(station, [...(ratios.get(station) ?? []), ratio]);
    }
  return Object.fromEntries(
    [...ratios]
      .filter(([, all]) => all.length >= enoughJobs)
      .map(([station, all]) => [station, { jobs: all.length, ratio: median(all) }]),
  );
}
