/** Measuring and reporting, shared by the benchmarks. */

interface Line {
  what: string;
  good: boolean;
}
const lines: Line[] = [];

export const quantile = (values: readonly number[], q: number): number =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(q * values.length))]!;
export const ms = (n: number): string => `${n.toFixed(1)} ms`;

export function report(what: string, measured: string, limit: string, good: boolean): void {
  lines.push({ what, good });
  process.stdout.write(`${good ? 'ok  ' : 'OVER'} ${what}: ${measured} (limit ${limit})\n`);
}

export const allGood = (): boolean => lines.every((l) => l.good);

export async function times(n: number, work: () => Promise<unknown>): Promise<number[]> {
  const taken: number[] = [];
  for (let i = 0; i < n; i += 1) {
    const start = performance.now();
    await work();
    taken.push(performance.now() - start);
  }
  return taken;
}
