import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { FactBook, FactSource, FactValue } from '../rules/book.ts';
import { craneCarries } from '../sums/index.ts';
import { itemsOf, liftPlan, liftStops, noItems } from './index.ts';
import type { LiftCase, LiftItem, LiftItems, LiftPlan } from './index.ts';

const book = (
  facts: Record<string, Record<string, number | string>>,
  source: FactSource = 'measured',
): FactBook =>
  new Map(
    Object.entries(facts).map(([id, parts]): [string, FactValue] => [
      id,
      { parts, typed: {}, source },
    ]),
  );
const unit = book({
  'eng-mass': { value: 160 },
  'eng-length': { value: 500 },
  'eng-cg': { 'x-ahead-of-bell-face': 240, 'z-above-crank': 70 },
});
const job = {
  'cho-unit-lift': { value: 'engine-alone' },
  'rec-install-path': { value: 'over-the-front', 'hoist-rating-at-boom-place': 400 },
};
const rig = { frontX: 440, frontZ: 260, rearX: 40, rearZ: 260, hookAbove: 400, leastRatingKg: 500 };
const lift = (items: Partial<LiftItems>, over: Partial<LiftCase> = {}): LiftPlan =>
  liftPlan({ unit, job: book(job), rig, comesIn: false, items: { ...noItems, ...items }, ...over });
const said = (plan: LiftPlan): string =>
  plan.findings.map((f) => `${f.word}: ${f.said}`).join('\n');
type Hangs = Extract<LiftItem, { sort: 'hangs' }>;
const hangs = (over: Partial<Hangs> = {}): Hangs => ({
  sort: 'hangs',
  what: 'alternator',
  massKg: 8,
  x: 420,
  z: 120,
  known: 'weighed',
  ...over,
});

describe('what hangs with a unit', () => {
  it('counts with its mass at its place, whatever hangs (mean by mass)', () => {
    const item = fc.record({
      kg: fc.integer({ min: 1, max: 60 }),
      x: fc.integer({ min: -400, max: 600 }),
    });
    fc.assert(
      fc.property(fc.array(item, { minLength: 1, maxLength: 6 }), (items) => {
        const plan = lift({ hangs: items.map(({ kg, x }) => hangs({ massKg: kg, x, z: 70 })) });
        const total = 160 + items.reduce((sum, i) => sum + i.kg, 0);
        const x = (160 * 240 + items.reduce((sum, i) => sum + i.kg * i.x, 0)) / total;
        const balance = plan.drawing.spots.find((s) => s.id === 'balance')!;
        const hook = plan.drawing.spots.find((s) => s.id === 'hook')!;
        // Seen from the left the front is to the left; with no place of its own the hook stands over the balance.
        expect(hook.at.x).toBeCloseTo(-x, 6);
        expect(balance.at.x).toBeCloseTo(-x, 6);
        expect(said(plan)).toContain(`${total} kg`);
      }),
    );
  });
  it('of an estimated mass lets nothing be said for sure', () => {
    const plan = lift({ hangs: [hangs({ known: 'estimated' })] });
    expect(plan.word).toBe('not-known');
    expect(said(plan)).toContain('not-known: Nobody wrote what weighs: alternator (an estimate)');
    expect(
      plan.findings.filter((f) => f.word === 'goes-on' && f.sum?.weakest === 'assumed'),
    ).toEqual([]);
  });
});

describe('what carries it', () => {
  const eye = {
    sort: 'carries' as const,
    what: 'lug',
    gear: 'eye-shoulder' as const,
    on: 'front' as const,
    ratingKg: 450,
  };
  it('is held against its own leg as it leans', () => {
    // Legs of 200 mm by 400 mm stand 63° from level, 27° off upright: a quarter of 450 kg is 112.5 kg, each pulls 80/sin 63° = 89 kg.
    expect(said(lift({ carries: [eye] }))).toContain(
      'goes-on: Lug (eye bolt with shoulder, front leg) carries 89 kg of 113 kg, 25 % of 450 kg at 27° off upright',
    );
    expect(said(lift({ carries: [{ ...eye, ratingKg: 300 }] }))).toContain('stop: Lug');
    expect(said(lift({ carries: [{ ...eye, gear: 'eye-plain' }] }))).toContain(
      'stop: Lug (eye bolt without shoulder, front leg): 27° off upright, and without a shoulder it bears upright pull alone',
    );
    expect(
      said(lift({ carries: [{ ...eye, gear: 'leveller', on: 'hook', ratingKg: 150 }] })),
    ).toContain('stop: Lug (leveller or beam, at the hook) carries 160 kg of 150 kg');
  });
  it('on both legs says what the least plate would; on one alone it does not', () => {
    const bare = { ...rig, leastRatingKg: undefined };
    const least = 'The least rating among sling, shackle, leveller and bolt is not written';
    expect(said(lift({ carries: [eye] }, { rig: bare }))).toContain(least);
    expect(said(lift({ carries: [eye, { ...eye, on: 'rear' }] }, { rig: bare }))).not.toContain(
      least,
    );
  });
});

