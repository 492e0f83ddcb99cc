import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { computePlan, workSteps } from '../plan/index.ts';
import { bookFrom, emptyInput } from '../plan/testing.ts';
import { stepStates } from '../pull/index.ts';
import type { StepPlan, Tasks } from '../pull/index.ts';
import { buildSteps } from './index.ts';

/** What an engine of one kind, opened so far, is asked for. Facts of the trade: common practice, no source. */

type Typed = Record<string, string>;
const wholePlan = (facts: Typed, jobSchools: Record<string, string> = {}) =>
  computePlan(emptyInput({ facts: bookFrom(facts), jobSchools }));
const planOf = (facts: Typed, schools?: Record<string, string>): StepPlan =>
  wholePlan(facts, schools).build;
const idsOf = (facts: Typed, schools?: Record<string, string>): string[] =>
  planOf(facts, schools).lines.map((l) => l.def.id);
const gateIds = (facts: Typed): string[] =>
  wholePlan(facts).gates.flatMap((g) => g.lines.map((l) => l.def.id));
const done = { status: 'done' as const, at: '2026-01-01T00:00:00.000Z' };
const stripped = { 'cho-engine-depth': 'stripped' };

describe('the steps of building up', () => {
  it('of an engine that is stripped and of which nothing else is known are all there but those of a closed choice', () => {
    const ids = idsOf(stripped);
    expect(new Set(ids).size).toBe(ids.length);
    expect([...ids].sort()).toEqual(buildSteps.map((s) => s.id).sort());
  });
  it('of whatever engine none stands before what it waits for, and nothing waits for ever', () => {
    const options: Record<string, readonly string[]> = {
      'cho-engine-depth': ['', 'closed', 'resealed', 'stripped'],
      'cho-stand': ['', 'bell-face', 'sides', 'cradle', 'none'],
      'eng-cam-drive': ['', 'belt', 'chain', 'gear'],
      'gbx-kind': ['', 'manual', 'automatic-electronic', 'transaxle-manual', 'dual-clutch'],
      'cho-gearbox-stays': ['', 'yes', 'no'],
      'cho-unit-lift': ['', 'engine-alone', 'engine-and-gearbox'],
      'eng-condition': ['', 'new', 'stood', 'rebuilt', 'proven-running'],
      'cho-sump': ['', 'donor-sump', 'modified'],
    };
    const facts = fc
      .record(
        Object.fromEntries(
          Object.entries(options).map(([id, values]) => [id, fc.constantFrom(...values)]),
        ),
      )
      .map((f) => Object.fromEntries(Object.entries(f).filter(([, v]) => v !== '')));
    fc.assert(
      fc.property(facts, (f) => {
        const plan = planOf(f);
        expect(plan.contradictions).toEqual([]);
        const ids = plan.lines.map((l) => l.def.id);
        for (const line of plan.lines)
          for (const e of line.before.filter((x) => !x.soft))
            expect(ids.indexOf(e.from), `${e.from} before ${line.def.id}`).toBeLessThan(
              ids.indexOf(line.def.id),
            );
        const tasks: Record<string, typeof done> = {};
        for (const id of ids) {
          expect(stepStates(plan, tasks).get(id)?.status, id).toBe('free');
          tasks[id] = done;
        }
      }),
      { numRuns: 60 },
    );
  });
  it('are held by what is open, and free when it is done or not needed', () => {
    const plan = planOf(stripped);
    const at = (tasks: Tasks, id: string) => stepStates(plan, tasks).get(id)!;
    expect(at({}, 'bld-crank')).toMatchObject({ status: 'held' });
    const before = at({}, 'bld-crank').heldBy;
    expect(before).toEqual(expect.arrayContaining(['bld-lube', 'bld-chase']));
    const open = Object.fromEntries(before.map((id) => [id, done]));
    expect(at(open, 'bld-crank')).toMatchObject({ status: 'free', heldBy: [] });
    const waived = { ...open, [before[0]!]: { status: 'waived' as const } };
    expect(at(waived, 'bld-crank').status).toBe('free');
    expect(at({ 'bld-crank': { status: 'on-it' } }, 'bld-crank').status).toBe('on-it');
  });
});

