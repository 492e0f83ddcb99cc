import { describe, expect, it } from 'vitest';
import { noTerms } from '../money/index.ts';
import { emptyInput, measureChoice, measureGearbox } from './index.ts';
import type { EngineChoice } from './index.ts';
import { bookFrom } from './testing.ts';

const terms = { ...noTerms, hourRate: 8000, hourCost: 5000, priceUnit: 100 };
const choice = (more: Partial<EngineChoice> = {}): EngineChoice => ({
  id: 'e',
  name: 'e',
  facts: new Map(),
  cost: undefined,
  pieces: [],
  km: undefined,
  days: undefined,
  against: undefined,
  ...more,
});

describe('an engine measured as if it were the one', () => {
  it('costs itself, its pieces and its kit; a price that nobody knows makes the whole not known', () => {
    const bare = (pieces: EngineChoice['pieces'], cost: number | undefined) =>
      measureChoice(emptyInput(), choice({ cost, pieces }), terms).allIn;
    const kit = bare([], 0)!;
    expect(kit).toBeGreaterThan(0);
    expect(bare([{ what: 'loom', price: 62_000 }], 50_000)).toBe(kit + 112_000);
    expect(bare([{ what: 'loom', price: undefined }], 50_000)).toBeUndefined();
    expect(bare([], undefined)).toBeUndefined();
    expect(measureChoice(emptyInput(), choice({ cost: 1 }), noTerms).allIn).toBeUndefined();
  });
  it('parts that are to be had count where somebody looked, and not where nobody did', () => {
    const supply = (of: EngineChoice['supply']) =>
      measureChoice(emptyInput(), choice({ supply: of }), terms).values.supply;
    expect([supply('good'), supply('scarce'), supply('none'), supply(undefined)]).toEqual([
      1,
      0.5,
      0,
      undefined,
    ]);
  });
  it('is not cheaper for being less known: what is open counts with even odds', () => {
    const input = emptyInput({ facts: bookFrom({ 'cho-goal': 'running' }) });
    const known = measureChoice(
      input,
      choice({ cost: 0, facts: bookFrom({ 'eng-induction': 'none' }) }),
      terms,
    );
    const unknown = measureChoice(input, choice({ cost: 0 }), terms);
    expect(unknown.open).toBeGreaterThan(known.open);
    expect(unknown.values.hours!).toBeGreaterThan(known.values.hours!);
    expect(unknown.allIn!).toBeGreaterThan(known.allIn!);
  });
  it('takes its own facts and none of the engine that was in the plan', () => {
    const input = emptyInput({
      facts: bookFrom({ 'eng-power': '200 kW', 'eng-induction': 'turbo', 'cho-goal': 'running' }),
    });
    const one = measureChoice(
      input,
      choice({ facts: bookFrom({ 'eng-power': '100 kW', 'eng-induction': 'none' }) }),
      terms,
    );
    expect(one.values.power).toBe(100);
    const turbo = measureChoice(
      input,
      choice({ facts: bookFrom({ 'eng-induction': 'turbo' }) }),
      terms,
    );
    expect(turbo.values.power).toBeUndefined();
    // A turbo is stripped, piped and cooled: more hours than without.
    expect(turbo.values.hours!).toBeGreaterThan(one.values.hours!);
  });
  it('proves what was proved: not known is no proof and no lack of one', () => {
    const proof = (condition?: string) =>
      measureChoice(
        emptyInput(),
        choice({ facts: bookFrom(condition ? { 'eng-condition': condition } : {}) }),
        terms,
      ).values.proof;
    expect(proof('new')).toBe(1);
    expect(proof('stood')).toBe(0.2);
    expect(proof('not-known')).toBeUndefined();
    expect(proof()).toBeUndefined();
  });
  it('what people read or resolved of the engine before is not of this one', () => {
    const fits = { 'fit-hood': { resolution: { how: 'cut', kit: [], asked: [] } } };
    const input = emptyInput({ fits: fits as never });
    expect(measureChoice(input, choice(), terms).counts).toEqual(
      measureChoice(emptyInput(), choice(), terms).counts,
    );
  });
});

describe('a gearbox measured as if it were the one', () => {
  const box = (facts: Parameters<typeof bookFrom>[0], of: Parameters<typeof bookFrom>[0] = {}) =>
    measureGearbox(
      emptyInput({ facts: bookFrom(of) }),
      {
        id: 'g',
        name: 'g',
        facts: bookFrom(facts),
        cost: 90_000,
        km: 120_000,
        days: 3,
        against: undefined,
      },
      terms,
    );

  it('is rated torque over torque, or power over power, and never the one over the other', () => {
    const engine = { 'eng-torque': '400', 'eng-power': '550 hp' };
    expect(box({ 'gbx-rating': '600' }, engine).rating).toMatchObject({
      factor: 1.5,
      of: 'torque',
    });
    // 750 hp over 550 hp is 1.36 (common practice, no source).
    const power = box({ 'gbx-rating': { 'as-power': '750 hp' } }, engine).rating!;
    expect(power).toMatchObject({ of: 'power' });
    expect(power.factor).toBeCloseTo(1.36, 2);
    expect(
      box({ 'gbx-rating': { 'as-power': '750 hp' } }, { 'eng-torque': '400' }).rating,
    ).toBeUndefined();
    expect(box({ 'gbx-rating': '600' }, { 'eng-power': '300 kW' }).rating).toBeUndefined();
  });

  it('is held against the target where one is set', () => {
    const target = { 'eng-torque': '300', 'cho-power-target': { torque: '600 N·m' } };
    expect(box({ 'gbx-rating': '600' }, target).rating!.factor).toBe(1);
  });

  it('its own facts stand in the place of those of the gearbox that is there', () => {
    const there = { 'gbx-kind': 'manual', 'gbx-mass': '40 kg' };
    expect(box({ 'gbx-kind': 'automatic-electronic' }, there)).toMatchObject({
      kind: 'automatic-electronic',
      massKg: undefined,
    });
  });
});
