/**
 * Greatest value of c·x under A x ≤ b with low ≤ x ≤ high, for a handful of unknowns and any number of rows. By the dual simplex
 * method (Lemke 1954, from memory): it stands on as many limits as there are unknowns, and exchanges one for the row that is broken
 * most, until none is.
 */
export interface LinearProgram {
  /** What each unknown is worth. */
  worth: readonly number[];
  rows: readonly { of: readonly number[]; most: number }[];
  low: readonly number[];
  high: readonly number[];
}

export interface Optimum {
  x: number[];
  /** What a greater limit of each row is worth: by how much the optimum grows for each unit of `most`. */
  rowPrices: number[];
  /** The same for the limits of the unknowns. */
  lowPrices: number[];
  highPrices: number[];
}

/** A worth that is nothing is taken as next to nothing, each a little other, so that no corner ties with another. */
const nextToNothing = 1e-9;

/** A limit that is broken by less than this is kept. */
const slack = 1e-9;

/**
 * Solves it. The limits of the unknowns must be finite and in order, and some x must meet all; otherwise nothing is given.
 *
 * Row k of the basis is the limit that x stands on there; `inverse` is the inverse of those rows, kept up by one exchange at a time.
 */
export function maximise({ worth, rows, low, high }: LinearProgram): Optimum | undefined {
  const n = worth.length;
  const m = rows.length;
  const limits = new Float64Array(m * n);
  rows.forEach((row, i) => limits.set(row.of, i * n));
  const inverse = new Float64Array(n * n);
  const x = new Float64Array(n);
  const prices = new Float64Array(n);
  const shares = new Float64Array(n);
  // Limits in a row: those given, then x_j ≤ high_j, then −x_j ≤ −low_j. One begins at the better end of every unknown.
  const basis = new Int32Array(n);
  for (let j = 0; j < n; j += 1) {
    const w = worth[j] === 0 ? nextToNothing * (1 + j / 7) : worth[j]!;
    basis[j] = w > 0 ? m + j : m + n + j;
    inverse[j * n + j] = w > 0 ? 1 : -1;
    x[j] = w > 0 ? high[j]! : low[j]!;
    prices[j] = Math.abs(w);
  }
  for (let round = 0; round < 80 + m; round += 1) {
    let entering = -1;
    let over = slack;
    for (let i = 0, k = 0; i < m; i += 1) {
      let by = -rows[i]!.most;
      for (let j = 0; j < n; j += 1, k += 1) by += limits[k]! * x[j]!;
      if (by > over) {
        over = by;
        entering = i;
      }
    }
    for (let j = 0; j < n; j += 1) {
      const above = x[j]! - high[j]!;
      const below = low[j]! - x[j]!;
      if (above > over) {
        over = above;
        entering = m + j;
      }
      if (below > over) {
        over = below;
        entering = m + n + j;
      }
    }
    if (entering < 0) return optimumOf(x, prices, basis, m, n);
    let leaving = -1;
    let least = Infinity;
    for (let k = 0; k < n; k += 1) {
      let share = 0;
      if (entering < m) for (let j = 0; j < n; j += 1) share += limits[entering * n + j]! * inverse[j * n + k]!;
      else if (entering < m + n) share = inverse[(entering - m) * n + k]!;
      else share = -inverse[(entering - m - n) * n + k]!;
      shares[k] = share;
      if (share <= 1e-12) continue;
      const ratio = Math.max(0, prices[k]!) / share;
      if (ratio < least) {
        least = ratio;
        leaving = k;
      }
    }
    if (leaving < 0) return undefined;
    const share = shares[leaving]!;
    for (let j = 0; j < n; j += 1) {
      const step = inverse[j * n + leaving]! / share;
      x[j]! -= step * over;
      for (let k = 0; k < n; k += 1)
        inverse[j * n + k] = k === leaving ? step : inverse[j * n + k]! - shares[k]! * step;
    }
    const price = prices[leaving]! / share;
    for (let k = 0; k < n; k += 1) prices[k] = k === leaving ? price : prices[k]! - shares[k]! * price;
    basis[leaving] = entering;
  }
  return undefined;
}

function optimumOf(x: Float64Array, prices: Float64Array, basis: Int32Array, m: number, n: number): Optimum {
  const price = (limit: number): number => {
    const k = basis.indexOf(limit);
    return k < 0 || prices[k]! < 1e-6 ? 0 : prices[k]!;
  };
  const priced = (from: number, count: number): number[] => Array.from({ length: count }, (_, i) => price(from + i));
  return { x: [...x], rowPrices: priced(0, m), highPrices: priced(m, n), lowPrices: priced(m + n, n) };
}
