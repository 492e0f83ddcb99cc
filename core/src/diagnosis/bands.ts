import type { FactBook } from '../facts/index.ts';
import { rangeWord } from '../rules/range.ts';
import type { Range, RangeWord } from '../rules/range.ts';
import { parseMeasure } from '../units/index.ts';
import { beltOffset } from '../sums/limits.ts';
import { observationOf } from './rank.ts';

/**
 * Bands for observations that are read with an instrument: the reading falls into its outcome by itself. A band may ask
 * for a fact of the car (rail pressure) or a second reading (engine speed, battery volts).
 */

interface BandRule {
  unit: string;
  /** Its limits as a band, where they are the same on every car. */
  range?: Range;
  /** Another reading that is needed, with its unit: engine speed for hot oil pressure. */
  also?: { label: string; unit: string };
  outcome: (value: number, facts: FactBook, also: number | undefined) => string | { missing: string };
  /** Where the limits come from. */
  source: string;
}

const steps =
  (...pairs: readonly (readonly [upTo: number, outcome: string])[]) =>
  (value: number): string =>
    pairs.find(([upTo]) => value <= upTo)![1];

/** A value on the limit itself is looked at: the outcome that goes on begins a hair beyond it. */
const hair = 1e-9;

/** A reading that falls into its outcome by where it lies between its limits: one account of them for outcome and drawing. */
const byRange = (range: Range, outcomes: Readonly<Record<RangeWord, string>>): Omit<BandRule, 'source'> => ({
  unit: range.unit,
  range,
  outcome: (value) => outcomes[rangeWord(value, range)],
});

const railPressure = (facts: FactBook): number | undefined => {
  const value = facts.get('eng-rail-pressure')?.parts['high-side'];
  return typeof value === 'number' ? value : undefined;
};

export const bandRules: Readonly<Record<string, BandRule>> = {
  'o-battery-rest': {
    ...byRange(
      { unit: 'V', goOn: { min: 12.5 + hair }, stop: { below: 12.2 } },
      { stop: 'under-12.2', look: '12.2-to-12.5', 'goes-on': 'over-12.5' },
    ),
    source: 'common practice',
  },
  'o-battery-crank': {
    ...byRange(
      { unit: 'V', goOn: { min: 9.6 + hair }, stop: { below: 9 } },
      { stop: 'under-9.0', look: '9.0-to-9.6', 'goes-on': 'over-9.6' },
    ),
    source: 'common practice',
  },
  'o-earth-drop': {
    ...byRange(
      { unit: 'V', goOn: { max: 0.2 - hair }, stop: { above: 0.5 } },
      { 'goes-on': 'under-0.2', look: '0.2-to-0.5', stop: 'over-0.5' },
    ),
    source: 'common practice',
  },
  'o-charge-volts': {
    unit: 'V',
    outcome: steps([13.2 - 1e-9, 'under-13.2'], [15, '13.2-to-15'], [Infinity, 'over-15']),
    source: 'common practice',
  },
  'o-fill-height': { unit: 'mm', outcome: (v) => (v >= 0 ? 'highest' : 'below'), source: 'geometry' },
  'o-belt-line': {
    unit: 'mm',
    outcome: (v) => (Math.abs(v) <= beltOffset.mm ? 'true' : 'off'),
    source: `common practice: ${beltOffset.mm} mm per ${beltOffset.spanMm} mm of span`,
  },
  'o-exciter': { unit: 'V', outcome: (v) => (v >= 10 ? 'battery-volts' : 'none'), source: 'common practice' },
  'o-crank-rpm': {
    unit: 'rpm',
    // A steady number is steady, however small: that it jumps is seen and not read off one number.
    outcome: (v) => (v < 20 ? 'zero' : v < 150 ? 'slow' : 'steady-150-to-300'),
    source: 'common practice: choose "erratic" by hand where it jumps',
  },
  'o-pump-volts': {
    unit: 'V',
    also: { label: 'Battery at the same moment', unit: 'V' },
    outcome: (v, _f, battery) =>
      battery === undefined
        ? { missing: 'Type the battery volts of the same moment.' }
        : v < 1
          ? 'none'
          : v >= battery - 0.5
            ? 'good'
            : 'low',
    source: 'common practice: within 0.5 V of the battery',
  },
  'o-unit-feed': {
    unit: 'V',
    also: { label: 'The same while cranking', unit: 'V' },
    outcome: (v, _f, cranking) =>
      v < 6
        ? 'none'
        : cranking === undefined
          ? { missing: 'Type the volts while cranking too.' }
          : cranking < 8
            ? 'lost-cranking'
            : 'good',
    source: 'common practice',
  },
  'o-oil-gauge': {
    unit: 'bar',
    also: { label: 'Engine speed', unit: 'rpm' },
    outcome: (v, facts, rpm) => {
      if (v < 0.1) return 'zero';
      const idle = facts.get('eng-oil-spec')?.parts['idle-pressure-least'];
      const least =
        rpm !== undefined && rpm > 1200
          ? (0.7 * rpm) / 1000
          : typeof idle === 'number'
            ? idle
            : rpm !== undefined
              ? (0.7 * rpm) / 1000
              : undefined;
      if (least === undefined) return { missing: 'Type the engine speed: the least pressure depends on it.' };
      return v < least ? 'low' : v > 7 ? 'high' : 'in-band';
    },
    source: 'engine card, else common practice: 0.7 bar for each 1000 rpm hot',
  },
  'o-fuel-pressure': {
    unit: 'bar',
    outcome: (v, facts) => {
      if (v < -0.02) return 'below-zero';
      if (v < 0.1) return 'zero';
      const rail = railPressure(facts);
      if (rail === undefined)
        return { missing: 'The rail pressure of this engine is not known: measure or look up "Rail pressure".' };
      return v < rail * 0.9 ? 'low' : v > rail * 1.1 ? 'high' : 'in-band';
    },
    source: 'rail pressure of the engine card, 10 % either way (common practice)',
  },
  'o-timing-light': {
    unit: 'deg',
    outcome: (v) => (Math.abs(v) <= 2 ? 'agrees' : 'constant-offset'),
    source: 'common practice: light minus commanded, steady; choose "jumps" by hand',
  },
};

export type BandedReading =
  { ok: true; outcome: string; value: number; understood: string } | { ok: false; sentence: string };

export const isRead = (observationId: string): boolean => observationId in bandRules;

/** A typed reading as an outcome. Refuses with a sentence what is not a reading, or what needs a fact first. */
export function bandReading(observationId: string, typed: string, facts: FactBook, alsoTyped?: string): BandedReading {
  const rule = bandRules[observationId];
  if (!rule) return { ok: false, sentence: 'This is not read with an instrument: choose what you saw.' };
  const reading = parseMeasure(typed, rule.unit);
  if (!reading.ok) return reading;
  let also: number | undefined;
  if (rule.also && (alsoTyped ?? '').trim() !== '') {
    const parsed = parseMeasure(alsoTyped!, rule.also.unit);
    if (!parsed.ok) return parsed;
    also = parsed.measure.value;
  }
  const outcome = rule.outcome(reading.measure.value, facts, also);
  if (typeof outcome !== 'string') return { ok: false, sentence: outcome.missing };
  if (!observationOf(observationId).outcomes.some((o) => o.id === outcome))
    throw new Error(`Band "${outcome}" is not an outcome of ${observationId}`);
  return { ok: true, outcome, value: reading.measure.value, understood: reading.measure.understood };
}
