import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { factCatalogue, readCondition } from '../facts/index.ts';
import type { FactBook, FactValue } from '../facts/index.ts';
import { pullSteps, stepStates } from '../pull/index.ts';
import { evaluate, orderSteps, scopeOf } from '../rules/index.ts';
import type { FitWord, Scope } from '../rules/index.ts';
import { chooseSchools, effectsOf, schoolQuestions } from '../schools/index.ts';
import { computePlan, planDifference, titleOf } from './index.ts';
import { bookFrom, emptyInput } from './testing.ts';

const is = (text: string, facts: FactBook = new Map(), more: Partial<Scope> = {}) =>
  evaluate(readCondition(text), scopeOf({ facts, ...more })).is;

describe('conditions', () => {
  const facts = bookFrom({
    'eng-fuel': 'diesel',
    'don-storage-months': '14',
    'rec-battery': { place: 'boot' },
    'cho-loom': { length: 'lengthened' },
    'eng-bell-pattern': 'A',
    'gbx-bell-pattern': 'a ',
    'eng-o2-sensors': { upstream: '2' },
  });
  it.each([
    ['always', true],
    ['eng-fuel = diesel', true],
    ['eng-fuel != diesel', false],
    ['eng-fuel in {petrol, diesel}', true],
    ['eng-fuel not in {petrol}', true],
    ['don-storage-months > 12', true],
    ['don-storage-months > 24', false],
    ['rec-battery = boot', true],
    ['cho-loom = lengthened', true],
    ['eng-bell-pattern != gbx-bell-pattern', false],
    ['eng-o2-sensors > 0', true],
    ['eng-fuel known', true],
    ['eng-induction missing', true],
    ['eng-induction = turbo', 'waits'],
    ['eng-induction != turbo', 'waits'],
    ['eng-induction = turbo or eng-fuel = diesel', true],
    ['eng-induction = turbo and eng-fuel = petrol', false],
    ['eng-induction = turbo and eng-fuel = diesel', 'waits'],
  ])('%s is %s', (text, wanted) => expect(is(text, facts)).toBe(wanted));
  it('a fact nobody knows never counts as a no (property)', () => {
    const words = factCatalogue
      .filter((f) => f.parts[0]!.options)
      .map((f) => [f.id, f.parts[0]!.options![0]!] as const);
    fc.assert(
      fc.property(
        fc.constantFrom(...words),
        fc.constantFrom('=', '!='),
        ([id, option], op) => is(`${id} ${op} ${option}`) === 'waits',
      ),
    );
  });
  it('says because of what, and what it needs', () => {
    expect(
      evaluate(readCondition('eng-fuel = diesel and don-storage-months > 12'), scopeOf({ facts }))
        .because,
    ).toEqual(['eng-fuel', 'don-storage-months']);
    expect(evaluate(readCondition('eng-induction = turbo'), scopeOf({ facts })).needs).toEqual([
      'eng-induction',
    ]);
  });
  it('reads verdicts, fitted parts and attempts', () => {
    const fit = (word: FitWord, resolved = false) => ({
      fits: new Map([['fit-tank', { word, resolved }]]),
    });
    expect(is('fit-tank says Adapt', facts, fit('adapt'))).toBe(true);
    expect(is('fit-tank says Adapt', facts, fit('clash'))).toBe(false);
    expect(is('fit-tank says Adapt', facts, fit('clash', true))).toBe(true);
    expect(is('fit-tank says Clash', facts, fit('not-measured'))).toBe('waits');
    expect(is('kit-sump fitted', facts, { fitted: new Set(['kit-sump']) })).toBe(true);
    expect(is('three attempts logged', facts, { attempts: 3 })).toBe(true);
  });
  it('refuses words it does not know', () =>
    expect(() => readCondition('engine is loud')).toThrow(/not understood/));
});

