import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import {
  againstTask,
  computePlan,
  draftOfPlan,
  emptyInput,
  orderOf,
  ringOf,
  stepList,
} from './index.ts';
import type { PlanInput } from './index.ts';
import { bookFrom } from './testing.ts';
import { ownId, ownIdFits, ownTitle } from '../memory/index.ts';
import type { OwnLine } from '../memory/index.ts';
import { noTerms } from '../money/index.ts';

/** Facts of the program's own making: no source outside stands beside them. */

const line = (over: Partial<OwnLine> = {}): OwnLine => ({
  sort: 'step',
  title: 'Strap for the tank',
  why: 'it rattles',
  station: 'connect',
  ...over,
});
const withTasks = (
  tasks: PlanInput['gateInputs']['records']['tasks'],
): PlanInput['gateInputs'] => ({
  ...emptyInput().gateInputs,
  records: { ...emptyInput().gateInputs.records, tasks },
});
const strap = 'own-strap-for-the-tank-a1b2';
const brace = 'own-brace-c3d4';

describe('lines of people’s own', () => {
  it('an id carries the title, and only that title', () => {
    const id = ownId('Strap, 3/8 in, for the tank', 'a1b2');
    expect(id).toBe('own-strap-3-8-in-for-the-tank-a1b2');
    expect(ownTitle(id)).toBe('Strap 3 8 in for the tank');
    expect(ownIdFits(id, 'Strap, 3/8 in, for the tank')).toBe(true);
    expect(ownIdFits(id, 'Strap for the tank')).toBe(false);
    fc.assert(
      fc.property(fc.string({ minLength: 3, maxLength: 120 }), (title) => {
        expect(ownIdFits(ownId(title, 'z9z9'), title)).toBe(true);
      }),
    );
  });

  it('a step waits for what it names, and what it names waits for it', () => {
    const input = emptyInput({
      ownLines: {
        [strap]: line({ after: ['rm-identify'] }),
        [brace]: line({ title: 'Brace', before: ['rm-bonnet-off'], parts: ['kit-sump'] }),
      },
    });
    const plan = computePlan(input);
    const waits = (list: 'own' | 'pull', step: string, tasks = {}): string[] =>
      stepList(plan, list, tasks)
        .states.get(step)!
        .waits.map((w) => w.waitsFor);
    expect(waits('own', strap)).toEqual(['"Read the numbers"']);
    expect(waits('pull', 'rm-bonnet-off')).toEqual(['"Brace"']);
    expect(waits('own', brace)).toHaveLength(1);
    expect(againstTask(plan, {}, 'rm-bonnet-off', 'done').against).toContain('waits for "Brace"');
    const done = computePlan({
      ...input,
      kit: { 'kit-sump': { status: 'here' } },
      gateInputs: withTasks({ 'rm-identify': { status: 'done' }, [brace]: { status: 'done' } }),
    });
    expect(done.waits[strap]).toBeUndefined();
    expect(done.waits['rm-bonnet-off']).toBeUndefined();
  });

  it('waits for no part and no step that this job does not have', () => {
    const plan = computePlan(
      emptyInput({
        facts: bookFrom({ 'cho-goal': 'mock-up' }),
        ownLines: {
          [brace]: line({ title: 'Brace', parts: ['kit-fan'], after: ['own-gone-z9z9'] }),
        },
      }),
    );
    expect(plan.waits[brace]).toBeUndefined();
  });

  it('what waits for a second signature is not done, so what waits for it goes on waiting', () => {
    const half = computePlan(
      emptyInput({
        ownLines: { [strap]: line({ after: ['rm-mounts-free'] }) },
        gateInputs: withTasks({
          'rm-mounts-free': {
            status: 'done',
            deviation: { why: 'hung on the crane', stoodOn: { against: ['x'], harm: true } },
          },
        }),
      }),
    );
    expect(half.waits[strap]).toHaveLength(1);
  });

  it('a check shuts its gate until it is done', () => {
    const own = { [brace]: line({ sort: 'check', title: 'Brace tight', gate: 'First crank' }) };
    const blockers = (tasks: PlanInput['gateInputs']['records']['tasks']): string[] =>
      computePlan(emptyInput({ ownLines: own, gateInputs: withTasks(tasks) }))
        .gates.find((g) => g.gate === 'First crank')!
        .lines.flatMap((l) => l.blockers.map((b) => b.sentence));
    expect(blockers({}).join()).toContain('check, Brace tight');
    expect(blockers({ [brace]: { status: 'on-it' } }).join()).toContain('check, Brace tight');
    expect(blockers({ [brace]: { status: 'done', note: '40 N·m' } }).join()).not.toContain(
      'Brace tight',
    );
  });

  it('a rule of the shop joins the plans of which it holds, and waits where nobody knows', () => {
    const rule = {
      id: strap,
      line: line({ sort: 'part', system: 'fuel', price: [5, 8, 12] }),
      when: 'eng-fuel = diesel',
    };
    const kit = (facts: PlanInput['facts'], over: Partial<PlanInput> = {}) =>
      computePlan(emptyInput({ facts, shopRules: [rule], ...over })).kit.find(
        (k) => k.def.id === strap,
      );
    expect(kit(bookFrom({ 'eng-fuel': 'petrol' }))).toBeUndefined();
    expect(kit(bookFrom({ 'eng-fuel': 'diesel' }))).toMatchObject({
      state: 'needed',
      because: ['eng-fuel'],
    });
    expect(kit(new Map())).toMatchObject({ state: 'waits', needs: ['eng-fuel'] });
    // The line it was made from was taken back on this job: the rule does not bring it again.
    expect(
      kit(bookFrom({ 'eng-fuel': 'diesel' }), {
        ownLines: { [strap]: { ...rule.line, removed: true } },
      }),
    ).toBeUndefined();
  });

  it('a rule that is not understood any more is not taken for one that does not hold', () => {
    const plan = computePlan(
      emptyInput({
        shopRules: [{ id: strap, line: line({ minutes: [60, 60] }), when: 'eng-gone = yes' }],
      }),
    );
    expect(plan.ownLines).toMatchObject([{ id: strap, waits: true }]);
    const { lines } = draftOfPlan(plan, false, { ...noTerms, hourRate: 6000 });
    expect(lines.find((l) => l.id === strap)!.state).toBe('open');
  });

  it('is quoted with the hours of all who are at it', () => {
    const plan = computePlan(
      emptyInput({ ownLines: { [strap]: line({ minutes: [60, 120], people: 2 }) } }),
    );
    const { lines } = draftOfPlan(plan, false, { ...noTerms, hourRate: 6000 });
    expect(lines.find((l) => l.id === strap)).toMatchObject({ state: 'counted', hours: [2, 3, 4] });
  });

  it('an order that goes round in a ring is found, through the order of the plan as well', () => {
    const plan = computePlan(
      emptyInput({ ownLines: { [brace]: line({ title: 'Brace', after: [strap] }) } }),
    );
    const order = orderOf([{ steps: plan.pull, prefix: '' }], plan.ownLines);
    expect(ringOf(strap, { after: [brace] }, order)).toEqual([strap, brace, strap]);
    // The numbers are read before the fate of the parts is written: nothing stands behind the one and before the other.
    expect(
      ringOf(strap, { after: ['rm-fate-list'], before: ['rm-identify'] }, order),
    ).toBeDefined();
    expect(
      ringOf(strap, { after: ['rm-identify'], before: ['rm-fate-list'] }, order),
    ).toBeUndefined();
  });
});
