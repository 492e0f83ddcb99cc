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
  unit('mm', 'length', 1e-3, 2, 'in', 'millimetre millimetres millimeter millimeters'),
  unit('µm', 'length', 1e-6, 0, 'thou', 'μm um micron microns micrometre micrometres'),
  unit('cm', 'length', 1e-2, 2, 'in', 'centimetre centimetres centimeter centimeters'),
  unit('m', 'length', 1, 3, 'ft', 'metre metres meter meters'),
  unit('km', 'length', 1e3, 0, 'mi', 'kilometre kilometres kilometer kilometers kms'),
  unit('in', 'length', inch, 3, 'mm', "inch inches \" ″ ” ''"),
  unit('thou', 'length', inch / 1000, 1, 'mm', 'mil mils thousandth thousandths'),
  unit('ft', 'length', 12 * inch, 2, 'm', "foot feet ' ′"),
  unit('mi', 'length', 1609.344, 0, 'km', 'mile miles'),
  unit('kg', 'mass', 1, 1, 'lb', 'kilo kilos kilogram kilograms kgs'),
  unit('g', 'mass', 1e-3, 1, 'oz', 'gram grams'),
  unit('t', 'mass', 1e3, 3, 'lb', 'tonne tonnes'),
  unit('lb', 'mass', 0.45359237, 1, 'kg', 'lbs pound pounds'),
  unit('oz', 'mass', 0.028349523125, 2, 'g', 'ounce ounces'),
  unit('bar', 'pressure', 1e5, 2, 'psi', 'bars'),
  unit('kPa', 'pressure', 1e3, 1, 'psi', 'kpa'),
  unit('hPa', 'pressure', 1e2, 1, 'inHg', 'hpa'),
  unit('mbar', 'pressure', 1e2, 1, 'inHg', 'mbars millibar millibars'),
  unit('Pa', 'pressure', 1, 0, undefined, 'pascal pascals'),
  unit('mmHg', 'pressure', 133.322387415, 0, 'kPa', 'mmhg torr'),
  unit('MPa', 'pressure', 1e6, 2, 'psi', 'mpa'),
  unit('psi', 'pressure', 6894.757293168, 1, 'bar', 'psig psi(g) lbf/in2 lb/in2 lbs/in2 pounds lb lbs pound'),
  unit('inHg', 'pressure', 3386.38, 1, 'kPa', 'inhg'),
  unit('N·m', 'torque', 1, 1, 'lbf·ft', 'nm n.m n*m n-m newtonmetre newtonmetres newtonmeter newtonmeters'),
  unit(
    'lbf·ft',
    'torque',
    poundForce * 12 * inch,
    1,
    'N·m',
    'lbft lbsft lb-ft lbs-ft lbf-ft ftlb ft-lb ftlbs ft-lbs ftlbf ft-lbf lb.ft ft.lb lbf.ft footpound footpounds foot-pound foot-pounds poundfoot poundfeet pound-foot pound-feet',
  ),
  unit(
    'lbf·in',
    'torque',
    poundForce * inch,
    1,
    'N·m',
    'lbin lbsin lb-in lbs-in inlb inlbs in-lb in-lbs inlbf in-lbf lb.in in.lb inchpound inchpounds inch-pound inch-pounds',
  ),
  unit('kgf·m', 'torque', 9.80665, 2, 'N·m', 'kgm kgf-m kg-m kgfm mkg mkp'),
  unit('kW', 'power', 1e3, 1, 'hp', 'kw kilowatt kilowatts'),
  unit('W', 'power', 1, 0, undefined, 'w watt watts'),
  unit('hp', 'power', 745.6998715822702, 1, 'kW', 'bhp horsepower'),
  unit('PS', 'power', 735.49875, 1, 'kW', 'ps cv'),
  unit('L', 'volume', 1e-3, 2, 'US gal', 'l litre litres liter liters ltr'),
  unit('mL', 'volume', 1e-6, 1, undefined, 'ml millilitre millilitres milliliter milliliters'),
  unit('cm³', 'volume', 1e-6, 1, 'in³', 'cm3 cc ccm'),
  unit('in³', 'volume', inch ** 3, 2, 'cm³', 'in3 cuin ci cid'),
  unit('US gal', 'volume', gallon, 2, 'L', 'usgal gal gals gallon gallons usgallon usgallons'),
  unit('imp gal', 'volume', 4.54609e-3, 2, 'L', 'impgal ukgal imperialgallon imperialgallons'),
  unit('qt', 'volume', gallon / 4, 2, 'L', 'quart quarts qts usqt'),
  unit('pt', 'volume', gallon / 8, 2, 'L', 'pint pints pts'),
  unit('fl oz', 'volume', gallon / 128, 1, 'mL', 'floz fluidounce fluidounces'),
  unit('L/h', 'volume-flow', 1e-3 / 3600, 1, 'US gal/h', 'l/h l/hr lph litres/hour liters/hour'),
  unit('L/min', 'volume-flow', 1e-3 / 60, 2, 'US gal/h', 'l/min lpm litres/minute liters/minute'),
  unit('mL/min', 'volume-flow', 1e-6 / 60, 1, undefined, 'ml/min cc/min ccm/min cm3/min cm³/min'),
  // What injectors are sold by: petrol at 0.72 kg/L, so that 1 lb/h is 10.5 mL/min (common practice, no source).
  unit('lb/h', 'volume-flow', 0.45359237 / 720 / 3600, 1, 'mL/min', 'lb/hr lbs/h lbs/hr lbhr pph #/hr'),
  unit('m³/h', 'volume-flow', 1 / 3600, 0, 'cfm', 'm3/h m3/hr m³/hr'),
  unit('cfm', 'volume-flow', 0.3048 ** 3 / 60, 0, 'm³/h', 'ft3/min'),
  unit('US gal/h', 'volume-flow', gallon / 3600, 1, 'L/h', 'gal/h gal/hr gph usgal/h'),
  unit('deg', 'angle', Math.PI / 180, 2, undefined, '° degree degrees'),
  unit('°C', 'temperature', 1, 1, '°F', 'c degc celsius', 273.15),
  unit('°F', 'temperature', 5 / 9, 1, '°C', 'f degf fahrenheit', 273.15 - (32 * 5) / 9),
  unit('V', 'voltage', 1, 2, undefined, 'v volt volts'),
  unit('mV', 'voltage', 1e-3, 0, undefined, 'mv millivolt millivolts'),
  unit('A', 'current', 1, 2, undefined, 'a amp amps ampere amperes'),
  unit('mA', 'current', 1e-3, 0, undefined, 'ma'),
  unit('Ah', 'charge', 3600, 0, undefined, 'ah'),
  unit('ohm', 'resistance', 1, 3, undefined, 'ω Ω Ω ohms'),
  unit('kΩ', 'resistance', 1e3, 3, undefined, 'kω kω kohm kohms'),
  unit('mΩ', 'resistance', 1e-3, 1, undefined, 'mω mohm mohms milliohm milliohms'),
  unit('mm²', 'area', 1e-6, 3, 'AWG', 'mm2 sqmm'),
  unit('AWG', 'area', Number.NaN, 0, 'mm²', 'awg gauge ga g'),
  unit('km/h', 'speed', 1 / 3.6, 1, 'mph', 'kmh kph km/hr'),
  unit('mph', 'speed', 1609.344 / 3600, 1, 'km/h', 'mi/h'),
  unit('rpm', 'rotation', 1 / 60, 0, undefined, 'r/min 1/min u/min min-1 rev/min revs'),
  unit('s', 'time', 1, 1, undefined, 'sec secs second seconds'),
  unit('min', 'time', 60, 1, undefined, 'mins minute minutes'),
  unit('h', 'time', 3600, 2, undefined, 'hour hours hr hrs'),
  unit('years', 'time', 365.25 * 86400, 1, undefined, 'year yr yrs'),
  unit('ppm', 'fraction', 1e-6, 1, undefined, ''),
  unit('%', 'number', 0.01, 1, undefined, 'percent'),
  unit('', 'number', 1, 4, undefined, ''),
];