describe('room and stands', () => {
  it('refuses a stud longer than the lift that is there', () => {
    const clears = { sort: 'clears' as const, what: 'stud', needMm: 64, hasMm: 55 };
    expect(said(lift({ clears: [clears] }))).toContain(
      'stop: 64 mm of stud, 55 mm of lift: tilt it, or take that out first',
    );
    expect(said(lift({ clears: [{ ...clears, hasMm: 70 }] }))).toContain(
      'goes-on: 64 mm of stud, 70 mm of lift: 6 mm left',
    );
  });
  it('says how the car stands once the mass is out, or what is missing', () => {
    const stands = { sort: 'stands' as const, frontMm: 300, rearMm: 2200, leavesMm: 100 };
    expect(said(lift({ stands }))).toContain(
      'not-known: How the car stands afterwards is not known without both axle masses and the wheelbase',
    );
    const car = book({
      ...job,
      'rec-axle-masses': { front: 620, rear: 540 },
      'rec-wheelbase': { value: 2450 },
    });
    // 540 × 2,450 − 160 × 100 over 1,000 kg.
    expect(said(lift({ stands }, { job: car }))).toContain(
      'goes-on: Once it is out the car balances 1307 mm behind its front axle',
    );
    expect(said(lift({ stands: { ...stands, rearMm: 1250 } }, { job: car }))).toContain(
      'stop: Once it is out the car tips to the rear',
    );
  });
});

describe('a tilt that is wanted', () => {
  it('sets the hook and is said as wanted; a hook that was placed by hand is believed', () => {
    const plan = lift({}, { rig: { ...rig, tailDownDeg: 10 } });
    // 590 mm from balance to hook, times tan 10°.
    expect(said(plan)).toContain(
      'Hangs 10° tail down as wanted, with the hook 104 mm ahead of the balance',
    );
    expect(said(lift({}, { rig: { ...rig, tailDownDeg: 10, hookX: 240 } }))).not.toContain(
      'as wanted',
    );
  });
});

describe('the things of one lift', () => {
  it('are those of its own engine, as far as nobody took them back', () => {
    const at = '2026-01-01T00:00:00.000Z';
    const one = (over: object) => ({ lift: 'out' as const, item: hangs(), at, ...over });
    const all = {
      a: one({}),
      b: one({ unitId: 'x' }),
      c: one({ unitId: 'y' }),
      d: one({ removed: true }),
      e: one({ lift: 'in' }),
    };
    const items = itemsOf(all, 'out', 'x');
    expect(items.hangs).toHaveLength(2);
    expect(items.ofAnother).toBe(1);
    expect(said(lift(items))).toContain(
      'look: 1 thing of this lift written for another engine: not counted',
    );
  });
});

describe('a crane by the plate on it', () => {
  const plate = [
    { reachMm: 900, kg: 1000 },
    { reachMm: 1200, kg: 700 },
    { reachMm: 1500, kg: 400 },
  ];
  // A plate of a shop crane with three holes: facts of the trade, common practice, no source.
  it.each([
    [900, 1000],
    [901, 700],
    [1200, 700],
    [1500, 400],
    [500, 1000],
    [1501, undefined],
  ])('at %d mm carries %s kg: between two holes the farther one counts', (reach, kg) =>
    expect(craneCarries(plate, reach)).toBe(kg),
  );
  it('refuses a plate that carries more the farther it reaches, and an empty one', () => {
    expect(() => craneCarries([...plate, { reachMm: 1800, kg: 900 }], 900)).toThrow(RangeError);
    expect(() => craneCarries([], 900)).toThrow(RangeError);
  });
  it('refuses the lift under its load and reserve, and beyond its longest reach', () => {
    const unit = book({ 'eng-mass': { value: 330 } });
    const stops = (reachMm: number) =>
      liftStops({
        unit,
        job: new Map(),
        rig: undefined,
        comesIn: false,
        items: { ...noItems, crane: [{ sort: 'crane', what: 'shop crane', plate, reachMm }] },
      } as never);
    expect(stops(1200)).toEqual([]);
    expect(stops(1400).join()).toMatch(/^Shop crane carries 400 kg at 1400 mm; .* too much/);
    expect(stops(1600).join()).toMatch(/beyond the longest reach on its plate/);
  });
});
