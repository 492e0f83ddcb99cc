import { describe, expect, it } from 'vitest';
import { readFact } from '../facts/index.ts';
import { noTerms } from '../money/index.ts';
import type { Recorded } from '../records/index.ts';
import { computePlan, otherGoals, planInputOf } from './index.ts';
import type { JobMaterial } from './index.ts';

const fact = (factId: string, value: string) => {
  const entry = readFact(factId, { value });
  if (!entry.ok) throw new Error(factId);
  return {
    bearerId: 'j',
    factId,
    parts: entry.parts,
    typed: entry.typed,
    source: 'measured' as const,
    note: null,
    by: 'A',
    at: '2026-11-20T08:00:00Z',
    revision: 1,
  };
};
const materialOf = (goal: string | undefined, ...records: Recorded[]): JobMaterial => ({
  jobId: 'j',
  units: [],
  facts: goal === undefined ? [] : [fact('cho-goal', goal)],
  records,
  shopSchools: {},
  shopRules: [],
});
const terms = { ...noTerms, hourRate: 8000, hourCost: 5000, priceUnit: 100 };

describe('a mock-up', () => {
  it('orders nothing that only runs, and is wired to nothing', () => {
    const plan = computePlan(planInputOf(materialOf('mock-up')));
    const systems = new Set(plan.kit.map((l) => l.def.system));
    for (const system of ['fuel', 'electrics', 'cooling', 'oil', 'control'])
      expect(systems).not.toContain(system);
    expect(systems).toContain('mounts');
    expect(plan.circuits).toEqual([]);
    const running = computePlan(planInputOf(materialOf('running')));
    expect(running.circuits.length).toBeGreaterThan(5);
    expect(running.kit.map((l) => l.def.system)).toEqual(
      expect.arrayContaining(['fuel', 'cooling']),
    );
  });
  it('of a job whose goal nobody said nothing is dropped: what is not known is no mock-up', () => {
    const unsaid = computePlan(planInputOf(materialOf(undefined)));
    expect(unsaid.kit.map((l) => l.def.system)).toEqual(
      expect.arrayContaining(['fuel', 'cooling']),
    );
    expect(unsaid.circuits.length).toBeGreaterThan(5);
  });
});

describe('another goal', () => {
  const goal = (all: ReturnType<typeof otherGoals>, name: string) =>
    all.find((g) => g.goal === name)!;
  it('is held against the one that was said, and against nothing while none was', () => {
    expect(otherGoals(materialOf(undefined), terms)).toEqual([]);
    expect(otherGoals(materialOf('mock-up'), terms).map((g) => g.goal)).toEqual([
      'running',
      'road-going',
      'track',
    ]);
  });
  it('brings fuel, loom, cooling and start with their hours and money, and the way back drops the same', () => {
    const more = goal(otherGoals(materialOf('mock-up'), terms), 'running');
    expect(more.added).toEqual(
      expect.arrayContaining([
        'Feed, return, filter, regulator, test',
        'First start to steady idle',
        'Coolant and heater pipes',
      ]),
    );
    expect(more.hours).toBeGreaterThan(20);
    expect(more.amount).toBeGreaterThan(0);
    const back = goal(otherGoals(materialOf('running'), terms), 'mock-up');
    expect(back.dropped.slice().sort()).toEqual(more.added.slice().sort());
    expect(back.hours).toBeCloseTo(-more.hours, 6);
    expect(back.amount).toBe(-more.amount!);
  });
  it('has no price where the shop set no figure', () =>
    expect(goal(otherGoals(materialOf('mock-up'), noTerms), 'running').amount).toBeUndefined());
});
