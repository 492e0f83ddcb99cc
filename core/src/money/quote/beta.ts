/** Numbers of a beta distribution by chance: its inverse as a table, made once for each pair of shapes, so that a trial costs a look. */

/** Cells over which the density is summed, and steps of the table that is looked up. */
const cells = 2048;
const steps = 1024;

/**
 * Where a share of a beta distribution lies, for shares of 0 to 1 in even steps. The density is summed cell by cell at their middles; in
 * the first and the last, where it may have no end, by its own power. Shapes are above nought.
 */
function inverseOf(alpha: number, beta: number): Float64Array {
  if (!(alpha > 0 && beta > 0)) throw new RangeError('Shapes above nought');
  const width = 1 / cells;
  const sums = new Float64Array(cells + 1);
  for (let i = 0; i < cells; i += 1) {
    const x = (i + 0.5) * width;
    const mass =
      i === 0
        ? (width ** alpha / alpha) * (1 - x) ** (beta - 1)
        : i === cells - 1
          ? (width ** beta / beta) * x ** (alpha - 1)
          : x ** (alpha - 1) * (1 - x) ** (beta - 1) * width;
    sums[i + 1] = sums[i]! + mass;
  }
  const whole = sums[cells]!;
  const table = new Float64Array(steps + 1);
  let cell = 0;
  for (let k = 0; k <= steps; k += 1) {
    const share = (k / steps) * whole;
    while (cell < cells - 1 && sums[cell + 1]! < share) cell += 1;
    const mass = sums[cell + 1]! - sums[cell]!;
    table[k] = (cell + (mass > 0 ? Math.min(1, (share - sums[cell]!) / mass) : 0)) * width;
  }
  table[0] = 0;
  table[steps] = 1;
  return table;
}

const tables = new Map<string, Float64Array>();

/** The table of a pair of shapes; ranges of the same form share one. */
export function betaTable([alpha, beta]: readonly [number, number]): Float64Array {
  const key = `${alpha.toFixed(6)} ${beta.toFixed(6)}`;
  const known = tables.get(key);
  if (known) return known;
  if (tables.size > 2000) tables.clear();
  const made = inverseOf(alpha, beta);
  tables.set(key, made);
  return made;
}

/** The number at a share of the table, 0 up to 1: between two of its steps it goes straight. */
export function atShare(table: Float64Array, share: number): number {
  const place = share * steps;
  const low = Math.floor(place);
  const from = table[low]!;
  return from + (table[low + 1]! - from) * (place - low);
}
