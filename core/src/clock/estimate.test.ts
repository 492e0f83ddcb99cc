import { describe, expect, it } from 'vitest';
import { readFact } from '../facts/index.ts';
import { scopeOf, truthIn } from '../rules/index.ts';
import type { FactBook } from '../rules/book.ts';
import { estimateOf, meanOf, spreadOf } from './estimate.ts';
import { tasks } from './data/tasks.ts';
import type { TaskLine } from './estimate.ts';

const bookOf = (typed: Record<string, string>): FactBook =>
  new Map(
    Object.entries(typed).map(([id, value]) => {
      const entry = readFact(id, { value });
      if (!entry.ok) throw new Error(`${id}: ${value}`);
      return [id, { parts: entry.parts, typed: {}, source: 'measured' as const }];
    }),
  );
const estimate = (typed: Record<string, string>, withDonor = false) =>
  estimateOf(truthIn(scopeOf({ facts: bookOf(typed) })), { withDonor });
const line = (e: ReturnType<typeof estimate>, id: string): TaskLine | undefined =>
  e.tasks.find((t) => t.id === id);

describe('mean and spread of a task', () => {
  // The sums of three-point estimates: (a + 4m + b)/6 and (b - a)/6, common practice, no source.
  it('are those of its three figures', () => {
    expect(meanOf([6, 14, 40])).toBeCloseTo(17, 9);
    expect(spreadOf([6, 14, 40])).toBeCloseTo(34 / 6, 9);
  });
  it('every task goes up from low to high, and takes people', () => {
    for (const { id, hours, people } of tasks) {
      expect(hours[0] <= hours[1] && hours[1] <= hours[2], id).toBe(true);
      expect(people[0] >= 1 && people[0] <= people[1], id).toBe(true);
    }
  });
});

describe('what a job takes', () => {
  it('is open where nobody said what it hangs on, and names that', () => {
    const e = estimate({});
    expect(line(e, 'dur-hv')).toMatchObject({ state: 'open', needs: ['rec-hv-system'] });
    expect(line(e, 'dur-fuel-lines')!.state).toBe('open');
    expect(line(e, 'dur-intake')!.state).toBe('counted');
  });
  it('of a mock-up has no fuel, loom, cooling or start, and of one that runs it has', () => {
    const mockUp = estimate({ 'cho-goal': 'mock-up' });
    const running = estimate({ 'cho-goal': 'running' });
    for (const id of ['dur-fuel-lines', 'dur-coolant-pipes', 'dur-first-start', 'dur-gauges']) {
      expect(line(mockUp, id), id).toBeUndefined();
      expect(line(running, id)!.state, id).toBe('counted');
    }
    expect(line(running, 'dur-road')).toBeUndefined();
    expect(line(estimate({ 'cho-goal': 'road-going' }), 'dur-road')!.state).toBe('counted');
  });
  it('counts of several ways one, over the span of all while nobody chose', () => {
    const e = estimate({});
    expect(line(e, 'dur-pull-alone')).toBeUndefined();
    expect(line(e, 'either-unit-out')).toMatchObject({
      state: 'counted',
      hours: [5, expect.any(Number) as number, 40],
      needs: ['cho-unit-lift'],
    });
    const chosen = estimate({ 'cho-unit-lift': 'engine-and-gearbox' });
    expect(line(chosen, 'either-unit-out')).toBeUndefined();
    expect(line(chosen, 'dur-pull-joint')!.hours).toEqual([6, 10, 18]);
    // A loom may not be made at all: one that nobody chose is open.
    expect(line(estimate({ 'cho-goal': 'running' }), 'either-loom')!.state).toBe('open');
  });
  it('counts three further lifts unless this pair was done here, and the people at each', () => {
    expect(line(estimate({}), 'dur-redrop')).toMatchObject({
      times: 3,
      people: 2,
      hours: [9, 18, 36],
    });
    expect(line(estimate({ 'cho-pairing': 'done-here' }), 'dur-redrop')).toMatchObject({
      times: 1,
      hours: [3, 6, 12],
    });
  });
  it('a common cause touches what it speaks of, and is open while nobody said', () => {
    const e = estimate({ 'rec-rust': 'seized', 'cho-unit-lift': 'engine-alone' });
    expect(e.causes.find((c) => c.def.id === 'factor-rust')!.state).toBe('counted');
    expect(e.causes.find((c) => c.def.id === 'factor-show')!.state).toBe('open');
    expect(line(e, 'dur-pull-alone')!.causes).toContain('factor-rust');
    expect(line(e, 'dur-wash')!.causes).not.toContain('factor-rust');
    expect(estimate({ 'rec-rust': 'light' }).causes.map((c) => c.def.id)).not.toContain(
      'factor-rust',
    );
  });
  it('has what a donor takes only where one is on the job', () => {
    expect(line(estimate({}), 'dur-donor-strip')).toBeUndefined();
    expect(line(estimate({}, true), 'dur-donor-strip')!.state).toBe('counted');
  });
});
