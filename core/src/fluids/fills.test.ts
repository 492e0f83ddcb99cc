import { describe, expect, it } from 'vitest';
import { bookFrom, truthsOf } from '../plan/testing.ts';
import { againstFill, fillsOf, fluidSystemOf, holdsWords } from './index.ts';
import type { Fill, FluidRecord } from './index.ts';

/** That an engine wants what its circuit holds, and that a circuit is the sum of its parts: common practice, no source. */

type Typed = Parameters<typeof bookFrom>[0];
const fluid = (
  way: FluidRecord['way'],
  litres: number | undefined,
  what: string,
  minute: number,
): FluidRecord => ({
  way,
  litres,
  what,
  system: fluidSystemOf(what),
  at: `2026-11-27T10:${String(minute).padStart(2, '0')}:00.000Z`,
});
const fill = (system: Fill['system'], typed: Typed, ...fluids: FluidRecord[]): Fill | undefined =>
  fillsOf(bookFrom(typed), fluids, truthsOf(bookFrom(typed))).find((f) => f.system === system);

const card = {
  'eng-oil-spec': { value: '5W-40', 'capacity-with-filter': '5 L' },
  'cho-sump': 'donor-sump',
};
const remote = { ...card, 'cho-oil-filter': 'remote' };

describe('what a circuit holds', () => {
  it('is the sum of its parts', () => {
    const oil = fill('engine-oil', {
      ...remote,
      'cho-oil-amount': { lines: '0.4 L', cooler: '0.8 L', accumulator: '1.9 L' },
    })!;
    expect(oil.holds).toBeCloseTo(8.1);
    expect(oil.rows.reduce((sum, r) => sum + r.litres, 0)).toBeCloseTo(oil.holds!);
    expect(oil.grade).toBe('5W-40');
    expect(holdsWords(oil)).toMatch(
      /^5 L .* \+ 0\.4 L lines \+ 0\.8 L cooler \+ 1\.9 L accumulator = 8\.1 L$/,
    );
  });
  it('is not known while one of them is not, and that one is named', () => {
    const oil = fill('engine-oil', remote)!;
    expect(oil.holds).toBeUndefined();
    expect(oil.missing.join()).toMatch(/lines/);
    expect(fill('engine-oil', { ...card, 'cho-oil-filter': 'on-engine' })?.holds).toBe(5);
    expect(fill('gearbox', {})?.holds).toBeUndefined();
  });
  it('while nobody knows which sump it gets, neither counts, and never both', () => {
    const both = {
      'eng-oil-spec': card['eng-oil-spec'],
      'cho-oil-amount': { sump: '6 L' },
      'cho-oil-filter': 'on-engine',
    };
    expect(fill('engine-oil', both)?.holds).toBeUndefined();
  });
  it('another sump goes before the figure of the card', () => {
    const changed = {
      ...card,
      'cho-sump': 'modified',
      'cho-oil-amount': { sump: '6.2 L', lines: '0 L', cooler: '0 L' },
    };
    expect(fill('engine-oil', changed)?.rows.map((r) => r.litres)).not.toContain(5);
  });
});

describe('what was put in', () => {
  const coolant: Typed = {
    'cho-coolant-amount': { engine: '6 L', radiator: '3 L', heater: '1 L' },
    'cho-heater': 'kept',
  };
  const at = (...fluids: FluidRecord[]) => fill('coolant', coolant, ...fluids)!;
  it('counts since it was last drained, in the order of time and not of writing', () => {
    expect(at(fluid('filled', 10, 'coolant', 9), fluid('drained', 8, 'coolant', 5))).toMatchObject({
      putIn: 10,
      state: 'agrees',
    });
    expect(at(fluid('filled', 10, 'coolant', 3), fluid('drained', 8, 'coolant', 5)).state).toBe(
      'dry',
    );
    expect(at(fluid('filled', 7, 'antifreeze', 3), fluid('filled', 3, 'coolant', 5))).toMatchObject(
      { putIn: 10, state: 'agrees' },
    );
  });
  it.each([
    [8.9, 'short'],
    [9, 'agrees'],
    [11, 'agrees'],
    [11.1, 'over'],
  ])('%s L of 10 is %s', (litres, state) =>
    expect(at(fluid('filled', litres, 'coolant', 1)).state).toBe(state),
  );
  it('what came out of a system that was full goes back in', () => {
    const full = fluid('filled', 10, 'coolant', 1);
    expect(
      at(full, fluid('drained', 4, 'coolant', 2), fluid('filled', 4, 'coolant', 3)),
    ).toMatchObject({
      putIn: 10,
      state: 'agrees',
    });
    expect(
      at(full, fluid('drained', 4, 'coolant', 2), fluid('filled', 2, 'coolant', 3)).state,
    ).toBe('short');
    expect(
      at(full, fluid('drained', 1, 'coolant', 2), fluid('filled', 10, 'coolant', 3)).state,
    ).toBe('over');
  });
  it('the rest that came out of a system of which nobody knows what was in it does not fill it', () =>
    expect(at(fluid('drained', 0.2, 'coolant', 1), fluid('filled', 0.2, 'coolant', 2)).state).toBe(
      'short',
    ));
  it('one system does not fill another', () =>
    expect(
      fill('gearbox', {}, fluid('drained', 2, 'gear oil', 1), fluid('filled', 5, 'engine oil', 2))
        ?.state,
    ).toBe('dry'));
  it('nobody wrote anything: that is not "filled", and not "not needed"', () => {
    expect(at().state).toBe('not-said');
    expect(againstFill(at()).join()).toContain('nobody wrote');
    expect(at(fluid('not-needed', undefined, 'coolant, air-cooled', 1)).state).toBe('not-needed');
    expect(
      at(fluid('not-needed', undefined, 'coolant', 1), fluid('drained', 1, 'coolant', 2)).state,
    ).toBe('dry');
  });
  it('a system that this car cannot have is not asked for', () => {
    expect(fill('steering', { 'cho-ps': 'manual' })).toBeUndefined();
    expect(fill('steering', {})?.state).toBe('not-said');
    expect(fill('transfer', { 'rec-drive-layout': 'front-transverse' })).toBeUndefined();
    expect(fill('clutch', { 'gbx-release-kind': 'cable-fork' })).toBeUndefined();
  });
});
