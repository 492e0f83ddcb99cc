import { areaOfGauge, findUnit, fromSi, toSi, unitOf } from './units.ts';
import type { Unit } from './units.ts';
import { digitsInto, formatMeasure, otherSystem } from './format.ts';

export interface Measure {
  /** The number in the unit that the field keeps. */
  value: number;
  /** The unit that the person meant. */
  unit: string;
  /** The number in that unit. */
  inUnit: number;
  /** What was typed, untouched. */
  typed: string;
  /** What the field took, in both systems: "5 7/8 in = 149.23 mm". */
  understood: string;
}

export type ParsedMeasure = { ok: true; measure: Measure } | { ok: false; sentence: string };

const refuse = (sentence: string): ParsedMeasure => ({ ok: false, sentence });

interface ReadNumber {
  value: number;
  /** Figures after the point, as typed. */
  decimals: number;
  /** A fraction, shown as it was typed. */
  fraction?: string;
}

type Unreadable = { unclear: string };

/** Of a fraction that somebody in a workshop writes: thirds and the like, or halves down to a hundred and twenty-eighths. */
const plainBottom = (n: number): boolean => n <= 10 || [16, 32, 64, 128].includes(n);

function readFraction(text: string): ReadNumber | Unreadable | undefined {
  const mixed = /^(?:(\d+)(?:\s+|\s*-\s*))?(\d+)\s*\/\s*(\d+)$/.exec(text);
  if (!mixed) return undefined;
  const [whole, top, bottom] = [mixed[1], Number(mixed[2]), Number(mixed[3])] as const;
  if (bottom === 0) return { unclear: `"${text}" divides by zero.` };
  if (!plainBottom(bottom) || top === bottom || (whole !== undefined && top > bottom))
    return { unclear: `"${text}" is no size: it reads like a share or a pair. Write one number.` };
  return { value: Number(whole ?? 0) + top / bottom, decimals: 0, fraction: text };
}

/**
 * One rule for points and commas. The last of two different signs is the decimal one; a sign that comes more than once parts
 * thousands. A single sign is decimal, unless exactly three figures follow one to three: that parts thousands in a unit that is
 * read in whole numbers (km, rpm); elsewhere a point is decimal, and a comma cannot be known and is asked about.
 */
function readDecimal(text: string, wholeUnit: boolean): ReadNumber | Unreadable | undefined {
  if (!/^[\d.,]*\d[\d.,]*(?:e[+-]?\d+)?$/i.test(text)) return undefined;
  const [figures, power] = text.toLowerCase().split('e') as [string, string | undefined];
  const signs = figures.replace(/\d/g, '');
  const thousands = (sign: string): boolean =>
    figures.split(sign).every((group, i) => (i === 0 ? /^\d{1,3}$/.test(group) : /^\d{3}$/.test(group)));
  const at = (whole: string, part: string): ReadNumber => ({
    value: Number(`${whole || '0'}.${part || '0'}`) * 10 ** Number(power ?? 0),
    decimals: part.length,
  });
  if (signs === '') return at(figures, '');
  const last = signs.at(-1)!;
  const other = last === '.' ? ',' : '.';
  if (signs.includes(other)) {
    const [whole, part] = [figures.slice(0, figures.lastIndexOf(last)), figures.slice(figures.lastIndexOf(last) + 1)];
    const groups = whole.split(other);
    if (
      signs.indexOf(last) !== signs.length - 1 ||
      !groups.every((g, i) => (i === 0 ? /^\d{1,3}$/ : /^\d{3}$/).test(g))
    )
      return { unclear: `"${text}" mixes points and commas. Write the number without what parts its thousands.` };
    return at(groups.join(''), part);
  }
  if (signs.length > 1)
    return thousands(last)
      ? at(figures.replaceAll(last, ''), '')
      : { unclear: `"${text}" is not a number: it has more than one "${last}".` };
  const [whole, part] = figures.split(last) as [string, string];
  const grouped = power === undefined && /^[1-9]\d{0,2}$/.test(whole) && part.length === 3;
  if (grouped && wholeUnit) return at(whole + part, '');
  if (grouped && last === ',')
    return { unclear: `"${text}" can be ${whole}.${part} or ${whole}${part}. Write it without the comma.` };
  return at(whole, part);
}