const bySymbol = new Map(units.map((u) => [u.symbol, u]));
const byWord = new Map<string, Unit[]>();
for (const u of units)
  for (const word of new Set([u.symbol.toLowerCase(), ...u.aliases.map((a) => a.toLowerCase())]))
    byWord.set(word, [...(byWord.get(word) ?? []), u]);
// Where lower case would confuse two units, the exact spelling decides first.
const exact = new Map<string, string>([
  ['MPa', 'MPa'],
  ['mPa', 'MPa'],
  ['W', 'W'],
  ['PS', 'PS'],
  ['mΩ', 'mΩ'],
  ['kΩ', 'kΩ'],
]);

/** The unit with this symbol. Throws on a symbol the table does not have: that is a mistake in our data, not in what was typed. */
export function unitOf(symbol: string): Unit {
  const found = bySymbol.get(symbol);
  if (!found) throw new Error(`Unknown unit symbol "${symbol}"`);
  return found;
}

/**
 * The unit a person meant by a word ("lbft", "Nm", '"'), or undefined. A word that several kinds share ("pounds") is of the kind
 * that is wanted, where one of them is.
 */
export function findUnit(word: string, kind?: UnitKind): Unit | undefined {
  const spelled = exact.get(word);
  if (spelled) return bySymbol.get(spelled);
  const low = word.toLowerCase();
  const found = byWord.get(low.replace(/\s+/g, '')) ?? byWord.get(low.replace(/[.\s]+/g, '')) ?? [];
  return found.find((u) => u.kind === kind) ?? found[0];
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
