import { describe, expect, it } from 'vitest';
import { dryByWords, fluidSystemOf } from './index.ts';
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

it('what names no system is dry by its own words until the same words fill it', () => {
  expect(dryByWords([fluid('drained', 'DOT 4', 1), fluid('filled', 'engine oil', 2)])).toEqual([
    'DOT 4',
  ]);
  expect(dryByWords([fluid('drained', 'DOT 4', 1), fluid('filled', 'dot 4', 2)])).toEqual([]);
  expect(dryByWords([fluid('drained', 'coolant', 1)])).toEqual([]);
});
