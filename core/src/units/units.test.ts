import fc from 'fast-check';
import { unit as mathUnit } from 'mathjs';
import { describe, expect, it } from 'vitest';
import {
  areaOfGauge,
  convert,
  findUnit,
  formatMeasure,
  gaugeOfArea,
  otherSystem,
  parseMeasure,
  toSi,
  unitOf,
  units,
} from './index.ts';

/** Our symbol as the independent unit library (mathjs) writes it. */
const mathName: Record<string, string> = {
  mm: 'mm',
  cm: 'cm',
  m: 'm',
  km: 'km',
  in: 'inch',
  ft: 'ft',
  mi: 'mi',
  kg: 'kg',
  g: 'g',
  lb: 'lbm',
  oz: 'oz',
  bar: 'bar',
  kPa: 'kPa',
  MPa: 'MPa',
  psi: 'psi',
  'N·m': 'N m',
  'lbf·ft': 'lbf ft',
  'lbf·in': 'lbf inch',
  kW: 'kW',
  W: 'W',
  hp: 'hp',
  L: 'L',
  mL: 'mL',
  'cm³': 'cm^3',
  'in³': 'inch^3',
  'US gal': 'gallon',
  qt: 'quart',
  'L/h': 'L/hour',
  'L/min': 'L/minute',
  'mL/min': 'mL/minute',
  'm³/h': 'm^3/hour',
  cfm: 'ft^3/minute',
  'US gal/h': 'gallon/hour',
  deg: 'deg',
  V: 'V',
  mV: 'mV',
  A: 'A',
  mA: 'mA',
  ohm: 'ohm',
  'mm²': 'mm^2',
  'km/h': 'km/hour',
  mph: 'mi/hour',
  s: 's',
  min: 'minute',
  h: 'hour',
};
const siOf: Record<string, string> = {
  length: 'm',
  mass: 'kg',
  pressure: 'Pa',
  torque: 'N m',
  power: 'W',
  volume: 'm^3',
  'volume-flow': 'm^3/s',
  angle: 'rad',
  voltage: 'V',
  current: 'A',
  resistance: 'ohm',
  area: 'm^2',
  speed: 'm/s',
  time: 's',
};

describe('factors against an independent unit library (mathjs)', () => {
  it.each(Object.entries(mathName))('%s', (symbol, name) => {
    const kind = unitOf(symbol).kind;
    const theirs = mathUnit(1, name).toNumber(siOf[kind]);
    // mathjs rounds its psi and horsepower to ten figures; ours are the exact definitions.
    expect(toSi(1, symbol) / theirs).toBeCloseTo(1, 7);
  });

  it.each([
    // NIST SP 811 App. B (from memory)
    [1, 'in', 'mm', 25.4],
    [1, 'mi', 'm', 1609.344],
    [1, 'US gal', 'L', 3.785411784],
    [1, 'lbf·ft', 'N·m', 1.3558179483314],
    [1, 'psi', 'kPa', 6.894757293168],
    [1, 'hp', 'W', 745.69987158],
    [1, 'PS', 'W', 735.49875],
    [1, 'inHg', 'kPa', 3.38638],
    [100, '°C', '°F', 212],
    [-40, '°F', '°C', -40],
    [0, '°C', '°F', 32],
  ])('%d %s is %s %d', (value, from, to, wanted) => {
    expect(convert(value, from, to)).toBeCloseTo(wanted, 6);
  });

  it('refuses to turn a pressure into a length', () => {
    expect(() => convert(1, 'bar', 'mm')).toThrow(/Cannot turn/);
  });
});

describe('wire gauges (ASTM B258)', () => {
  it.each([
    [12, 3.309],
    [10, 5.261],
    [4, 21.15],
    [-1, 67.43],
  ])('gauge %d is %d mm²', (gauge, mm2) => {
    expect(areaOfGauge(gauge) * 1e6).toBeCloseTo(mm2, mm2 > 10 ? 1 : 3);
  });
  it('goes back from area to gauge', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -3, max: 40 }),
        (g) => Math.abs(gaugeOfArea(areaOfGauge(g)) - g) < 1e-9,
      ),
    );
  });
});