describe('ordering', () => {
  const step = (id: string, after: string[] = [], needs: string[] = []) => ({
    id,
    rank: 0,
    after,
    before: [],
    needs,
  });
  it('finds a ring and names its steps', () => {
    const o = orderSteps([step('a', ['c']), step('b', ['a']), step('c', ['b'])], []);
    expect(o.contradictions).toHaveLength(1);
    expect([...o.contradictions[0]!.steps].sort()).toEqual(['a', 'b', 'c']);
    expect(o.ids).toHaveLength(3);
  });
  it('puts what needs a state before what ends it', () => {
    const power = { id: 's', atStart: true, lostBy: ['off'], givenBy: [] };
    expect(orderSteps([step('off'), step('seats', [], ['s'])], [power]).ids).toEqual([
      'seats',
      'off',
    ]);
  });
  it('an order that wants a state after it was ended contradicts itself, and names the state', () => {
    const power = { id: 's', atStart: true, lostBy: ['off'], givenBy: [] };
    const o = orderSteps([step('off'), step('seats', ['off'], ['s'])], [power]);
    expect(
      o.contradictions[0]!.edges.some((e) => e.why.kind === 'state' && e.why.state === 's'),
    ).toBe(true);
  });
  it('is content when a step gives the state back', () => {
    const power = { id: 's', atStart: true, lostBy: ['off'], givenBy: ['leads'] };
    const o = orderSteps(
      [step('off'), step('leads', ['off']), step('seats', ['off'], ['s'])],
      [power],
    );
    expect(o.contradictions).toEqual([]);
    expect(o.ids).toEqual(['off', 'leads', 'seats']);
  });
  it('says when nothing gives a state', () => {
    expect(
      orderSteps([step('a', [], ['s'])], [{ id: 's', atStart: false, lostBy: [], givenBy: ['b'] }])
        .unmet,
    ).toEqual([{ step: 'a', state: 's' }]);
  });
  it('soft edges give way to binding ones', () => {
    expect(orderSteps([step('a', ['~b']), step('b', ['a'])], []).contradictions).toEqual([]);
  });
  it('does not depend on the order in which steps are given (property)', () => {
    const given = pullSteps.map((s, i) => ({
      id: s.id,
      rank: i % 5,
      after: s.after,
      before: s.before,
      needs: s.needs,
    }));
    const states = computePlan(emptyInput()).pull.states.map((s) => ({
      ...s,
      lostBy: s.lostBy.map((l) => l.step),
    }));
    const wanted = orderSteps(given, states).ids;
    fc.assert(
      fc.property(
        fc.shuffledSubarray(given, { minLength: given.length }),
        (shuffled) => JSON.stringify(orderSteps(shuffled, states).ids) === JSON.stringify(wanted),
      ),
      { numRuns: 20 },
    );
  });
});

/** Facts of enumerated kind chosen at random: any shop's any car. */
const randomFacts = fc
  .array(
    fc.tuple(fc.constantFrom(...factCatalogue.filter((f) => f.parts[0]!.options)), fc.nat(20)),
    { maxLength: 90 },
  )
  .map(
    (picks): FactBook =>
      new Map(
        picks.map(([f, n]): [string, FactValue] => [
          f.id,
          {
            parts: { [f.parts[0]!.key]: f.parts[0]!.options![n % f.parts[0]!.options!.length]! },
            typed: {},
            source: 'assumed',
          },
        ]),
      ),
  );
const randomSchools = fc
  .array(fc.tuple(fc.constantFrom(...schoolQuestions), fc.nat(5)), { maxLength: 12 })
  .map((picks) =>
    Object.fromEntries(picks.map(([q, n]) => [q.id, q.sides[n % q.sides.length]!.id])),
  );

