/** Exhaust pipes. */

const hpOfKw = 1.34102;
const squareInch = 645.16;
/** Cubic feet of gas a minute for each horsepower, and through each square inch of pipe: common practice, no source. */
const gasForEachHp = 2.2;
const gasThroughSquareInch = 115;

/** Area that the pipes of an exhaust want together, mm², for so many kW. 2.2 cfm a horsepower at 115 cfm a square inch: common practice, no source. */
export function exhaustAreaMm2(powerKw: number): number {
  if (!(powerKw > 0)) throw new RangeError('A power is more than nothing.');
  return ((powerKw * hpOfKw * gasForEachHp) / gasThroughSquareInch) * squareInch;
}

/** Bore of each of so many pipes side by side, mm, for so many kW. */
export function exhaustBoreMm(powerKw: number, pipes: number): number {
  if (!(Number.isInteger(pipes) && pipes >= 1)) throw new RangeError('Pipes are counted whole.');
  return Math.sqrt((4 * exhaustAreaMm2(powerKw)) / pipes / Math.PI);
}
