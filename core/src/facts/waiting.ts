/** A fact that nobody knows, and how many verdicts and lines wait for it. */
export interface Awaited {
  factId: string;
  lines: number;
}

/** Facts that nobody knows, the one that most lines wait for first. */
export const mostAwaited = (waiting: ReadonlyMap<string, readonly string[]>): Awaited[] =>
  [...waiting]
    .map(([factId, lines]) => ({ factId, lines: lines.length }))
    .sort((a, b) => b.lines - a.lines || (a.factId < b.factId ? -1 : 1));