describe('the plan', () => {
  it('has no ring, whatever the facts and schools (property)', () => {
    fc.assert(
      fc.property(randomFacts, randomSchools, (facts, schools) => {
        const plan = computePlan(
          emptyInput({ facts, outgoing: facts, donor: facts, shopSchools: schools }),
        );
        return (
          plan.pull.contradictions.length === 0 && plan.harvestSteps.contradictions.length === 0
        );
      }),
      { numRuns: 60 },
    );
  });
  it('keeps every binding order (property)', () => {
    fc.assert(
      fc.property(randomFacts, (facts) => {
        const { lines } = computePlan(emptyInput({ facts, outgoing: facts })).pull;
        const at = new Map(lines.map((l, i) => [l.def.id, i]));
        return lines.every((l) => l.before.every((e) => at.get(e.from)! < at.get(l.def.id)!));
      }),
      { numRuns: 40 },
    );
  });
  it('does not depend on the order in which facts were typed (property)', () => {
    fc.assert(
      fc.property(randomFacts, (facts) => {
        const turned: FactBook = new Map([...facts].reverse());
        const shape = (f: FactBook) => {
          const p = computePlan(emptyInput({ facts: f, outgoing: f }));
          return JSON.stringify([
            p.kit.map((l) => [l.def.id, l.state]),
            p.fits.map((l) => l.verdict.word),
            p.pull.lines.map((l) => l.def.id),
            p.circuits.map((c) => c.def.id),
          ]);
        };
        return shape(facts) === shape(turned);
      }),
      { numRuns: 30 },
    );
  });
  it('says what changed when a cable throttle becomes drive-by-wire', () => {
    const before = computePlan(
      emptyInput({
        facts: bookFrom({
          'eng-throttle-kind': 'cable',
          'rec-throttle-pedal': 'cable',
          'cho-control': 'standalone',
        }),
      }),
    );
    const after = computePlan(
      emptyInput({
        facts: bookFrom({
          'eng-throttle-kind': 'by-wire',
          'rec-throttle-pedal': 'cable',
          'cho-control': 'standalone',
        }),
      }),
    );
    const d = planDifference(before, after);
    expect(d.added).toContain('kit-pedal');
    expect(d.added).toContain('cir-throttle-motor');
    expect(d.dropped).toContain('kit-throttle-cable');
    expect(d.verdicts).toContainEqual({ id: 'fit-throttle', from: 'bolts-up', to: 'adapt' });
    expect(planDifference(after, after)).toEqual({ added: [], dropped: [], verdicts: [] });
  });
  it('nothing of an engine unit is asked for where no engine unit runs it, and the car keeps its pedal with its unit', () => {
    const engine = {
      'eng-throttle-kind': 'by-wire',
      'eng-load-sensor': 'air-mass',
      'eng-o2-sensors': { upstream: '2' },
      'eng-immobiliser-kind': 'key-to-engine-unit',
    };
    const asked = (control: string): string[] => {
      const plan = computePlan(
        emptyInput({ facts: bookFrom({ ...engine, 'cho-control': control }) }),
      );
      const all = [...plan.kit, ...plan.circuits, ...plan.benchTests].map((l) => l.def.id);
      return [
        'kit-maf-adapter',
        'kit-pedal',
        'kit-o2-sensors',
        'cir-throttle-motor',
        'cir-maf',
        'cir-immobiliser',
        'bt-immobiliser',
      ].filter((id) => all.includes(id));
    };
    expect(asked('carburettor-distributor')).toEqual([]);
    expect(asked('donor-unit-trimmed-loom')).toContain('kit-pedal');
    expect(asked('donor-unit-trimmed-loom')).toContain('bt-immobiliser');
    expect(asked('recipient-unit-kept')).not.toContain('kit-pedal');
    expect(asked('standalone')).not.toContain('cir-immobiliser');
  });
  it('names for each unknown fact which lines wait for it', () => {
    const plan = computePlan(emptyInput());
    expect(plan.waitingFor.get('eng-mass')).toContain('fit-install-path');
    expect(plan.waitingFor.get('eng-fuel')).toContain('kit-glow');
  });
  it('a resolution brings its kit and tasks, and only its own', () => {
    const facts = bookFrom({
      'eng-fuelling': 'port-injection',
      'rec-tank-baffled': 'no',
      'cho-pump-place': 'inline',
    });
    const resolution = {
      text: 'pot',
      kit: ['kit-surge-pot', 'kit-vacuum-pump'],
      asked: [],
      by: 'A',
      at: '2026-01-02',
    };
    const plan = computePlan(emptyInput({ facts, fits: { 'fit-tank': { resolution } } }));
    expect(plan.kit.find((l) => l.def.id === 'kit-vacuum-pump')).toMatchObject({
      state: 'needed',
      addedBy: ['fit-tank'],
    });
    expect(plan.fitTasks.map((t) => t.id)).toContain('task-tank');
    expect(computePlan(emptyInput({ facts })).fitTasks.map((t) => t.id)).not.toContain('task-tank');
  });
  it('titles every line it names', () => {
    const plan = computePlan(emptyInput());
    const ids = [
      ...plan.kit.map((l) => l.def.id),
      ...plan.pull.lines.map((l) => l.def.id),
      ...plan.gates.flatMap((g) => g.lines.map((l) => l.def.id)),
      ...plan.circuits.map((c) => c.def.id),
    ];
    expect(ids.filter((id) => titleOf(id) === id)).toEqual([]);
  });
});

