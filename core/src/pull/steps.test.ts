import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { factsIn } from '../rules/index.ts';
import { factCatalogue } from '../facts/index.ts';
import type { FactBook, FactValue } from '../facts/index.ts';
import { computePlan } from '../plan/index.ts';
import { bookFrom, emptyInput } from '../plan/testing.ts';
import { schoolQuestions } from '../schools/index.ts';
import { pullSteps, stepStates, taskWantsSecond, wayChoices, everyState } from './index.ts';
import type { StepPlan, TaskRecord } from './index.ts';

/**
 * The plan is followed as a technician would, and held against a second reckoning of what has been brought about, written
 * here and not in the program: that steps which hurt come after what makes them safe is a fact of the trade (common practice,
 * no source).
 */

const everyGate = new Set([
  'gate-hv-people',
  'gate-hv-wait',
  'gate-hv-dead',
  'gate-hvd-people',
  'gate-hvd-wait',
  'gate-hvd-dead',
]);
const stamp = (n: number): string =>
  new Date(Date.parse('2026-01-01T06:00:00Z') + n * 60_000).toISOString();

type Typed = Parameters<typeof bookFrom>[0];
const pullOf = (typed: Typed, schools: Record<string, string> = {}): StepPlan =>
  computePlan(
    emptyInput({ facts: bookFrom(typed), outgoing: bookFrom(typed), shopSchools: schools }),
  ).pull;
const statusOf = (
  plan: StepPlan,
  id: string,
  records: Record<string, TaskRecord> = {},
  proved = everyGate,
) => stepStates(plan, records, proved).get(id)?.status;
const done = (n: number): TaskRecord => ({ status: 'done', at: stamp(n) });

/** Does every free step, again and again, in the order of the list; what was done, in its order. */
function follow(
  plan: StepPlan,
  skip: ReadonlySet<string> = new Set(),
): { order: string[]; left: string[]; records: Record<string, TaskRecord> } {
  const records: Record<string, TaskRecord> = {};
  const order: string[] = [];
  for (;;) {
    const states = stepStates(plan, records, everyGate);
    const next = plan.lines.find(
      (l) => states.get(l.def.id)!.status === 'free' && !skip.has(l.def.id),
    );
    if (!next) {
      const left = [...states].filter(([, s]) => s.status === 'held').map(([id]) => id);
      return { order, left, records };
    }
    order.push(next.def.id);
    records[next.def.id] = done(order.length);
  }
}

/** States that hurt when they are missing, with the steps that bring each about. Common practice, no source. */
const givers: Record<string, readonly string[]> = {
  'st-no-pressure': [
    'rm-fuel-run-dry',
    'rm-fuel-valve-bleed',
    'rm-fuel-stand-cold',
    'rm-fuel-hp-wait',
  ],
  'st-load-carried': ['rm-hoist-on', 'rm-cradle-under'],
  'st-hv-dead': ['rm-hv-prove-dead'],
  'st-ac-recovered': ['rm-ac-recover'],
  'st-gearbox-held': ['rm-gearbox-held'],
  'st-held': ['rm-chock'],
  'st-power-off': ['rm-battery-off'],
  'st-airbags-safe': ['rm-airbag-wait'],
};

const conditionFacts = new Set(
  [
    ...pullSteps.map((s) => s.when),
    ...everyState.flatMap((s) => (typeof s.atStart === 'boolean' ? [] : [s.atStart])),
  ].flatMap(factsIn),
);
const asked = factCatalogue.filter((f) => conditionFacts.has(f.id) && f.parts[0]!.options);

/** Each fact that a step asks about is one of its options, or nobody knows it. */
const randomFacts = fc
  .tuple(
    ...asked.map((f) =>
      fc.option(fc.constantFrom(...f.parts[0]!.options!), { nil: undefined, freq: 4 }),
    ),
  )
  .map(
    (picks): FactBook =>
      new Map(
        picks.flatMap((option, i): [string, FactValue][] =>
          option === undefined
            ? []
            : [
                [
                  asked[i]!.id,
                  { parts: { [asked[i]!.parts[0]!.key]: option }, typed: {}, source: 'measured' },
                ],
              ],
        ),
      ),
  );
const randomSchools = fc
  .tuple(...schoolQuestions.map((q) => fc.constantFrom(...q.sides.map((s) => s.id))))
  .map((sides) => Object.fromEntries(sides.map((side, i) => [schoolQuestions[i]!.id, side])));

