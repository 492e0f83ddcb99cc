import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { liftsInOrder } from '../fit/index.ts';
import { goingInSteps, noItems, pullSteps, stepStates, workPlaceOf } from '../pull/index.ts';
import type { StepPlan, Tasks } from '../pull/index.ts';
import { schoolEffects } from '../schools/effects.ts';
import { againstTask, computePlan, stepList, workSteps } from './index.ts';
import { bookFrom, emptyInput } from './testing.ts';

/** How a unit goes in. Facts of the trade: common practice, no source. */

type Typed = Record<string, string>;
const planOf = (facts: Typed, lifts = liftsInOrder({})) =>
  computePlan(emptyInput({ facts: bookFrom(facts), lifts }));
const goingIn = (facts: Typed): StepPlan => planOf(facts).goingIn;
const idsOf = (facts: Typed): string[] => goingIn(facts).lines.map((l) => l.def.id);
const at = (hour: number): string => `2026-01-01T${String(hour).padStart(2, '0')}:00:00.000Z`;
const done = (hour: number) => ({ status: 'done' as const, at: at(hour) });
const stateOf = (facts: Typed, tasks: Tasks, step: string, lifts = liftsInOrder({})) =>
  stepList(planOf(facts, lifts), 'fit', tasks).states.get(step)!;
const below = {
  'rec-install-path': 'from-below',
  'cho-unit-lift': 'on-subframe',
  'gbx-kind': 'transaxle-manual',
};
const over = {
  'rec-install-path': 'over-the-front',
  'cho-unit-lift': 'engine-and-gearbox',
  'gbx-kind': 'manual',
};
const empty = { 'rec-own-engine': 'out-of-the-car' };

