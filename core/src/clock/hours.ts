/** What the hours went into, and how they stand beside the estimate. Times are ISO strings; hours are decimal. */

export const workKinds = ['work', 'diagnosis', 'fabrication', 'waiting', 'rework'] as const;
export type WorkKind = (typeof workKinds)[number];

export interface Stint {
  about: string | null;
  title: string;
  station: string;
  person: string;
  work: WorkKind;
  /** Least and most minutes, where there was an estimate. */
  estimate: readonly number[] | null;
  startedAt: string;
  endedAt: string | null;
}

const msPerHour = 3_600_000;

/** Hours of a stint, counted to `now` while it runs. Never below zero. */
export const hoursOf = (s: Pick<Stint, 'startedAt' | 'endedAt'>, now: string): number =>
  Math.max(0, (Date.parse(s.endedAt ?? now) - Date.parse(s.startedAt)) / msPerHour);

export interface HoursLine {
  name: string;
  hours: number;
  /** Of these, hours that were rework. */
  rework: number;
  /** Estimate in hours, least and most, counted once for each step; none where no step had one. */
  estimate?: readonly [number, number];
  word: 'inside' | 'under' | 'over' | 'no-estimate';
}

/** Sums stints by what `nameOf` says, the largest first. */
export function hoursBy(stints: readonly Stint[], nameOf: (s: Stint) => string, now: string): HoursLine[] {
  const groups = new Map<string, Stint[]>();
  for (const s of stints) groups.set(nameOf(s), [...(groups.get(nameOf(s)) ?? []), s]);
  return [...groups]
    .map(([name, own]): HoursLine => {
      const sum = (of: readonly Stint[]): number => of.reduce((h, s) => h + hoursOf(s, now), 0);
      const hours = sum(own);
      const estimates = new Map(own.flatMap((s) => (s.about && s.estimate ? [[s.about, s.estimate] as const] : [])));
      const rework = sum(own.filter((s) => s.work === 'rework'));
      if (estimates.size === 0) return { name, hours, rework, word: 'no-estimate' };
      const low = [...estimates.values()].reduce((m, e) => m + e[0]!, 0) / 60;
      const high = [...estimates.values()].reduce((m, e) => m + e.at(-1)!, 0) / 60;
      return {
        name,
        hours,
        rework,
        estimate: [low, high],
        word: hours < low ? 'under' : hours > high ? 'over' : 'inside',
      };
    })
    .sort((a, b) => b.hours - a.hours || (a.name < b.name ? -1 : 1));
}

/** The hours beside their estimates in a sentence: how many are over, and which by most. */
export function hoursSummary(lines: readonly HoursLine[]): string {
  const estimated = lines.filter((l) => l.estimate);
  if (estimated.length === 0) return 'Nothing of this had an estimate.';
  const over = estimated.filter((l) => l.word === 'over');
  if (over.length === 0) return `None of ${estimated.length} is over its estimate.`;
  const beyond = (l: HoursLine): number => l.hours - l.estimate![1];
  const worst = over.reduce((a, b) => (beyond(b) > beyond(a) ? b : a));
  return `${over.length} of ${estimated.length} over the estimate; most over: ${worst.name}, by ${beyond(worst).toFixed(1)} h.`;
}

/** Longest stretch that is taken for one sitting, hours: an eight-hour day with overtime. Common practice, no source. */
export const longestStretchHours = 10;

/** Was this clock forgotten? It runs longer than anyone works, or into another day than it began. */
export function looksForgotten(startedAt: string, now: string, dayOf: (iso: string) => string): boolean {
  return hoursOf({ startedAt, endedAt: null }, now) > longestStretchHours || dayOf(startedAt) !== dayOf(now);
}