describe('following the plan, whatever the car and the schools', () => {
  const plans = (facts: FactBook, schools: Record<string, string>): StepPlan[] => {
    const plan = computePlan(
      emptyInput({ facts, outgoing: facts, donor: facts, shopSchools: schools, withDonor: true }),
    );
    return [plan.pull, plan.harvestSteps];
  };
  it('no step is done before what makes it safe was brought about (property)', () => {
    fc.assert(
      fc.property(randomFacts, randomSchools, (facts, schools) => {
        for (const plan of plans(facts, schools)) {
          const { order } = follow(plan);
          const at = (id: string): number => order.indexOf(id);
          const startsWith = new Set(plan.states.filter((s) => s.atStart).map((s) => s.id));
          for (const id of order) {
            const line = plan.lines.find((l) => l.def.id === id)!;
            for (const state of line.states) {
              if (startsWith.has(state) || givers[state] === undefined) continue;
              expect(
                givers[state].some((g) => at(g) >= 0 && at(g) < at(id)),
                `${id} wants ${state}: ${order.join(' ')}`,
              ).toBe(true);
            }
          }
        }
      }),
      { numRuns: 150 },
    );
  });
  it('nothing is left held for ever: what does not come free is said to be unmet (property)', () => {
    fc.assert(
      fc.property(randomFacts, randomSchools, (facts, schools) => {
        for (const plan of plans(facts, schools))
          expect(
            follow(plan).left,
            JSON.stringify([...facts].map(([k, v]) => [k, Object.values(v.parts)[0]])),
          ).toEqual([]);
      }),
      { numRuns: 150 },
    );
  });
  it('"not needed" of a giver never frees what needs it (property)', () => {
    const all = Object.values(givers).flat();
    fc.assert(
      fc.property(
        randomFacts,
        randomSchools,
        fc.subarray([...new Set(all)], { minLength: 1 }),
        (facts, schools, waived) => {
          for (const plan of plans(facts, schools)) {
            const records: Record<string, TaskRecord> = Object.fromEntries(
              waived.map((id) => [id, { status: 'waived', at: stamp(0) }]),
            );
            const closed = Object.fromEntries(
              plan.lines.filter((l) => !all.includes(l.def.id)).map((l) => [l.def.id, done(1)]),
            );
            for (const line of plan.lines) {
              const state = stepStates(
                plan,
                { ...closed, ...records, [line.def.id]: { status: 'open' } },
                everyGate,
              ).get(line.def.id)!;
              if (state.status !== 'free') continue;
              for (const need of line.states) {
                if (givers[need] === undefined || plan.states.find((s) => s.id === need)!.atStart)
                  continue;
                expect.fail(`${line.def.id} is free without ${need}`);
              }
            }
          }
        },
      ),
      { numRuns: 60 },
    );
  });
  it('of two ways of one thing, never both are free (property)', () => {
    fc.assert(
      fc.property(randomFacts, randomSchools, (facts, schools) => {
        for (const plan of plans(facts, schools)) {
          const states = stepStates(plan, {}, everyGate);
          for (const way of wayChoices)
            expect(
              way.steps.filter((id) => !['other-way', undefined].includes(states.get(id)?.status))
                .length,
            ).toBeLessThanOrEqual(1);
        }
      }),
      { numRuns: 60 },
    );
  });
});

