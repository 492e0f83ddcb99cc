import { areaOfGauge, findUnit, fromSi, toSi, unitOf } from './units.ts';
import type { Unit } from './units.ts';
import { formatMeasure, otherSystem } from './format.ts';

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

/** "149,2" and "149.2" are the same; "1,234" could be two numbers and is refused. */
function readDecimal(text: string): number | 'ambiguous' | undefined {
  if (/^\d{1,3}(,\d{3})+\.\d+$/.test(text)) return Number(text.replaceAll(',', ''));
  if (/^\d{1,3}(\.\d{3})+,\d+$/.test(text)) return Number(text.replaceAll('.', '').replace(',', '.'));
  if (/^[1-9]\d{0,2}(,\d{3})+$/.test(text)) return 'ambiguous';
  if (/^(\d+([.,]\d*)?|[.,]\d+)(e[+-]?\d+)?$/i.test(text)) return Number(text.replace(',', '.'));
  return undefined;
}

interface ReadNumber {
  value: number;
  fraction: boolean;
}

/** A plain number, "7/8", "5 7/8" or "5-7/8". */
function readNumber(text: string): ReadNumber | 'ambiguous' | 'zero-below' | undefined {
  const mixed = /^(?:(\d+)(?:\s+|\s*-\s*))?(\d+)\s*\/\s*(\d+)$/.exec(text);
  if (mixed) {
    const [, whole, top, bottom] = mixed;
    if (Number(bottom) === 0) return 'zero-below';
    return { value: Number(whole ?? 0) + Number(top) / Number(bottom), fraction: true };
  }
  const plain = readDecimal(text);
  if (plain === undefined || plain === 'ambiguous') return plain;
  return { value: plain, fraction: false };
}

const feetAndInches = /^(\d+(?:[.,]\d+)?)\s*(?:'|′|ft|feet)\s*(?:-\s*)?(\d[\d\s/.,-]*?)\s*(?:"|″|”|in|inch|inches)?$/i;
const dashSize = /^-?\s*(\d{1,2})\s*an$|^an\s*-?\s*(\d{1,2})$/i;
const gauge = /^(\d{1,2}|0{1,4}|[1-4]\/0)\s*awg$/i;

function understood(typedValue: string, value: number, unit: string, kept: string): string {
  const inKept = unit === kept ? undefined : formatMeasure(value, kept);
  const beside = unit === kept ? otherSystem(value, kept) : undefined;
  return [typedValue, inKept ?? beside].filter(Boolean).join(' = ');
}

/**
 * Reads what a person typed into a measured field.
 *
 * Takes decimals with point or comma, fractions and mixed fractions (inches where the field is a length), feet and
 * inches, dash sizes (`-6 AN`: sixteenths of an inch of tube outside diameter), wire gauges and any unit of the same
 * kind. `kept` is the unit the field keeps ('' for a plain number). Refuses, with a sentence, what it cannot read.
 */
export function parseMeasure(text: string, kept: string): ParsedMeasure {
  const typed = text;
  const field: Unit = unitOf(kept);
  const clean = text
    .trim()
    .replace(/[−–]/g, '-')
    .replace(/\u00a0/g, ' ');
  const wanted = kept === '' ? 'a number' : `a value in ${kept}`;
  if (clean === '') return refuse(`Nothing typed yet: ${wanted} is wanted.`);

  const take = (inUnit: number, unit: Unit, shown: string): ParsedMeasure => {
    if (unit.kind !== field.kind) {
      return refuse(`"${typed}" is a ${unit.kind.replace('-', ' ')}; ${wanted} is wanted.`);
    }
    const si = unit.symbol === 'AWG' ? areaOfGauge(inUnit) : toSi(inUnit, unit.symbol);
    const value = unit.symbol === kept ? inUnit : fromSi(si, kept);
    if (!Number.isFinite(value) || Math.abs(value) > 1e9) return refuse(`"${typed}" is too large to be ${wanted}.`);
    return {
      ok: true,
      measure: { value, unit: unit.symbol, inUnit, typed, understood: understood(shown, value, unit.symbol, kept) },
    };
  };

  if (field.kind === 'length') {
    const dash = dashSize.exec(clean);
    if (dash) {
      const size = Number(dash[1] ?? dash[2]);
      return take(size / 16, unitOf('in'), `-${size} AN, tube of ${size}/16 in`);
    }
    const feet = feetAndInches.exec(clean);
    if (feet) {
      const whole = readNumber(feet[1]!);
      const rest = readNumber(feet[2]!.trim());
      if (typeof whole === 'object' && typeof rest === 'object') {
        return take(whole.value * 12 + rest.value, unitOf('in'), `${feet[1]} ft ${feet[2]!.trim()} in`);
      }
    }
  }
  if (field.kind === 'area') {
    const wire = gauge.exec(clean);
    if (wire) {
      const word = wire[1]!;
      const number = word.includes('/') ? 1 - Number(word[0]) : /^0{2,}$/.test(word) ? 1 - word.length : Number(word);
      return take(number, unitOf('AWG'), `${word} AWG`);
    }
  }

  const negative = /^-(?!\s*\d+\s*an)/i.test(clean);
  const body = clean.replace(/^[+-]\s*/, '');
  const split = /^([\d.,/\s-]*?\d[.,]?(?:e[+-]?\d+(?![a-z]))?|[.,]\d+)\s*([^\d\s.,/-].*)?$/i.exec(body);
  if (!split) return refuse(`"${typed}" does not start with a number; ${wanted} is wanted.`);
  const word = (split[2] ?? '').trim();
  const number = readNumber(split[1]!.trim());
  if (number === 'ambiguous') {
    const bare = split[1]!.trim();
    return refuse(
      `"${bare}" can be ${bare.replace(',', '.')} or ${bare.replaceAll(',', '')}. Write it without the comma.`,
    );
  }
  if (number === 'zero-below') return refuse(`"${typed}" divides by zero.`);
  if (!number) return refuse(`"${typed}" is not a number; ${wanted} is wanted.`);
  let unit: Unit | undefined;
  if (word === '') unit = number.fraction && field.kind === 'length' ? unitOf('in') : field;
  else unit = findUnit(word);
  if (!unit) return refuse(`"${word}" is not a unit known here; ${wanted} is wanted.`);
  // "40 f" in a pressure field is nonsense, but "g" or "c" alone may belong to another kind with the same letter.
  const value = (negative ? -1 : 1) * number.value;
  if (unit.kind !== field.kind && field.kind === 'number')
    return refuse(`"${typed}" carries a unit; a plain number is wanted.`);
  const shown = `${negative ? '-' : ''}${number.fraction ? split[1]!.trim() : trimNumber(number.value)}${unit.symbol ? ` ${unit.symbol}` : ''}`;
  return take(value, unit, shown);
}

function trimNumber(value: number): string {
  return String(Number(value.toPrecision(8)));
}