describe('an engine is asked only for what was opened', () => {
  it('closed: no pistons, no covers, no sealant, no lash; two turns by hand all the same', () => {
    const ids = idsOf({ 'cho-engine-depth': 'closed', 'cho-sump': 'donor-sump' });
    for (const id of [
      'bld-crank',
      'bld-head',
      'bld-cover',
      'bld-sump',
      'bld-belt',
      'bld-chain',
      'bld-close',
    ])
      expect(ids).not.toContain(id);
    expect(ids).toEqual(expect.arrayContaining(['bld-two-turns', 'bld-flywheel', 'bld-ready']));
    const gates = gateIds({
      'cho-engine-depth': 'closed',
      'cho-sump': 'donor-sump',
      'eng-cam-follower': 'bucket',
      'eng-condition': 'stood',
    });
    for (const id of ['gate-cu-seal', 'gate-cu-lash', 'gate-cu-fasteners', 'gate-cu-pickup'])
      expect(gates).not.toContain(id);
    expect(gates).toEqual(
      expect.arrayContaining(['gate-cu-turns', 'gate-cu-count', 'gate-cu-condition']),
    );
  });
  it('closed, with another sump: the sump, its pick-up and the last look inside are asked for', () => {
    const ids = idsOf({ 'cho-engine-depth': 'closed', 'cho-sump': 'modified' });
    expect(ids).toEqual(
      expect.arrayContaining(['bld-pickup', 'bld-close', 'bld-sump', 'bld-seal-wait']),
    );
    expect(ids).not.toContain('bld-cover');
    expect(gateIds({ 'cho-engine-depth': 'closed', 'cho-sump': 'modified' })).toEqual(
      expect.arrayContaining(['gate-cu-seal', 'gate-cu-pickup']),
    );
  });
  it('resealed, which is the default: covers and sump, and nothing of crank and pistons', () => {
    const ids = idsOf({});
    expect(ids).toEqual(expect.arrayContaining(['bld-cover', 'bld-sump', 'bld-seal-kind']));
    for (const id of ['bld-crank', 'bld-pistons', 'bld-head', 'bld-shrink'])
      expect(ids).not.toContain(id);
  });
  it('by the way of working that was chosen, over what follows from its condition, over the default', () => {
    const depth = (facts: Typed, side?: string) => {
      const value = wholePlan(facts, side === undefined ? {} : { 'sch-open-used': side }).facts.get(
        'cho-engine-depth',
      );
      return [value?.parts['value'], value?.source];
    };
    expect(depth({})).toEqual(['resealed', 'assumed']);
    expect(depth({ 'eng-condition': 'rebuilt' })).toEqual(['stripped', 'inferred']);
    expect(depth({ 'eng-condition': 'new' })).toEqual(['closed', 'inferred']);
    expect(depth({ 'eng-condition': 'new' }, 'sch-open-used-c')).toEqual(['stripped', 'assumed']);
    expect(depth({ 'eng-condition': 'rebuilt', 'cho-engine-depth': 'closed' })).toEqual([
      'closed',
      'measured',
    ]);
  });
});

