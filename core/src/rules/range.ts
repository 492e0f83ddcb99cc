/** Limits of a reading: where work goes on, and from where on it stops; between the two somebody looks. */
export interface Range {
  unit: string;
  /** Goes on from here, up to there; an end that is left out is open. */
  goOn: { min?: number; max?: number };
  /** Stops below, or above. */
  stop?: { below?: number; above?: number };
}

export const rangeWords = { 'goes-on': 'goes on', look: 'look', stop: 'stop' } as const;
export type RangeWord = keyof typeof rangeWords;

/** In which part of a range a value lies; the ends of what goes on belong to it. */
export function rangeWord(value: number, { goOn, stop = {} }: Range): RangeWord {
  if (value < (stop.below ?? -Infinity) || value > (stop.above ?? Infinity)) return 'stop';
  return value >= (goOn.min ?? -Infinity) && value <= (goOn.max ?? Infinity) ? 'goes-on' : 'look';
}

export interface RangeZone {
  word: RangeWord;
  /** 0 to 1 along the band. */
  from: number;
  to: number;
}

/** The parts of a band from left to right, a scale with air at both ends, and where values stand on it. */
export function rangeBand(
  range: Range,
  value?: number,
): { zones: RangeZone[]; limits: { value: number; at: number }[]; at: number | undefined } {
  const { goOn, stop = {} } = range;
  const limits = [...new Set([stop.below, goOn.min, goOn.max, stop.above].filter((n) => n !== undefined))].sort(
    (a, b) => a - b,
  );
  const shown = value === undefined ? limits : [...limits, value];
  const least = Math.min(...shown);
  const most = Math.max(...shown);
  const air = (most - least || Math.abs(most) || 1) * 0.3;
  const from = least - air;
  const span = most + air - from;
  const place = (n: number): number => (n - from) / span;
  const ends = [from, ...limits, from + span];
  const zones = ends.slice(1).map((end, i): RangeZone => {
    const start = ends[i]!;
    return { word: rangeWord((start + end) / 2, range), from: place(start), to: place(end) };
  });
  const merged: RangeZone[] = [];
  for (const zone of zones) {
    const before = merged.at(-1);
    if (before?.word === zone.word) before.to = zone.to;
    else merged.push({ ...zone });
  }
  return {
    zones: merged,
    limits: limits.map((n) => ({ value: n, at: place(n) })),
    at: value === undefined ? undefined : place(value),
  };
}