describe('schools', () => {
  const facts = bookFrom({
    'rec-steering-assist': 'hydraulic',
    'eng-ps-pump': 'belt-left',
    'rec-ac-state': 'fitted-charged',
    'eng-fuelling': 'port-injection',
    'eng-condition': 'proven-running',
    'eng-power': '100 kW',
    'rec-bay-length': { 'to-core-rear-face': '700' },
  });
  const shape = (schools: Record<string, string>) => {
    const p = computePlan(emptyInput({ facts, outgoing: facts, shopSchools: schools }));
    return JSON.stringify([
      p.kit.map((l) => [l.def.id, l.state, l.filled]),
      p.fits.map((l) => [l.verdict.word, l.verdict.headline]),
      p.pull.lines.map((l) => l.def.id),
      p.gates.map((g) => g.lines.map((l) => l.def.id)),
      p.circuits.map((c) => c.def.id),
    ]);
  };
  it('at least eight questions change a plan', () => {
    const changing = schoolQuestions.filter(
      (q) => new Set(q.sides.map((s) => shape({ [q.id]: s.id }))).size > 1,
    );
    expect(changing.length).toBeGreaterThanOrEqual(8);
  });
  it('the job goes before the shop, the shop before the default', () => {
    const q = 'sch-clamps';
    expect(chooseSchools({}, {}).get(q)).toEqual({ side: 'sch-clamps-b', from: 'default' });
    expect(chooseSchools({ [q]: 'sch-clamps-a' }, {}).get(q)).toEqual({
      side: 'sch-clamps-a',
      from: 'shop',
    });
    expect(chooseSchools({ [q]: 'sch-clamps-a' }, { [q]: 'sch-clamps-b' }).get(q)).toEqual({
      side: 'sch-clamps-b',
      from: 'job',
    });
    expect(chooseSchools({ [q]: 'rubbish' }, {}).get(q)!.from).toBe('default');
  });
  it('battery first: leads feed the powered moves, after the battery and before the wiring', () => {
    const ids = computePlan(
      emptyInput({
        facts,
        outgoing: facts,
        shopSchools: { 'sch-battery-order': 'sch-battery-order-a' },
      }),
    ).pull.lines.map((l) => l.def.id);
    const at = (id: string) => ids.indexOf(id);
    expect(at('rm-battery-off')).toBeLessThan(at('rm-feed-by-leads'));
    expect(at('rm-feed-by-leads')).toBeLessThan(at('rm-seats-move'));
    expect(at('rm-seats-move')).toBeLessThan(at('rm-connectors') + ids.length);
    expect(ids).not.toContain('rm-fuel-run-dry');
    expect(effectsOf(chooseSchools({}, {})).some((e) => e.id === 'sch-battery-order-a')).toBe(
      false,
    );
  });
});

describe('steps as people do them', () => {
  const plan = computePlan(emptyInput()).pull;
  const at = (n: number) => `2026-01-01T0${n}:00:00.000Z`;
  it('frees what waits for nothing, holds the rest and says by what', () => {
    const s = stepStates(plan, {});
    expect(s.get('rm-identify')!.status).toBe('free');
    expect(s.get('rm-mounts-free')!.status).toBe('held');
    expect(s.get('rm-mounts-free')!.heldBy).toContain('rm-hoist-on');
  });
  it('a refusal names the step that destroyed the state', () => {
    const s = stepStates(plan, { 'rm-battery-off': { status: 'done', at: at(1) } });
    expect(s.get('rm-seats-move')).toMatchObject({
      status: 'held',
      ended: [{ state: 'st-battery-live', by: 'rm-battery-off' }],
    });
  });
  it('a state given back after it was lost holds nobody', () => {
    const lost = { 'rm-fuel-open': { status: 'done' as const, at: at(1) } };
    expect(stepStates(plan, lost).get('rm-bay-hot')!.ended).toHaveLength(1);
    expect(
      stepStates(plan, { ...lost, 'rm-cap-ports': { status: 'done', at: at(2) } }).get(
        'rm-bay-hot',
      )!.ended,
    ).toEqual([]);
  });
  it('what is not needed opens the way like what is done', () => {
    const first = plan.lines.find((l) => l.before.length === 1)!;
    expect(
      stepStates(plan, { [first.before[0]!.from]: { status: 'waived' } }).get(first.def.id)!.heldBy,
    ).toEqual([]);
  });
});
