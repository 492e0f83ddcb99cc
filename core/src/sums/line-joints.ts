/** Small lines: what a joint at each end is made of, and the sizes that go with a bore. */

export const lineEnds = ['hose-tail', 'banjo', 'flare', 'cone', 'cutting-ring', 'o-ring'] as const;
export type LineEnd = (typeof lineEnds)[number];

/** Pieces of one end. Common practice, no source. */
const pieces: Readonly<Record<LineEnd, readonly (readonly [piece: string, count: number])[]>> = {
  'hose-tail': [
    ['hose tail', 1],
    ['clamp', 1],
  ],
  banjo: [
    ['banjo', 1],
    ['banjo bolt', 1],
    ['sealing washer', 2],
  ],
  flare: [
    ['tube nut', 1],
    ['flare on the tube', 1],
  ],
  cone: [
    ['hose end', 1],
    ['adapter with cone', 1],
    ['sealing washer', 1],
  ],
  'cutting-ring': [
    ['union nut', 1],
    ['cutting ring', 1],
    ['stud coupling', 1],
    ['sealing washer', 1],
  ],
  'o-ring': [
    ['quick fitting', 1],
    ['O-ring', 1],
  ],
};

/** What a line carries, with the least bore that is usual for it, mm. Common practice, no source; the maker's manual goes first. */
export const lineUses = {
  'turbo-oil-feed': 3,
  'turbo-oil-drain': 16,
  'turbo-water': 8,
  'header-tank-vent': 6,
  'header-tank-feed': 16,
} as const;
export type LineUse = keyof typeof lineUses;

/** What a line is made of: every piece counted over both ends, and whether its bore is what is usual for its use. Refuses a drain with a banjo, which holds the oil back. */
export function lineRecipe(line: {
  use: LineUse;
  boreMm: number;
  lengthMm: number;
  ends: readonly [LineEnd, LineEnd];
}): { pieces: ReadonlyMap<string, number>; leastBoreMm: number; wide: boolean } {
  if (!(line.boreMm > 0 && line.lengthMm > 0)) throw new RangeError('Bore and length are more than nothing.');
  if (line.use === 'turbo-oil-drain' && line.ends.includes('banjo'))
    throw new RangeError('A drain by a banjo holds the oil back: a straight flange or a hose tail of its own bore.');
  const all = new Map<string, number>();
  for (const end of line.ends) for (const [piece, count] of pieces[end]) all.set(piece, (all.get(piece) ?? 0) + count);
  const leastBoreMm = lineUses[line.use];
  return { pieces: all, leastBoreMm, wide: line.boreMm >= leastBoreMm };
}
