/**
 * The units people type in a workshop, each with its exact factor to SI.
 * Factors: NIST SP 811 Appendix B (from memory; the tests confirm them with an independent unit library).
 */

export type UnitKind =
  | 'length'
  | 'mass'
  | 'pressure'
  | 'torque'
  | 'power'
  | 'volume'
  | 'volume-flow'
  | 'angle'
  | 'temperature'
  | 'voltage'
  | 'current'
  | 'charge'
  | 'resistance'
  | 'area'
  | 'speed'
  | 'rotation'
  | 'time'
  | 'fraction'
  | 'number';

export interface Unit {
  symbol: string;
  kind: UnitKind;
  /** SI value of one unit; for temperatures the size of one degree. */
  factor: number;
  /** Added after the factor, only for temperatures: kelvin at zero. */
  offset?: number;
  /** What else people write for it, lower case. */
  aliases: string[];
  /** The unit shown beside it, from the other system. */
  other?: string;
  /** Figures after the point when shown. */
  digits: number;
}

const inch = 0.0254;
const poundForce = 4.4482216152605;
const gallon = 3.785411784e-3;

const unit = (
  symbol: string,
  kind: UnitKind,
  factor: number,
  digits: number,
  other: string | undefined,
  aliases: string,
  offset?: number,
): Unit => ({
  symbol,
  kind,
  factor,
  digits,
  other,
  offset,
  aliases: aliases.split(' ').filter(Boolean),
});

export const units: readonly Unit[] = [
  unit('mm', 'length', 1e-3, 2, 'in', 'millimetre millimetres millimeter'),
  unit('cm', 'length', 1e-2, 2, 'in', 'centimetre centimetres'),
  unit('m', 'length', 1, 3, 'ft', 'metre metres meter'),
  unit('km', 'length', 1e3, 0, 'mi', 'kilometre kilometres'),
  unit('in', 'length', inch, 3, 'mm', 'inch inches " ″ ”'),
  unit('ft', 'length', 12 * inch, 2, 'm', "foot feet ' ′"),
  unit('mi', 'length', 1609.344, 0, 'km', 'mile miles'),
  unit('kg', 'mass', 1, 1, 'lb', 'kilo kilos kilogram'),
  unit('g', 'mass', 1e-3, 1, 'oz', 'gram grams'),
  unit('lb', 'mass', 0.45359237, 1, 'kg', 'lbs pound pounds'),
  unit('oz', 'mass', 0.028349523125, 2, 'g', 'ounce ounces'),
  unit('bar', 'pressure', 1e5, 2, 'psi', 'bars'),
  unit('kPa', 'pressure', 1e3, 1, 'psi', 'kpa'),
  unit('MPa', 'pressure', 1e6, 2, 'psi', 'mpa'),
  unit('psi', 'pressure', 6894.757293168, 1, 'bar', 'lbf/in2 pounds'),
  unit('inHg', 'pressure', 3386.38, 1, 'kPa', 'inhg'),
  unit('N·m', 'torque', 1, 1, 'lbf·ft', 'nm n.m n*m newtonmetre'),
  unit(
    'lbf·ft',
    'torque',
    poundForce * 12 * inch,
    1,
    'N·m',
    'lbft lb-ft lbf-ft ftlb ft-lb ftlbs lb.ft ft.lb lbf.ft footpounds',
  ),
  unit('lbf·in', 'torque', poundForce * inch, 1, 'N·m', 'lbin lb-in inlb in-lb'),
  unit('kW', 'power', 1e3, 1, 'hp', 'kw'),
  unit('W', 'power', 1, 0, undefined, 'w watt watts'),
  unit('hp', 'power', 745.6998715822702, 1, 'kW', 'bhp horsepower'),
  unit('PS', 'power', 735.49875, 1, 'kW', 'ps cv'),
  unit('L', 'volume', 1e-3, 2, 'US gal', 'l litre litres liter'),
  unit('mL', 'volume', 1e-6, 1, undefined, 'ml'),
  unit('cm³', 'volume', 1e-6, 1, 'in³', 'cm3 cc ccm'),
  unit('in³', 'volume', inch ** 3, 2, 'cm³', 'in3 cuin ci cid'),
  unit('US gal', 'volume', gallon, 2, 'L', 'usgal gal gallon gallons'),
  unit('qt', 'volume', gallon / 4, 2, 'L', 'quart quarts'),
  unit('L/h', 'volume-flow', 1e-3 / 3600, 1, 'US gal/h', 'l/h lph'),
  unit('L/min', 'volume-flow', 1e-3 / 60, 2, 'US gal/h', 'l/min lpm'),
  unit('mL/min', 'volume-flow', 1e-6 / 60, 1, undefined, 'ml/min cc/min ccm/min'),
  unit('m³/h', 'volume-flow', 1 / 3600, 0, 'cfm', 'm3/h'),
  unit('cfm', 'volume-flow', 0.3048 ** 3 / 60, 0, 'm³/h', 'ft3/min'),
  unit('US gal/h', 'volume-flow', gallon / 3600, 1, 'L/h', 'gal/h gph usgal/h'),
  unit('deg', 'angle', Math.PI / 180, 2, undefined, '° degree degrees'),
  unit('°C', 'temperature', 1, 1, '°F', 'c degc celsius', 273.15),
  unit('°F', 'temperature', 5 / 9, 1, '°C', 'f degf fahrenheit', 273.15 - (32 * 5) / 9),
  unit('V', 'voltage', 1, 2, undefined, 'v volt volts'),
  unit('mV', 'voltage', 1e-3, 0, undefined, 'mv'),
  unit('A', 'current', 1, 2, undefined, 'a amp amps ampere'),
  unit('mA', 'current', 1e-3, 0, undefined, 'ma'),
  unit('Ah', 'charge', 3600, 0, undefined, 'ah'),
  unit('ohm', 'resistance', 1, 3, undefined, 'ω Ω ohms'),
  unit('mm²', 'area', 1e-6, 3, 'AWG', 'mm2 sqmm'),
  unit('AWG', 'area', Number.NaN, 0, 'mm²', 'awg gauge'),
  unit('km/h', 'speed', 1 / 3.6, 1, 'mph', 'kmh kph'),
  unit('mph', 'speed', 1609.344 / 3600, 1, 'km/h', 'mi/h'),
  unit('rpm', 'rotation', 1 / 60, 0, undefined, 'r/min 1/min u/min'),
  unit('s', 'time', 1, 1, undefined, 'sec second seconds'),
  unit('min', 'time', 60, 1, undefined, 'minute minutes'),
  unit('h', 'time', 3600, 2, undefined, 'hour hours hr'),
  unit('years', 'time', 365.25 * 86400, 1, undefined, 'year'),
  unit('ppm', 'fraction', 1e-6, 1, undefined, ''),
  unit('%', 'number', 0.01, 1, undefined, 'percent'),
  unit('', 'number', 1, 4, undefined, ''),
];

