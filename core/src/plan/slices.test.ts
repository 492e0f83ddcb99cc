import { liftsInOrder } from '../fit/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { factCatalogue } from '../facts/index.ts';
import type { FactValue } from '../facts/index.ts';
import { interfaces } from '../fit/index.ts';
import { startWeights } from '../diagnosis/index.ts';
import { kitLines } from '../kit/index.ts';
import { schoolQuestions } from '../schools/index.ts';
import { computePlan, Planner, stepList } from './index.ts';
import type { Plan, PlanInput } from './index.ts';
import { bookFrom, emptyInput } from './testing.ts';

const lineOf = (plan: Plan, gateLine: string) =>
  plan.gates.flatMap((g) => g.lines).find((l) => l.def.id === gateLine);
const calm = bookFrom({
  'cho-mount-school': 'recipient-arms',
  'cho-ps': 'kept-hydraulic',
  'rec-steering-assist': 'hydraulic',
  'rec-brake-line-path': 'clear',
});
/** Every interface judged "Bolts up" by a person, or by a trial where a sum would overrule. */
const allBolts: PlanInput['fits'] = Object.fromEntries(
  interfaces.map((i) => [
    i.id,
    {
      trial: {
        word: 'bolts-up' as const,
        place: 'bench',
        condition: 'cold' as const,
        at: '2027-01-01T00:00:00.000Z',
      },
    },
  ]),
);

describe('structural, steering and brake work wants approval before the first drive', () => {
  const line = (over: Partial<PlanInput>) =>
    lineOf(computePlan(emptyInput({ facts: calm, fits: allBolts, ...over })), 'gate-fd-approved');
  it('no line where everything bolts up and nothing was changed', () =>
    expect(line({})).toBeUndefined());
  it.each(['fit-mount-pads', 'fit-sump-steering', 'fit-brakes-power', 'fit-tunnel'])(
    'by a way out chosen at %s',
    (id) => {
      const fits = {
        ...allBolts,
        [id]: {
          trial: { ...allBolts[id]!.trial!, word: 'clash' as const },
          resolution: { text: 'cut and welded', kit: [], asked: [] },
        },
      };
      expect(line({ fits })).toMatchObject({ applies: true, because: [id], state: 'open' });
    },
  );
  it('a way out that changes neither does not bring it', () => {
    const fits = {
      ...allBolts,
      'fit-tach': {
        trial: { ...allBolts['fit-tach']!.trial!, word: 'adapt' as const },
        resolution: { text: 'converter', kit: [], asked: [] },
      },
    };
    expect(line({ fits })).toBeUndefined();
  });
  it('by a choice, by what was fitted, by how the car is', () => {
    const chosen = (typed: Parameters<typeof bookFrom>[0]) =>
      line({ facts: new Map([...calm, ...bookFrom(typed)]) });
    expect(chosen({ 'cho-mount-school': 'fabricated' })).toMatchObject({
      because: ['cho-mount-school'],
    });
    expect(chosen({ 'cho-ps': 'manual' })).toMatchObject({ because: ['cho-ps'] });
    expect(chosen({ 'rec-brake-line-path': 'crosses-engine-zone' })).toMatchObject({
      because: ['rec-brake-line-path'],
    });
    expect(line({ kit: { 'kit-brake-upgrade': { status: 'fitted' } } })).toMatchObject({
      because: ['kit-brake-upgrade'],
    });
    expect(line({ kit: { 'kit-brake-upgrade': { status: 'here' } } })).toBeUndefined();
  });
  it('what nobody measured or decided is not a no: the line waits', () => {
    expect(lineOf(computePlan(emptyInput()), 'gate-fd-approved')).toMatchObject({
      applies: 'waits',
    });
    const fits = {
      ...allBolts,
      'fit-firewall': { trial: { ...allBolts['fit-firewall']!.trial!, word: 'adapt' as const } },
    };
    expect(line({ fits })).toMatchObject({ applies: 'waits', needs: ['fit-firewall'] });
  });
});