const value = (text: string, kept: string): number => {
  const read = parseMeasure(text, kept);
  if (!read.ok) throw new Error(read.sentence);
  return read.measure.value;
};

describe('mixed entry', () => {
  it.each([
    ['5 7/8', 'mm', 5.875],
    ['5 7/8 in', 'mm', 149.225],
    ['5⅞"', 'mm', 149.225],
    ['4 1/2', 'm', 4.5],
    ['40 ft-lbs', 'N·m', 54.2327],
    ['90 in-lbs', 'N·m', 10.1686],
    ['400 pounds', 'kg', 181.437],
    ['40 pounds', 'bar', 2.7579],
    ['4.5 liters', 'L', 4.5],
    ['5 quarts', 'L', 4.7318],
    ['2 gallons', 'L', 7.5708],
    ['30 thou', 'mm', 0.762],
    ['.030"', 'mm', 0.762],
    ['15 µm', 'mm', 0.015],
    ['AWG 12', 'mm²', 3.3088],
    ['12 ga', 'mm²', 3.3088],
    ['2/0', 'mm²', 67.4309],
    ['12', 'mm²', 12],
    ['10k', 'ohm', 10000],
    ['4.7 kΩ', 'ohm', 4700],
    ['255 L/hr', 'L/h', 255],
    ['20 lb/hr', 'mL/min', 209.996],
    ['12°BTDC', 'deg', 12],
    ['4° ATDC', 'deg', -4],
    ['1013 mbar', 'kPa', 101.3],
    ['960 hPa', 'kPa', 96],
    ['960', 'hPa', 960],
    ['43.5 psig', 'bar', 2.99922],
    ['3.73:1', '', 3.73],
    ['6.5k rpm', 'rpm', 6500],
    ['6.500 rpm', 'rpm', 6500],
    ['6,500', 'rpm', 6500],
    ['114.900 km', 'km', 114900],
    ['500,000', 'km', 500000],
    ['0.500', 'km', 0.5],
    ['86.010', 'mm', 86.01],
    ['1,234,567', 'mm', 1234567],
    ['5-7/8 in', 'mm', 149.225],
    ['5-7/8"', 'mm', 149.225],
    ['7/8', 'in', 0.875],
    ['149.2', 'mm', 149.2],
    ['149,2 mm', 'mm', 149.2],
    ['14\'6"', 'm', 4.4196],
    ['14\' 6 1/2"', 'mm', 4432.3],
    ['3 ft 1 in', 'mm', 939.8],
    ['0.75 bar', 'bar', 0.75],
    ['11 psi', 'bar', 0.758423],
    ['40 lbft', 'N·m', 54.2327],
    ['40 lb-ft', 'N·m', 54.2327],
    ['65 Nm', 'N·m', 65],
    ['3 deg', 'deg', 3],
    ['3°', 'deg', 3],
    ['255 l/h', 'L/h', 255],
    ['255 lph', 'L/h', 255],
    ['-6 AN', 'mm', 9.525],
    ['AN-8', 'in', 0.5],
    ['12 AWG', 'mm²', 3.3088],
    ['2/0 AWG', 'mm²', 67.4309],
    ['1,234.5 mm', 'mm', 1234.5],
    ['1.234,5', 'mm', 1234.5],
    ['-13 mm', 'mm', -13],
    ['− 13', 'mm', -13],
    ['.5', 'mm', 0.5],
    ['1e3', '', 1000],
    ['54000 mi', 'km', 86904.576],
    ['88 hp', 'kW', 65.6216],
    ['32 °F', '°C', 0],
    ['-40 C', '°C', -40],
    ['3.5 L', 'cm³', 3500],
    ['350 ci', 'cm³', 5735.47],
    ['12.7 V', 'V', 12.7],
    ['40 mV', 'V', 0.04],
  ])('%s in a %s field', (text, kept, wanted) => {
    expect(value(text, kept)).toBeCloseTo(wanted, wanted > 100 ? 2 : 3);
  });

  it.each([
    ['', 'mm', /Nothing typed/],
    ['abc', 'mm', /does not start with a number/],
    ['40 lbft', 'bar', /is a torque; a value in bar/],
    ['12 furlongs', 'mm', /"furlongs" is not a unit/],
    ['5 1/0', 'mm', /divides by zero/],
    ['1,234', 'mm', /can be 1.234 or 1234/],
    ['50/50', '', /a share or a pair/],
    ['10/30', 'mm', /a share or a pair/],
    ['1.2.3', 'mm', /more than one "."/],
    ['1,2.3,4', 'mm', /mixes points and commas/],
    ['Infinity', 'mm', /does not start with a number/],
    ['NaN', '', /does not start with a number/],
    ['1e40', 'mm', /too large/],
    ['12 mm', '', /plain number/],
    ['3 4 5', 'mm', /not a number/],
    ['12 AWG', 'mm', /is not a unit|is a area|is a/],
  ])('%s in a %s field is refused', (text, kept, sentence) => {
    const read = parseMeasure(text, kept);
    expect(read.ok).toBe(false);
    if (!read.ok) expect(read.sentence).toMatch(sentence);
  });

  it('says what it understood in both systems', () => {
    const inch = parseMeasure('5 7/8 in', 'mm');
    expect(inch.ok && inch.measure.understood).toBe('5 7/8 in = 149.23 mm');
    const metric = parseMeasure('149,2', 'mm');
    expect(metric.ok && metric.measure.understood).toBe('149.2 mm = 5.874 in');
    const dash = parseMeasure('-6 AN', 'mm');
    expect(dash.ok && dash.measure.understood).toContain('9.53 mm');
  });

  it('two sizes do not read the same in the other system', () => {
    const shown = (text: string, kept: string) => {
      const read = parseMeasure(text, kept);
      return read.ok ? read.measure.understood : read.sentence;
    };
    expect(shown('86.00', 'mm')).not.toBe(shown('86.01', 'mm').replace('86.01', '86'));
    expect(shown('86.01', 'mm')).toBe('86.01 mm = 3.3862 in');
    expect(shown('0.0015 in', 'mm')).toBe('0.0015 in = 0.038 mm');
  });

  it('keeps what was typed untouched', () => {
    const read = parseMeasure(' 5 7/8 ', 'mm');
    expect(read.ok && read.measure.typed).toBe(' 5 7/8 ');
  });

  it('reads back what it writes, for every unit', () => {
    const written = units.filter((u) => u.symbol !== 'AWG');
    fc.assert(
      fc.property(
        fc.constantFrom(...written),
        fc.double({ min: -1e6, max: 1e6, noNaN: true }),
        (u, n) => {
          const shown = formatMeasure(n, u.symbol);
          const read = parseMeasure(shown, u.symbol);
          return read.ok && Math.abs(read.measure.value - n) <= 0.5000001 * 10 ** -u.digits;
        },
      ),
    );
  });

  it('never throws, whatever is typed', () => {
    fc.assert(
      fc.property(
        fc.string(),
        fc.constantFrom('mm', 'bar', '', 'mm²', '°C'),
        (text, kept) => typeof parseMeasure(text, kept).ok === 'boolean',
      ),
    );
  });

  it('reads every fraction of an inch down to sixty-fourths', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 40 }),
        fc.integer({ min: 1, max: 63 }),
        (whole, top) =>
          Math.abs(value(`${whole} ${top}/64 in`, 'mm') - (whole + top / 64) * 25.4) < 1e-9,
      ),
    );
  });
});

describe('the other system', () => {
  it.each([
    [149.225, 'mm', '5.875 in'],
    [1, 'bar', '14.5 psi'],
    [65, 'N·m', '47.9 lbf·ft'],
    [83, '°C', '181.4 °F'],
  ])('%d %s', (n, unit, wanted) => {
    expect(otherSystem(n, unit)).toBe(wanted);
  });
  it('is left out where people use one unit only', () => {
    expect(otherSystem(12, 'V')).toBeUndefined();
  });
  it('finds units by the words people use', () => {
    expect(findUnit('lb-ft')?.symbol).toBe('lbf·ft');
    expect(findUnit('furlong')).toBeUndefined();
  });
});