describe('fuel', () => {
  const fuellings = [
    'carburettor',
    'throttle-body-injection',
    'port-injection',
    'direct-injection',
    'diesel-mechanical',
    'diesel-common-rail',
  ];
  const conditions = ['proven-running', 'stood', 'rebuilt', 'new', 'not-known'];
  const cases = fuellings.flatMap((f) =>
    conditions.flatMap((c) => ['a', 'b', 'c'].map((s) => [f, c, s] as const)),
  );
  it.each(cases)(
    '%s, %s, school %s: a release comes before the opening',
    (fuelling, condition, side) => {
      const plan = pullOf(
        { 'eng-fuelling': fuelling, 'eng-condition': condition, 'rec-hv-system': 'no' },
        { 'sch-fuel-release': `sch-fuel-release-${side}` },
      );
      const { order } = follow(plan);
      const opened = order.indexOf('rm-fuel-open');
      expect(opened).toBeGreaterThan(-1);
      expect(givers['st-no-pressure']!.some((g) => order.slice(0, opened).includes(g))).toBe(true);
    },
  );
  it('when one way is closed the next is offered: battery already off, bleed at the valve', () => {
    const plan = pullOf({
      'eng-fuelling': 'port-injection',
      'eng-condition': 'proven-running',
      'rec-hv-system': 'no',
    });
    expect(statusOf(plan, 'rm-fuel-valve-bleed')).toBe('other-way');
    const off = { 'rm-battery-off': done(1), 'rm-cool-down': done(2), 'rm-baseline-run': done(0) };
    expect(statusOf(plan, 'rm-fuel-run-dry', off)).toBe('other-way');
    expect(stepStates(plan, off).get('rm-fuel-valve-bleed')!.status).toBe('free');
    expect(stepStates(plan, off).get('rm-fuel-open')!.heldBy).toContain('rm-fuel-valve-bleed');
  });
  it('"not needed" of every release leaves the line shut, and says what is missing', () => {
    const plan = pullOf({
      'eng-fuelling': 'port-injection',
      'rec-hv-system': 'no',
      'eng-condition': 'proven-running',
    });
    const waived = Object.fromEntries(
      givers['st-no-pressure']!.map((id) => [id, { status: 'waived' as const, at: stamp(1) }]),
    );
    const others = Object.fromEntries(
      plan.lines.filter((l) => !l.def.id.startsWith('rm-fuel')).map((l) => [l.def.id, done(2)]),
    );
    expect(stepStates(plan, { ...others, ...waived }).get('rm-fuel-open')).toMatchObject({
      status: 'unmet',
      unmet: [{ state: 'st-no-pressure' }],
    });
    const claimed = {
      ...waived['rm-fuel-run-dry']!,
      instead: 'line open since the crash, dry, no smell',
    };
    expect(taskWantsSecond('rm-fuel-run-dry', claimed)).toBe(true);
    expect(
      stepStates(plan, { ...others, ...waived, 'rm-fuel-run-dry': claimed }).get('rm-fuel-open')!
        .status,
    ).toBe('held');
    const both = { ...claimed, second: { byId: 'B', at: stamp(3) } };
    expect(
      stepStates(plan, { ...others, ...waived, 'rm-fuel-run-dry': both }).get('rm-fuel-open')!
        .status,
    ).toBe('free');
  });
});

describe('load and mounts', () => {
  it('a hoist called not needed does not free the mount bolts', () => {
    const plan = pullOf({ 'rec-install-path': 'over-the-front', 'rec-hv-system': 'no' });
    const others = Object.fromEntries(
      plan.lines.filter((l) => l.def.id !== 'rm-mounts-free').map((l) => [l.def.id, done(2)]),
    );
    expect(
      stepStates(plan, {
        ...others,
        'rm-set-down': { status: 'open' },
        'rm-hoist-on': { status: 'waived', at: stamp(1) },
      }).get('rm-mounts-free'),
    ).toMatchObject({ status: 'unmet', unmet: [{ state: 'st-load-carried' }] });
  });
  it('what hangs aside comes before the lift, out by the top and out by the bottom', () => {
    for (const path of ['over-the-front', 'from-below', 'through-the-front']) {
      const { order } = follow(
        pullOf({
          'rec-install-path': path,
          'rec-hv-system': 'no',
          'rec-steering-assist': 'hydraulic',
          'eng-ps-pump': 'belt-left',
          'rec-ac-state': 'fitted-charged',
          'cho-ac': 'kept',
        }),
      );
      const lift = order.indexOf('rm-lift-50');
      for (const id of [
        'rm-ps-aside',
        'rm-ac-aside',
        'rm-intake-off',
        'rm-booster-hose',
        'rm-straps',
        'rm-heater-hoses',
      ]) {
        expect(order.indexOf(id), `${id} ${path}`).toBeGreaterThan(-1);
        expect(order.indexOf(id), `${id} ${path}`).toBeLessThan(lift);
      }
    }
  });
});