const vulgar: Readonly<Record<string, string>> = {
  '½': '1/2',
  '⅓': '1/3',
  '⅔': '2/3',
  '¼': '1/4',
  '¾': '3/4',
  '⅕': '1/5',
  '⅖': '2/5',
  '⅗': '3/5',
  '⅘': '4/5',
  '⅙': '1/6',
  '⅚': '5/6',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/** The signs people have on their keyboards, written one way. */
const plainSigns = (text: string): string =>
  text
    .trim()
    .replace(/[−–]/g, '-')
    .replace(/\u00a0/g, ' ')
    .replace(/⁄/g, '/')
    .replace(
      /(\d?)([½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞])/g,
      (_, before: string, sign: string) => `${before}${before ? ' ' : ''}${vulgar[sign]!}`,
    );

const feetAndInches = /^(\d+(?:[.,]\d+)?)\s*(?:'|′|ft|feet)\s*(?:-\s*)?(\d[\d\s/.,-]*?)\s*(?:"|″|”|in|inch|inches)?$/i;
const dashSize = /^-?\s*(\d{1,2})\s*an$|^an\s*-?\s*(\d{1,2})$/i;
const gauge = /^(?:awg\s*#?|#)?(\d{1,2}|0{1,4}|[1-4]\/0)\s*(awg|ga|gauge)?$/i;
/** "10k", "6.5k rpm", "10kΩ" is a kilo-ohm by its unit: a k that no unit begins with. */
const thousandsSign = /^(.*\d)\s*k(?=$|\s)/i;

function understood(shown: string, value: number, unit: string, kept: string, decimals: number): string {
  const beside =
    unit === kept ? otherSystem(value, kept, decimals) : formatMeasure(value, kept, digitsInto(unit, kept, decimals));
  return [shown, beside].filter(Boolean).join(' = ');
}

/**
 * Reads what a person typed into a measured field.
 *
 * A bare number, also a fraction, is in the unit of the field. Takes decimals with point or comma, fractions and mixed fractions,
 * feet and inches, dash sizes (`-6 AN`: sixteenths of an inch of tube outside diameter), wire gauges, a k for thousands, ratios
 * (`3.73:1`), degrees before and after top dead centre, and any unit of the same kind. `kept` is the unit the field keeps ('' for
 * a plain number). Refuses, with a sentence, what it cannot read or what can be two numbers.
 */
export function parseMeasure(text: string, kept: string): ParsedMeasure {
  const typed = text;
  const field: Unit = unitOf(kept);
  const clean = plainSigns(text);
  const wanted = kept === '' ? 'a number' : `a value in ${kept}`;
  if (clean === '') return refuse(`Nothing typed yet: ${wanted} is wanted.`);

  const take = (inUnit: number, unit: Unit, shown: string, decimals = 0): ParsedMeasure => {
    if (unit.kind !== field.kind) {
      return refuse(`"${typed}" is a ${unit.kind.replace('-', ' ')}; ${wanted} is wanted.`);
    }
    const si = unit.symbol === 'AWG' ? areaOfGauge(inUnit) : toSi(inUnit, unit.symbol);
    const value = unit.symbol === kept ? inUnit : fromSi(si, kept);
    if (!Number.isFinite(value) || Math.abs(value) > 1e9) return refuse(`"${typed}" is too large to be ${wanted}.`);
    const words =
      unit.symbol === 'AWG'
        ? [shown, formatMeasure(value, kept)].join(' = ')
        : understood(shown, value, unit.symbol, kept, decimals);
    return { ok: true, measure: { value, unit: unit.symbol, inUnit, typed, understood: words } };
  };

  if (field.kind === 'length') {
    const dash = dashSize.exec(clean);
    if (dash) {
      const size = Number(dash[1] ?? dash[2]);
      return take(size / 16, unitOf('in'), `-${size} AN, tube of ${size}/16 in`, 3);
    }
    const feet = feetAndInches.exec(clean);
    if (feet) {
      const whole = readNumber(feet[1]!, false);
      const rest = readNumber(feet[2]!.trim(), false);
      if (whole && rest && 'value' in whole && 'value' in rest) {
        return take(whole.value * 12 + rest.value, unitOf('in'), `${feet[1]} ft ${feet[2]!.trim()} in`, 2);
      }
    }
  }
  if (field.kind === 'area') {
    const wire = gauge.exec(clean);
    // A bare number is in the field's unit; a bare 2/0 is nothing but a gauge.
    if (wire && (/[a-z#]/i.test(clean) || /^(?:0{2,4}|[1-4]\/0)$/.test(wire[1]!))) {
      const word = wire[1]!;
      const number = word.includes('/') ? 1 - Number(word[0]) : /^0{2,}$/.test(word) ? 1 - word.length : Number(word);
      return take(number, unitOf('AWG'), `${word} AWG`);
    }
  }

  const turned = field.kind === 'angle' ? /^(.*?)\s*([ba])tdc$/i.exec(clean) : null;
  const ratio = field.kind === 'number' ? /^(.*\d)\s*:\s*1$/.exec(clean) : null;
  const thousands = thousandsSign.exec((turned ?? ratio)?.[1] ?? clean);
  const whole = (turned ?? ratio)?.[1] ?? clean;
  const said = thousands ? `${thousands[1]!}${whole.slice(thousands[0].length)}` : whole;
  const negative = /^-(?!\s*\d+\s*an)/i.test(said) !== (turned?.[2]?.toLowerCase() === 'a');
  const body = said.replace(/^[+-]\s*/, '');
  const split = /^([\d.,/\s-]*?\d[.,]?(?:e[+-]?\d+(?![a-z]))?|[.,]\d+)\s*([^\d\s.,/-].*)?$/i.exec(body);
  if (!split) return refuse(`"${typed}" does not start with a number; ${wanted} is wanted.`);
  const word = (split[2] ?? '').trim();
  const unit = word === '' ? field : findUnit(word, field.kind);
  if (!unit) return refuse(`"${word}" is not a unit known here; ${wanted} is wanted.`);
  const number = readNumber(split[1]!.trim(), unit.digits === 0 && unit.kind !== 'pressure');
  if (!number) return refuse(`"${typed}" is not a number; ${wanted} is wanted.`);
  if ('unclear' in number) return refuse(number.unclear);
  if (unit.kind !== field.kind && field.kind === 'number')
    return refuse(`"${typed}" carries a unit; a plain number is wanted.`);
  const value = (negative ? -1 : 1) * number.value * (thousands ? 1000 : 1);
  const figures = number.fraction ?? trimNumber(Math.abs(value));
  const shown = `${negative ? '-' : ''}${figures}${unit.symbol ? ` ${unit.symbol}` : ''}`;
  return take(value, unit, shown, number.fraction ? 2 : thousands ? 0 : number.decimals);
}

/** A plain number, "7/8", "5 7/8" or "5-7/8". */
const readNumber = (text: string, wholeUnit: boolean): ReadNumber | Unreadable | undefined =>
  readFraction(text) ?? readDecimal(text, wholeUnit);

function trimNumber(value: number): string {
  return String(Number(value.toPrecision(8)));
}