describe('going in', () => {
  it('in whatever car nothing stands before what it waits for, and done in its order nothing is held', () => {
    const options: Record<string, readonly string[]> = {
      'rec-install-path': ['', 'over-the-front', 'from-below', 'through-the-front', 'from-behind'],
      'cho-unit-lift': ['', 'engine-alone', 'engine-and-gearbox', 'on-subframe'],
      'cho-gearbox-stays': ['', 'yes', 'no'],
      'gbx-kind': ['', 'manual', 'transaxle-manual', 'automatic-electronic'],
      'cho-mount-school': ['', 'sliding-plate', 'fixed-hole-plate', 'fabricated', 'recipient-arms'],
    };
    const facts = fc.record(
      Object.fromEntries(
        Object.entries(options).map(([id, values]) => [id, fc.constantFrom(...values)]),
      ),
    );
    fc.assert(
      fc.property(facts, (all) => {
        const plan = goingIn(Object.fromEntries(Object.entries(all).filter(([, v]) => v !== '')));
        expect(plan.contradictions).toEqual([]);
        expect(plan.unmet).toEqual([]);
        const tasks: Record<string, ReturnType<typeof done>> = {};
        for (const { def } of plan.lines) {
          expect(stepStates(plan, tasks).get(def.id)!.status, def.id).toMatch(/free|other-way/);
          tasks[def.id] = done(1);
        }
      }),
      { numRuns: 60 },
    );
  });
  it.each([
    [below, 'ein-lines', 'ein-unit-in'],
    [below, 'ein-way-below', 'ein-table-under'],
    [below, 'ein-unit-in', 'ein-suspension-on'],
    [below, 'ein-under', 'ein-car-down'],
    [over, 'ein-firewall', 'ein-hook-on'],
    [over, 'ein-along', 'ein-height'],
    [over, 'ein-tail-mount', 'ein-gear-off'],
  ])('%o: %s comes before %s', (facts, first, then) => {
    const ids = idsOf(facts);
    expect(ids.indexOf(first)).toBeGreaterThanOrEqual(0);
    expect(ids.indexOf(first)).toBeLessThan(ids.indexOf(then));
  });
  it('asks for what this way wants and nothing of another', () => {
    expect(idsOf(below)).not.toContain('ein-hook-on');
    expect(idsOf(over)).not.toContain('ein-table-under');
    expect(idsOf(over)).not.toContain('ein-joined-in');
    expect(idsOf({ ...over, 'cho-unit-lift': 'engine-alone' })).toContain('ein-joined-in');
    expect(idsOf(below)).not.toContain('ein-tail-mount');
  });
  it('keeps the hook on an engine that stands on its front mounts alone', () => {
    const until = idsOf(over).slice(0, idsOf(over).indexOf('ein-gear-off'));
    const tasks = Object.fromEntries(until.map((id) => [id, done(1)]));
    const without = Object.fromEntries(
      Object.entries(tasks).filter(([id]) => id !== 'ein-tail-mount'),
    );
    expect(stateOf({ ...over, ...empty }, tasks, 'ein-gear-off').status).toBe('free');
    expect(stateOf({ ...over, ...empty }, without, 'ein-gear-off').status).not.toBe('free');
    const waived = { ...without, 'ein-tail-mount': { status: 'waived' as const, at: at(1) } };
    const against = againstTask(planOf({ ...over, ...empty }), waived, 'ein-gear-off', 'done');
    expect(against).toMatchObject({ harm: true });
    expect(against.against.join()).toContain('gearbox carried at its tail');
  });
  it('does not begin in a bay that the old engine still fills', () => {
    expect(stateOf(over, {}, 'ein-bay-done')).toMatchObject({
      status: 'held',
      waits: [{ waitsFor: 'the engine that was in the car to be set down' }],
    });
    expect(stateOf(over, { 'rm-set-down': done(1) }, 'ein-bay-done').status).toBe('free');
    expect(stateOf({ ...over, ...empty }, {}, 'ein-bay-done').status).toBe('free');
    expect(againstTask(planOf(over), {}, 'ein-bay-done', 'on-it').against).toHaveLength(1);
  });
  it('asks for nothing on an engine that is not there yet', () => {
    const plan = computePlan(
      emptyInput({ facts: bookFrom({ ...over, ...empty }), withEngine: false }),
    );
    const states = stepList(plan, 'fit', {}).states;
    expect(states.get('ein-hidden')).toMatchObject({
      status: 'held',
      waits: [{ waitsFor: 'the engine that goes in to be on the job' }],
    });
    expect(states.get('ein-bay-done')!.status).toBe('free');
    expect(againstTask(plan, {}, 'ein-hidden', 'done').against).toHaveLength(1);
  });
  it('opens its lift and its place again when the unit came out', () => {
    const tasks = Object.fromEntries(idsOf(over).map((id) => [id, done(2)]));
    const out = liftsInOrder({
      one: { unit: 'real', at: at(1), out: { why: 'fan meets the pulley', at: at(3) } } as never,
    });
    expect(stateOf({ ...over, ...empty }, tasks, 'ein-unit-in').status).toBe('done');
    expect(stateOf({ ...over, ...empty }, tasks, 'ein-unit-in', out).status).not.toBe('done');
    expect(stateOf({ ...over, ...empty }, tasks, 'ein-lines', out).status).toBe('done');
    expect(
      stateOf({ ...over, ...empty }, { ...tasks, 'ein-hook-on': done(4) }, 'ein-unit-in', out)
        .status,
    ).toBe('free');
  });
  it('holds the hood and the front until the unit is in, and asks for the way anew when one was closed before', () => {
    const facts = { ...over, ...empty, 'rec-install-path': 'through-the-front' };
    const off = { 'rm-front-off': done(0) };
    const plan = planOf(facts);
    const back = (tasks: Tasks) =>
      workSteps(plan, tasks, false).find((s) => s.key === 'back-front')!;
    expect(back(off)).toMatchObject({
      status: 'held',
      heldBy: ['Into its place in small moves, somebody at each tight spot'],
    });
    expect(againstTask(plan, off, 'back-front', 'done').against).toHaveLength(1);
    expect(back({ ...off, 'ein-unit-in': done(2) }).status).toBe('free');
    const shut = { ...off, 'ein-way-front': done(1), 'back-front': done(2) };
    expect(stepList(plan, 'fit', shut).states.get('ein-way-front')!.status).not.toBe('done');
    // A lift that is written says as well that it is in.
    const lift = liftsInOrder({ one: { unit: 'real', at: at(1) } as never });
    expect(againstTask(planOf(facts, lift), off, 'back-front', 'done').against).toEqual([]);
    // Over the front the panel closes nothing: it may go back.
    expect(againstTask(planOf({ ...over, ...empty }), off, 'back-front', 'done').against).toEqual(
      [],
    );
  });
  it('and pulling say of every step where it is done', () => {
    const added = schoolEffects.flatMap((e) => e.addsSteps ?? []);
    for (const step of [...goingInSteps, ...pullSteps, ...added])
      expect(workPlaceOf(step.id), step.id).toBeDefined();
  });
  it('names what carries the load and who is near in every step that can hurt', () => {
    for (const step of goingInSteps.filter((s) => s.harm))
      expect(step.caution, step.id).toBeTruthy();
  });
  const flat = { rig: { frontX: 500, frontZ: 200, rearX: 0, rearZ: 200, hookAbove: 90 } };
  const stud = {
    rig: undefined,
    items: {
      ...noItems,
      clears: [{ sort: 'clears' as const, what: 'stud', needMm: 64, hasMm: 55 }],
    },
  };
  const linesOf = (over: Parameters<typeof emptyInput>[0]) => {
    const plan = computePlan(emptyInput(over));
    const line = plan.gates.flatMap((g) => g.lines).find((l) => l.def.id === 'gate-ei-lift')!;
    // What refuses the first move refuses the way out as well.
    expect(plan.waits['rm-exit']).toEqual(plan.waits['rm-lift-50']);
    return { line, waits: plan.waits['rm-lift-50'] ?? [] };
  };
  it('is refused at its gate, and the pull at its first move, by a lift that cannot be', () => {
    const none = { rig: undefined };
    const going = linesOf({ facts: bookFrom(over), rigged: { out: none, in: flat } });
    expect(going.line.blockers.map((b) => b.sentence).join()).toMatch(
      /flatter than 30° is refused.*What it weighs/,
    );
    expect(going.waits).toEqual([]);
    const pulling = linesOf({ facts: bookFrom(over), rigged: { out: stud, in: none } });
    expect(pulling.waits).toContainEqual({
      waitsFor: 'the lift: 64 mm of stud, 55 mm of lift: tilt it, or take that out first',
    });
    expect(pulling.line.blockers).toEqual([]);
  });
  it('on a table from below is not refused for slings that nobody uses', () => {
    expect(linesOf({ facts: bookFrom(below), rigged: { out: flat, in: flat } })).toMatchObject({
      waits: [],
      line: { blockers: [] },
    });
  });
  it('on a hoist that is too weak is refused whether slings are written or not', () => {
    const heavy = {
      ...over,
      'rec-install-path': { value: 'over-the-front', 'hoist-rating-at-boom-place': '150 kg' },
    };
    const facts = bookFrom({ ...heavy, 'eng-mass': '140 kg', 'gbx-mass': '40 kg' });
    expect(
      linesOf({ facts })
        .line.blockers.map((b) => b.sentence)
        .join(),
    ).toContain('The hoist carries 150 kg');
  });
});