describe('refrigerant', () => {
  const charged = {
    'rec-ac-state': 'fitted-charged',
    'rec-hv-system': 'no',
    'rec-install-path': 'over-the-front',
  };
  it.each(['deleted', 'later'])(
    'a charged circuit whose compressor is %s is recovered first, whatever the school',
    (fate) => {
      for (const side of ['a', 'b']) {
        const { order } = follow(
          pullOf(
            { ...charged, 'cho-ac': fate },
            { 'sch-sealed-aside': `sch-sealed-aside-${side}` },
          ),
        );
        expect(order.indexOf('rm-ac-recover')).toBeGreaterThan(-1);
        expect(order.indexOf('rm-ac-recover')).toBeLessThan(order.indexOf('rm-ac-off'));
      }
    },
  );
  it('tied aside it stays shut; where the front comes off it is recovered all the same', () => {
    expect(follow(pullOf({ ...charged, 'cho-ac': 'kept' })).order).not.toContain('rm-ac-recover');
    const front = follow(
      pullOf({ ...charged, 'cho-ac': 'kept', 'rec-install-path': 'through-the-front' }),
    ).order;
    expect(front.indexOf('rm-ac-recover')).toBeGreaterThan(-1);
    expect(front.indexOf('rm-ac-recover')).toBeLessThan(front.indexOf('rm-front-off'));
  });
  it('a circuit that is said to be empty is read on a gauge too', () =>
    expect(
      follow(pullOf({ ...charged, 'rec-ac-state': 'fitted-empty', 'cho-ac': 'deleted' })).order,
    ).toContain('rm-ac-recover'));
});

describe('high voltage', () => {
  const car = {
    'rec-hv-system': 'yes',
    'eng-condition': 'stood',
    'eng-fuelling': 'port-injection',
  };
  const paper = [
    'rm-identify',
    'rm-photo-tour',
    'rm-fate-list',
    'rm-chock',
    'rm-module-scan',
    'rm-seats-move',
    'rm-glass-roof',
    'rm-latches',
    'rm-battery-off',
  ];
  it.each<Record<string, string>>([
    {},
    { 'sch-battery-order': 'sch-battery-order-c' },
    { 'sch-battery-order': 'sch-battery-order-a' },
  ])(
    'after papers, chocks and 12 V off nothing else is free before it is proved dead (%o)',
    (schools) => {
      const unknown = Object.fromEntries(
        Object.entries(car).filter(([id]) => id !== 'rec-hv-system'),
      );
      for (const typed of [car, unknown]) {
        const plan = pullOf(typed, schools);
        const records = Object.fromEntries(paper.map((id, i) => [id, done(i)]));
        const free = [...stepStates(plan, records)]
          .filter(([, s]) => s.status === 'free')
          .map(([id]) => id);
        expect(free.filter((id) => !id.startsWith('rm-hv-') && id !== 'rm-feed-by-leads')).toEqual(
          [],
        );
      }
    },
  );
  it('its own way of taking the battery off changes the order', () => {
    const order = (schools: Record<string, string>) => follow(pullOf(car, schools)).order;
    const manual = order({ 'sch-battery-order': 'sch-battery-order-c' });
    expect(manual.indexOf('rm-hv-authorise')).toBeLessThan(manual.indexOf('rm-battery-off'));
    expect(manual.indexOf('rm-battery-off')).toBeLessThan(manual.indexOf('rm-hv-prove-dead'));
    expect(order({ 'sch-battery-order': 'sch-battery-order-b' })).not.toEqual(manual);
  });
  it('"done" of the proof waits for the lines of its gate', () => {
    const plan = pullOf(car);
    const records = Object.fromEntries(
      [...paper, 'rm-hv-authorise', 'rm-hv-make-safe'].map((id, i) => [id, done(i)]),
    );
    expect(stepStates(plan, records, new Set()).get('rm-hv-prove-dead')!.gates).toEqual([
      'gate-hv-wait',
      'gate-hv-dead',
    ]);
    expect(stepStates(plan, records, everyGate).get('rm-hv-prove-dead')!.gates).toEqual([]);
  });
});

