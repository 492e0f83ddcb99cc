/** Measuring and reporting, shared by the benchmarks. */

interface Figure {
  name: string;
  value: number;
  unit: string;
  /** What it was measured beside, in the same unit, where a ratio says more than the figure. */
  beside?: number;
  /** Most it may be: of the ratio where there is one, of the value otherwise. */
  limit?: number;
}

const figures: { name: string; good: boolean }[] = [];

export const quantile = (values: readonly number[], q: number): number =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(q * values.length))]!;

const round = (n: number): number => Number(n.toPrecision(4));

/** Says a figure in words, and as one line of JSON for programs. */
export function report({ name, value, unit, beside, limit }: Figure): void {
  const ratio = beside === undefined ? undefined : value / beside;
  const measured = ratio ?? value;
  const good = limit === undefined || measured <= limit;
  figures.push({ name, good });
  const besideWords = ratio === undefined ? '' : `; beside it ${round(beside!)} ${unit}, ratio ${ratio.toFixed(2)}`;
  const limitWords = limit === undefined ? 'none set' : ratio === undefined ? `${limit} ${unit}` : `ratio ${limit}`;
  process.stdout.write(
    `${good ? 'ok  ' : 'OVER'} ${name}: ${round(value)} ${unit}${besideWords} (limit ${limitWords})\n`,
  );
  const line = {
    name,
    value: round(value),
    unit,
    beside: beside === undefined ? null : round(beside),
    ratio: ratio === undefined ? null : round(ratio),
    limit: limit ?? null,
  };
  process.stdout.write(`${JSON.stringify(line)}\n`);
}

export const allGood = (): boolean => figures.every((f) => f.good);

/** Milliseconds that each of some runs took. */
export async function times(n: number, work: () => Promise<unknown>): Promise<number[]> {
  const taken: number[] = [];
  for (let i = 0; i < n; i += 1) {
    const start = performance.now();
    await work();
    taken.push(performance.now() - start);
  }
  return taken;
}

/** Runs two things in turn, so that what else the machine does meets both alike. */
export async function sideBySide(
  n: number,
  one: () => Promise<unknown>,
  other: () => Promise<unknown>,
): Promise<[number[], number[]]> {
  const taken: [number[], number[]] = [[], []];
  for (let i = 0; i < n; i += 1) {
    taken[0].push(...(await times(1, one)));
    taken[1].push(...(await times(1, other)));
  }
  return taken;
}
