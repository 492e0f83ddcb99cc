import { describe, expect, it } from 'vitest';
import { computePlan, stepList } from '../plan/index.ts';
import { emptyInput, planOfRecords } from '../plan/testing.ts';
import { remainingOf } from './remaining.ts';
import type { SnagRecord } from './records.ts';

const at = '2027-03-01T08:00:00.000Z';
const stuck: SnagRecord = {
  step: 'rm-exhaust-front',
  sort: 'stuck',
  what: 'two studs',
  ways: [],
  at,
};
const planWith = (snags: Record<string, SnagRecord>) =>
  planOfRecords(Object.entries(snags).map(([key, data]) => ({ kind: 'snag', key, data })));
const pullOf = (snags: Record<string, SnagRecord>) => stepList(planWith(snags), 'pull', {});
const lineOf = (list: ReturnType<typeof pullOf>, step: string) =>
  list.plan.lines.find((l) => l.def.id === step)!;

describe('what was found otherwise than planned', () => {
  it('adds its minutes to the step, and to what is left', () => {
    const before = pullOf({});
    const after = pullOf({ a: { ...stuck, extraMinutes: 45 }, b: { ...stuck, extraMinutes: 15 } });
    const plain = before.minutesOf('rm-exhaust-front')!;
    expect(after.minutesOf('rm-exhaust-front')).toEqual(plain.map((m) => m + 60));
    expect(after.minutesOf('rm-identify')).toEqual(before.minutesOf('rm-identify'));
    const left = (list: typeof before) => remainingOf(list.plan, list.states, list.minutesOf);
    expect(left(after).least).toBe(left(before).least + 60);
    expect(left(after).most).toBe(left(before).most + 60);
  });

  it('keeps its minutes once it is behind us, and loses them when it was written in error', () => {
    const with45 = { ...stuck, extraMinutes: 45 };
    const plain = pullOf({}).minutesOf('rm-exhaust-front')!;
    expect(
      pullOf({ a: { ...with45, ended: { how: 'heat' } } }).minutesOf('rm-exhaust-front')![0],
    ).toBe(plain[0]! + 45);
    expect(pullOf({ a: { ...with45, removed: true } }).minutesOf('rm-exhaust-front')).toEqual(
      plain,
    );
  });

  it('heat wants no open fuel: the step stands before the fuel is opened, or waits until it is capped', () => {
    const heat = pullOf({ a: { ...stuck, ways: ['heat'] } });
    expect(lineOf(pullOf({}), 'rm-exhaust-front').states).not.toContain('st-hot-work-ok');
    expect(lineOf(heat, 'rm-exhaust-front').states).toContain('st-hot-work-ok');
    const opened = { 'rm-fuel-open': { status: 'done' as const, at } };
    const state = stepList(
      planWith({ a: { ...stuck, ways: ['heat'] } }),
      'pull',
      opened,
    ).states.get('rm-exhaust-front')!;
    expect(state.ended).toContainEqual({ state: 'st-hot-work-ok', by: 'rm-fuel-open' });
    expect(state.status).toBe('held');
  });

  it('nothing is cut before it is written what is scrap', () => {
    const before = lineOf(
      pullOf({ a: { ...stuck, step: 'rm-mounts-free', ways: ['cut'] } }),
      'rm-mounts-free',
    ).before;
    expect(before.map((e) => e.from)).toContain('rm-fate-list');
    expect(lineOf(pullOf({}), 'rm-mounts-free').before.map((e) => e.from)).not.toContain(
      'rm-fate-list',
    );
  });

  it('holds the step until it soaked; what is behind us holds nothing', () => {
    const soaks: SnagRecord = { ...stuck, ways: ['soak'], soakHours: 12 };
    expect(planWith({ a: soaks }).waits['rm-exhaust-front']).toEqual([
      { waitsFor: 'penetrant to soak (two studs)', due: '2027-03-01T20:00:00.000Z' },
    ]);
    for (const over of [{ ended: { how: 'free' } }, { removed: true as const }])
      expect(planWith({ a: { ...soaks, ...over } }).waits['rm-exhaust-front']).toBeUndefined();
  });

  it('speaks of the list that it was found on', () => {
    const own = planWith({ a: { ...stuck, ways: ['heat'] } });
    const states = (steps: typeof own.pull) =>
      steps.lines.find((l) => l.def.id === 'rm-exhaust-front')?.states;
    expect(states(own.harvestSteps)).not.toContain('st-hot-work-ok');
    const donor = planWith({ a: { ...stuck, step: 'donor-rm-exhaust-front', ways: ['heat'] } });
    expect(states(donor.harvestSteps)).toContain('st-hot-work-ok');
    expect(states(donor.pull)).not.toContain('st-hot-work-ok');
  });
});

describe('what is left of a list', () => {
  it('is one person alone, or the longest chain however many help', () => {
    const list = stepList(computePlan(emptyInput()), 'pull', {});
    const left = remainingOf(list.plan, list.states, list.minutesOf);
    expect(left.open.length).toBeGreaterThan(30);
    expect(left.chainLeast).toBeLessThan(left.least);
    expect(left.chainMost).toBeLessThan(left.most);
    const at = new Map(list.plan.lines.map((l, i) => [l.def.id, i]));
    const places = left.chain.map((id) => at.get(id)!);
    expect(places).toEqual([...places].sort((a, b) => a - b));
  });

  it('counts no step that is behind us', () => {
    const plan = computePlan(emptyInput());
    const all = stepList(plan, 'pull', {});
    const one = stepList(plan, 'pull', { 'rm-identify': { status: 'done', at } });
    const left = (list: typeof all) => remainingOf(list.plan, list.states, list.minutesOf);
    expect(left(one).open).toEqual(left(all).open.filter((id) => id !== 'rm-identify'));
    expect(left(all).most - left(one).most).toBe(all.minutesOf('rm-identify')!.at(-1));
  });
});