describe('only its own steps', () => {
  const ids = (typed: Typed) => pullOf(typed).lines.map((l) => l.def.id);
  it('a car without an engine', () => {
    const own = ids({ 'rec-own-engine': 'out-of-the-car', 'rec-hv-system': 'no' });
    expect(own.length).toBeLessThan(25);
    expect(own).not.toContain('rm-mounts-free');
    expect(own).toContain('rm-wash');
  });
  it('an engine pulled alone leaves shafts, shifter and crossmember be', () => {
    for (const layout of [
      'front-transverse',
      'front-longitudinal-all-drive',
      'mid-engine',
      'front-longitudinal-rear-drive',
    ]) {
      const own = ids({
        'cho-unit-lift': 'engine-alone',
        'rec-drive-layout': layout,
        'gbx-kind': 'automatic-electronic',
      });
      for (const id of [
        'rm-driveshafts-off',
        'rm-hub-nuts',
        'rm-propshaft-off',
        'rm-crossmember',
        'rm-shift-off',
        'rm-gearbox-drain',
        'rm-transfer-off',
        'rm-cooler-speedo',
      ])
        expect(own, layout).not.toContain(id);
    }
  });
  it('a transverse car has no propshaft and no tail crossmember; its hub nuts come before it is raised', () => {
    const plan = pullOf({
      'rec-drive-layout': 'front-transverse',
      'cho-unit-lift': 'engine-and-gearbox',
      'rec-hv-system': 'no',
    });
    const own = plan.lines.map((l) => l.def.id);
    expect(own).not.toContain('rm-propshaft-off');
    expect(own).not.toContain('rm-crossmember');
    const { order } = follow(plan);
    expect(order.indexOf('rm-hub-nuts')).toBeLessThan(order.indexOf('rm-raise'));
    expect(order.indexOf('rm-weigh')).toBeLessThan(order.indexOf('rm-raise'));
  });
});

describe('power off', () => {
  const car = {
    'rec-drive-layout': 'front-longitudinal-rear-drive',
    'cho-unit-lift': 'engine-and-gearbox',
    'rec-hv-system': 'no',
  };
  it('a manual car does not lose its neutral with the battery, one that shifts by wire does', () => {
    const order = (typed: Typed) => pullOf({ ...car, ...typed }).lines.map((l) => l.def.id);
    const manual = order({ 'gbx-kind': 'manual' });
    expect(manual.indexOf('rm-battery-off')).toBeLessThan(manual.indexOf('rm-propshaft-off'));
    const plan = pullOf({
      ...car,
      'gbx-kind': 'automatic-electronic',
      'gbx-shift-link': 'by-wire',
    });
    const lost = {
      'rm-battery-off': done(2),
      'rm-latches': { status: 'waived' as const, at: stamp(1) },
    };
    expect(stepStates(plan, lost).get('rm-propshaft-off')!.ended).toEqual([
      { state: 'st-neutral', by: 'rm-battery-off' },
    ]);
    expect(
      stepStates(plan, { ...lost, 'rm-latches': done(1) }).get('rm-propshaft-off')!.ended,
    ).toEqual([]);
  });
  it('straps, saw, starter and cables wait for it', () => {
    const plan = pullOf(car);
    const others = Object.fromEntries(plan.lines.map((l) => [l.def.id, done(1)]));
    for (const id of ['rm-straps', 'rm-starter-off', 'rm-cables', 'rm-connectors']) {
      expect(
        statusOf(plan, id, {
          ...others,
          'rm-battery-off': { status: 'open' },
          [id]: { status: 'open' },
        }),
        id,
      ).toBe('held');
      expect(
        statusOf(plan, id, {
          ...others,
          'rm-battery-off': { status: 'waived', at: stamp(1) },
          [id]: { status: 'open' },
        }),
        id,
      ).toBe('unmet');
    }
  });
});

describe('a step done out of its order', () => {
  it('frees what follows only when the second person has signed, where harm is near', () => {
    const record: TaskRecord = {
      status: 'done',
      at: stamp(1),
      deviation: {
        why: 'jack was under it',
        stoodOn: { against: ['load not carried'], harm: true },
      },
    };
    expect(taskWantsSecond('rm-mounts-free', record)).toBe(true);
    const plan = pullOf({ 'rec-hv-system': 'no', 'rec-install-path': 'over-the-front' });
    const others = Object.fromEntries(
      plan.lines
        .filter((l) => !['rm-lift-50', 'rm-snag-walk', 'rm-exit', 'rm-set-down'].includes(l.def.id))
        .map((l) => [l.def.id, done(2)]),
    );
    const walk = (mounts: TaskRecord) =>
      stepStates(plan, { ...others, 'rm-mounts-free': mounts }).get('rm-snag-walk')!;
    expect(walk(record)).toMatchObject({ status: 'held', heldBy: ['rm-mounts-free'] });
    expect(walk({ ...record, second: { byId: 'B', at: stamp(3) } }).status).toBe('free');
  });
});
