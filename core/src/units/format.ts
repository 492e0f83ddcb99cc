import { fromSi, toSi, unitOf } from './units.ts';

/** A number in `unit` with the figures that unit is read to, trailing zeros off: "149.23 mm". */
export function formatMeasure(value: number, unit: string, digits = unitOf(unit).digits): string {
  if (unit === 'AWG') return `${Math.round(value)} AWG`;
  const scale = 10 ** digits;
  // A half is rounded up as on paper, also where binary fractions fall just short of it.
  const rounded = (Math.sign(value) * Math.round(Math.abs(value) * scale * (1 + 1e-12))) / scale;
  const text = (Object.is(rounded, -0) ? 0 : rounded).toString();
  return unit === '' ? text : unit === '%' ? `${text} %` : `${text} ${unit}`;
}

/**
 * Figures after the point that a number needs in another unit so that it says no less than it did: 86.00 and 86.01 mm are two
 * sizes in inches too, and 0.0015 in is not 0.04 mm.
 *
 * @param decimals figures after the point in the first unit
 */
export function digitsInto(from: string, to: string, decimals: number): number {
  const step = (10 ** -decimals * unitOf(from).factor) / unitOf(to).factor;
  // A step that is nearly as fine will do: 65 N·m is 47.9 lbf·ft and not 47.94.
  const needed = Math.ceil(-Math.log10(step) - 0.15);
  return Math.min(6, Math.max(unitOf(to).digits, Number.isFinite(needed) ? needed : 0));
}

/** The same amount in the other system ("5.875 in" for 149.2 mm), or undefined where people use one unit only. */
export function otherSystem(value: number, unit: string, decimals = unitOf(unit).digits): string | undefined {
  const u = unitOf(unit);
  if (!u.other) return undefined;
  return formatMeasure(fromSi(toSi(value, unit), u.other), u.other, digitsInto(unit, u.other, decimals));
}