describe('nothing of what a plan is computed from is without effect', () => {
  const shape = (input: PlanInput): string => {
    const plan = computePlan(input);
    return JSON.stringify([
      plan.kit.map((l) => [l.def.id, l.state, l.filled, l.placeOpen, l.beside]),
      plan.pull.lines.map((l) => l.def.id),
      plan.pull.ways,
      plan.harvest.map((l) => l.part.id),
      plan.harvestSteps.lines.map((l) => l.def.id),
      plan.gates.flatMap((g) => g.lines.map((l) => [l.def.id, l.state, l.applies, l.blockers])),
      plan.circuits.map((c) => [c.def.id, c.waits]),
      plan.fills,
      stepList(plan, 'pull', {}).states.get('rm-identify'),
      stepList(plan, 'pull', {}).minutesOf('rm-identify'),
      stepList(plan, 'fit', {}).states.get('ein-hidden'),
      startWeights(plan.scope, {}),
      plan.fits.map((l) => [l.def.id, l.verdict.word, l.verdict.headline, l.stale, l.resolved]),
    ]);
  };
  const base = emptyInput({ facts: calm, fits: allBolts });
  const turned: Record<keyof PlanInput, Partial<PlanInput>> = {
    facts: { facts: bookFrom({ 'eng-fuel': 'diesel' }) },
    outgoing: {
      outgoing: bookFrom({
        'eng-ps-pump': 'belt-left',
        'eng-fuelling': 'diesel-mechanical',
        'eng-induction': 'none',
      }),
    },
    donor: { donor: bookFrom({ 'rec-hv-system': 'no' }) },
    shopSchools: { shopSchools: { 'sch-sealed-aside': 'sch-sealed-aside-b' } },
    shopRules: {
      shopRules: [
        {
          id: 'own-look-at-the-mounts-a1b2',
          line: {
            sort: 'check',
            title: 'Look at the mounts',
            why: '',
            station: 'fit',
            gate: 'Engine in',
          },
          when: 'always',
        },
      ],
    },
    ownLines: {
      ownLines: {
        'own-strap-c3d4': {
          sort: 'step',
          title: 'Strap',
          why: '',
          station: 'pull',
          before: ['rm-identify'],
        },
      },
    },
    jobSchools: { jobSchools: { 'sch-sealed-aside': 'sch-sealed-aside-b' } },
    fits: { fits: {} },
    gaps: {
      gaps: [
        {
          interfaceId: 'fit-hood',
          read: {
            word: 'clash',
            place: 'brace',
            condition: 'cold',
            at: '2026-01-02T00:00:00.000Z',
          },
        },
      ],
    },
    lifts: {
      lifts: liftsInOrder({
        one: {
          reason: 'trial',
          why: 'sump',
          foreseen: true,
          unit: 'real',
          carries: 'bare',
          at: '2026-01-01T00:00:00.000Z',
        },
      }),
    },
    rigged: {
      rigged: {
        out: { rig: undefined },
        in: {
          rig: { frontX: 500, frontZ: 200, rearX: 0, rearZ: 200, hookAbove: 90 },
        },
      },
    },
    fullBags: { fullBags: new Map([['rm-identify', ['bag 1, bolts']]]) },
    snags: {
      snags: {
        one: {
          step: 'rm-identify',
          sort: 'stuck',
          what: 'plate under paint',
          ways: ['cut'],
          extraMinutes: 20,
        },
      },
    },
    foreign: { foreign: { one: { what: 'tube header', places: ['fit-sump-crossmember'] } } },
    kit: { kit: { 'kit-steering-shaft': { status: 'fitted' } } },
    gates: { gates: { 'gate-fc-loose': { text: 'looked' } } },
    gateInputs: {
      gateInputs: {
        ...emptyInput().gateInputs,
        loosened: ['head, bolt 3'],
      },
    },
    fluids: { fluids: [{ way: 'filled', litres: 4, what: 'gear oil', system: 'gearbox' }] },
    attempts: { attempts: 3 },
    waits: { waits: { 'rm-identify': [{ waitsFor: 'the papers' }] } },
    withEngine: { withEngine: false },
    withDonor: { withDonor: true },
  };
  it.each(Object.entries(turned))('%s', (_name, over) =>
    expect(shape({ ...base, ...over })).not.toBe(shape(base)),
  );
});

describe('slices', () => {
  const options = factCatalogue.flatMap((f) =>
    f.parts.flatMap((p) => (p.options ?? []).map((o) => [f.id, p.key, o] as const)),
  );
  const change = fc.oneof(
    fc.constantFrom(...options).map(([id, key, value]) => ({
      set: id,
      value: { parts: { [key]: value }, typed: {}, source: 'measured' } satisfies FactValue,
    })),
    fc.constantFrom(...factCatalogue).map((f) => ({ clear: f.id })),
    fc
      .constantFrom(...schoolQuestions.flatMap((q) => q.sides.map((s) => [q.id, s.id] as const)))
      .map((school) => ({ school })),
    fc.constantFrom(...kitLines).map((k) => ({ fit: k.id })),
    fc.constantFrom(...interfaces).map((i) => ({ resolve: i.id })),
  );
  const after = (input: PlanInput, c: Record<string, unknown>): PlanInput => {
    const facts = new Map(input.facts);
    if ('set' in c) return { ...input, facts: facts.set(c.set as string, c.value as FactValue) };
    if ('clear' in c) facts.delete(c.clear as string);
    if ('clear' in c) return { ...input, facts };
    if ('school' in c)
      return {
        ...input,
        jobSchools: {
          ...input.jobSchools,
          [(c.school as [string, string])[0]]: (c.school as [string, string])[1],
        },
      };
    if ('fit' in c)
      return { ...input, kit: { ...input.kit, [c.fit as string]: { status: 'fitted' } } };
    return {
      ...input,
      fits: {
        ...input.fits,
        [c.resolve as string]: { resolution: { text: 'made', kit: [], asked: [] } },
      },
    };
  };
  it('a planner that goes on from change to change says what one says that begins anew (property)', () => {
    fc.assert(
      fc.property(fc.array(change, { minLength: 1, maxLength: 8 }), (changes) => {
        const planner = new Planner();
        let input = emptyInput();
        for (const c of changes) {
          input = after(input, c);
          expect(planner.plan(input)).toEqual(computePlan(input));
        }
      }),
      { numRuns: 12 },
    );
  });
  it('a verdict whose facts did not change is the same object: it was not judged again', () => {
    const planner = new Planner();
    const before = planner.plan(emptyInput({ facts: calm }));
    const now = planner.plan(
      emptyInput({ facts: new Map([...calm, ...bookFrom({ 'eng-bell-pattern': 'A' })]) }),
    );
    const changed = now.fits
      .filter((line, i) => line !== before.fits[i])
      .map((line) => line.def.id);
    expect(changed).toEqual(['fit-bellhousing']);
  });
  it('a plan is plain data that crosses to a worker whole', () => {
    const plan = computePlan(emptyInput({ facts: calm, fits: allBolts }));
    expect(structuredClone(plan)).toEqual(plan);
  });
});