const bySymbol = new Map(units.map((u) => [u.symbol, u]));
const byWord = new Map(
  units.flatMap((u) => [[u.symbol.toLowerCase(), u] as const, ...u.aliases.map((a) => [a, u] as const)]),
);
// Where lower case would confuse two units, the exact spelling decides first.
const exact = new Map<string, string>([
  ['MPa', 'MPa'],
  ['mPa', 'MPa'],
  ['W', 'W'],
  ['PS', 'PS'],
]);

/** The unit with this symbol. Throws on a symbol the table does not have: that is a mistake in our data, not in what was typed. */
export function unitOf(symbol: string): Unit {
  const found = bySymbol.get(symbol);
  if (!found) throw new Error(`Unknown unit symbol "${symbol}"`);
  return found;
}

/** The unit a person meant by a word ("lbft", "Nm", '"'), or undefined. */
export function findUnit(word: string): Unit | undefined {
  const spelled = exact.get(word);
  if (spelled) return bySymbol.get(spelled);
  return byWord.get(word.toLowerCase().replace(/\s+/g, '')) ?? byWord.get(word.toLowerCase().replace(/[.\s]+/g, ''));
}

/**
 * Copper area of an American wire gauge, m². Gauge 0000 is -3, 000 is -2, 00 is -1.
 * Source: ASTM B258, d = 0.127 mm · 92^((36 − n)/39).
 */
export function areaOfGauge(gauge: number): number {
  const diameterM = 0.127e-3 * 92 ** ((36 - gauge) / 39);
  return (Math.PI / 4) * diameterM ** 2;
}

/** The American wire gauge (not rounded) of a copper area in m²; the inverse of {@link areaOfGauge}. */
export function gaugeOfArea(areaM2: number): number {
  const diameterMm = Math.sqrt((4 * areaM2) / Math.PI) * 1000;
  return 36 - (39 * Math.log(diameterMm / 0.127)) / Math.log(92);
}

/** A number in `symbol` as SI. */
export function toSi(value: number, symbol: string): number {
  if (symbol === 'AWG') return areaOfGauge(value);
  const u = unitOf(symbol);
  return value * u.factor + (u.offset ?? 0);
}

/** An SI number in `symbol`. */
export function fromSi(si: number, symbol: string): number {
  if (symbol === 'AWG') return gaugeOfArea(si);
  const u = unitOf(symbol);
  return (si - (u.offset ?? 0)) / u.factor;
}

/** A number from one unit into another of the same kind. Throws when the kinds differ. */
export function convert(value: number, from: string, to: string): number {
  if (unitOf(from).kind !== unitOf(to).kind) throw new Error(`Cannot turn ${from} into ${to}`);
  return from === to ? value : fromSi(toSi(value, from), to);
}