describe('an engine is asked by its kind', () => {
  it('belt or chain, and a chain only where it comes off', () => {
    const timing = (depth: string, drive: string) =>
      idsOf({ 'cho-engine-depth': depth, 'eng-cam-drive': drive }).filter((id) =>
        /belt|chain|front-cover/.test(id),
      );
    expect(timing('resealed', 'belt')).toEqual(['bld-belt', 'bld-belt-feel', 'bld-front-cover']);
    expect(timing('resealed', 'chain')).toEqual([]);
    expect(timing('stripped', 'chain')).toEqual(['bld-chain', 'bld-front-cover']);
    expect(timing('stripped', 'gear')).toEqual(['bld-chain', 'bld-front-cover']);
  });
  it('turbo, and none', () => {
    expect(idsOf({ 'eng-induction': 'turbo' })).toContain('bld-turbo-drain');
    expect(idsOf({ 'eng-induction': 'none' })).not.toContain('bld-turbo-drain');
  });
  it('clutch or converter, and what of them stays in the car', () => {
    const rear = (facts: Typed) =>
      idsOf(facts).filter((id) => /pilot|clutch|slave|converter|join/.test(id));
    expect(
      rear({
        'gbx-kind': 'manual',
        'cho-gearbox-stays': 'no',
        'cho-unit-lift': 'engine-and-gearbox',
      }),
    ).toEqual(['bld-pilot', 'bld-clutch', 'bld-slave', 'bld-join']);
    expect(
      rear({
        'gbx-kind': 'automatic-electronic',
        'cho-gearbox-stays': 'no',
        'cho-unit-lift': 'engine-and-gearbox',
      }),
    ).toEqual(['bld-converter', 'bld-join']);
    expect(rear({ 'gbx-kind': 'manual', 'cho-gearbox-stays': 'yes' })).toEqual([
      'bld-pilot',
      'bld-clutch',
      'bld-join-in-car',
    ]);
  });
  it('lash that sets itself has no table, and lash that nobody knows has one', () => {
    const lash = (adjuster: Typed) =>
      gateIds({ 'eng-cam-follower': 'bucket', ...adjuster }).includes('gate-cu-lash');
    expect(lash({ 'eng-lash-adjuster': 'hydraulic' })).toBe(false);
    expect(lash({ 'eng-lash-adjuster': 'by-hand' })).toBe(true);
    expect(lash({})).toBe(true);
  });
});

describe('the stand decides what goes on at the stand', () => {
  const orderOf = (stand: string) => {
    const ids = idsOf({
      'cho-stand': stand,
      'gbx-kind': 'manual',
      'cho-gearbox-stays': 'no',
      'cho-unit-lift': 'engine-and-gearbox',
    });
    return (first: string, then: string) => {
      expect(ids).toEqual(expect.arrayContaining([first, then]));
      expect(ids.indexOf(first), `${first} before ${then}`).toBeLessThan(ids.indexOf(then));
    };
  };
  it('one that holds the bell face lets go before the flywheel', () =>
    orderOf('bell-face')('bld-stand-off', 'bld-flywheel'));
  it('one that holds the sides carries it until the gearbox is on, and lets go before the mounts', () => {
    orderOf('sides')('bld-join', 'bld-stand-off');
    orderOf('sides')('bld-stand-off', 'bld-mounts-on');
  });
  it('in a cradle it stands on its sump: hung before the work under it, and nothing to come off', () => {
    orderOf('cradle')('bld-hang', 'bld-pickup');
    expect(idsOf({ 'cho-stand': 'cradle' })).not.toContain('bld-stand-off');
    expect(
      idsOf({ 'cho-stand': 'cradle', 'cho-engine-depth': 'closed', 'cho-sump': 'donor-sump' }),
    ).not.toContain('bld-hang');
  });
  it('nobody said which: the flywheel waits for it, as at the bell face', () =>
    expect(
      planOf({})
        .lines.find((l) => l.def.id === 'bld-flywheel')
        ?.before.map((e) => e.from),
    ).toContain('bld-stand-off'));
});

it('the steps are among those of the job, with what each needs to know', () => {
  const plan = wholePlan({});
  const step = workSteps(plan, {}, false).find((s) => s.key === 'bld-flywheel');
  expect(step).toMatchObject({ station: 'prep', status: 'held' });
  expect(plan.waitingFor.get('cho-stand')).toContain('bld-stand-off');
});
