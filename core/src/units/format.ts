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

/** The same amount in the other system ("5.875 in" for 149.2 mm), or undefined where people use one unit only. */
export function otherSystem(value: number, unit: string): string | undefined {
  const u = unitOf(unit);
  if (!u.other) return undefined;
  return formatMeasure(fromSi(toSi(value, unit), u.other), u.other);
}
