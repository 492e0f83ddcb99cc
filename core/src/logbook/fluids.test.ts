import { describe, expect, it } from 'vitest';
import { drySystems, fluidSystemOf } from './index.ts';
import type { FluidRecord } from './index.ts';

const fluid = (way: FluidRecord['way'], what: string, minute: number): FluidRecord => ({
  way,
  litres: 1,
  what,
  system: fluidSystemOf(what),
  at: `2026-11-27T10:${String(minute).padStart(2, '0')}:00.000Z`,
});

/** Words of the trade for what is in what: common practice, no source. */
describe('the system that words name', () => {
  it.each([
    ['engine oil', 'engine-oil'],
    ['10w40', 'engine-oil'],
    ['gear oil', 'gearbox'],
    ['ATF', 'gearbox'],
    ['Transmission fluid', 'gearbox'],
    ['diff oil', 'final-drive'],
    ['rear axle oil', 'final-drive'],
    ['transfer case oil', 'transfer'],
    ['coolant 50/50', 'coolant'],
    ['power steering oil', 'steering'],
    ['brake fluid', 'brake'],
    ['stale petrol', 'fuel'],
    ['DOT 4', undefined],
    ['broken glass', undefined],
  ])('%s: %s', (words, system) => expect(fluidSystemOf(words)).toBe(system));
});

describe('what is dry', () => {
  it('was drained and not filled since, in the order of time and not of writing', () => {
    expect(drySystems([fluid('drained', 'coolant', 5)])).toEqual(['coolant']);
    expect(drySystems([fluid('filled', 'antifreeze', 9), fluid('drained', 'coolant', 5)])).toEqual(
      [],
    );
    expect(drySystems([fluid('filled', 'coolant', 3), fluid('drained', 'coolant', 5)])).toEqual([
      'coolant',
    ]);
  });
  it('one system does not fill another', () =>
    expect(drySystems([fluid('drained', 'gear oil', 1), fluid('filled', 'engine oil', 2)])).toEqual(
      ['gearbox'],
    ));
  it('what names no system is dry by its own words until the same words fill it', () => {
    expect(drySystems([fluid('drained', 'DOT 4', 1), fluid('filled', 'engine oil', 2)])).toEqual([
      'DOT 4',
    ]);
    expect(drySystems([fluid('drained', 'DOT 4', 1), fluid('filled', 'dot 4', 2)])).toEqual([]);
  });
  it('fuel, brakes and refrigerant do not keep an engine from being turned', () =>
    expect(
      ['old petrol', 'brake fluid', 'refrigerant'].flatMap((w) =>
        drySystems([fluid('drained', w, 1)]),
      ),
    ).toEqual([]));
});
