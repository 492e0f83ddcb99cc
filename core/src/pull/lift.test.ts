import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { defaultSchool } from '../rules/book.ts';
import type { FactBook, FactSource, FactValue } from '../rules/book.ts';
import { hungOnTwoLegs, slingLoadFactor } from '../sums/index.ts';
import { liftPlan } from './index.ts';
import type { LiftCase, LiftPlan } from './index.ts';

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
const engine = {
  'eng-mass': { value: 160 },
  'eng-length': { value: 500 },
  'eng-cg': { 'x-ahead-of-bell-face': 240, 'z-above-crank': 70 },
  'eng-height-up': { 'highest-point': 340 },
  'eng-sump-depth': { 'at-bowl': 180 },
};
const alone = {
  'cho-unit-lift': { value: 'engine-alone' },
  'rec-install-path': { value: 'over-the-front', 'hoist-rating-at-boom-place': 400 },
};
const rig = { frontX: 440, frontZ: 260, rearX: 40, rearZ: 260, hookAbove: 400, leastRatingKg: 500 };
const lift = (over: Partial<LiftCase> = {}): LiftPlan =>
  liftPlan({ unit: book(engine), job: book(alone), rig, comesIn: false, ...over });
const said = (plan: LiftPlan): string[] => plan.findings.map((f) => `${f.word}: ${f.said}`);

describe('a load on two legs and one hook', () => {
  // ASME B30.9, from memory: factor by angle from level, 60° 1.155, 45° 1.414, 30° 2.000; each of two legs bears half of that.
  it.each([
    [60, 1.155],
    [45, 1.414],
    [30, 2],
  ])('hung evenly at %d° each leg bears half of the factor of the table', (angle, factor) => {
    const half = 300;
    const up = half * Math.tan((angle * Math.PI) / 180);
    const hung = hungOnTwoLegs(
      { x: half, z: 0 },
      { x: -half, z: 0 },
      { x: 0, z: up },
      { x: 0, z: -50 },
    );
    expect(hung.tiltDeg).toBeCloseTo(0, 9);
    expect(hung.front.fromLevelDeg).toBeCloseTo(angle, 6);
    expect(2 * hung.front.share).toBeCloseTo(factor, 3);
    expect(hung.front.share).toBeCloseTo(slingLoadFactor(angle) / 2, 9);
  });
  it('is held by its two legs and nothing else, wherever the hook stands (statics)', () => {
    const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(
        mm(100, 500),
        mm(-500, -100),
        mm(0, 300),
        mm(0, 300),
        mm(350, 1500),
        mm(-60, 60),
        (fx, rx, fz, rz, up, off) => {
          const hung = hungOnTwoLegs(
            { x: fx, z: fz },
            { x: rx, z: rz },
            { x: 0, z: up },
            { x: off, z: 0 },
          );
          const rad = Math.PI / 180;
          const [a, b] = [hung.front.fromLevelDeg * rad, hung.rear.fromLevelDeg * rad];
          expect(hung.front.share * Math.sin(a) + hung.rear.share * Math.sin(b)).toBeCloseTo(1, 9);
          expect(hung.front.share * Math.cos(a)).toBeCloseTo(hung.rear.share * Math.cos(b), 9);
        },
      ),
    );
  });
  it('turns its heavy end down until it balances under the hook', () => {
    const at = (x: number) =>
      hungOnTwoLegs({ x: 300, z: 0 }, { x: -300, z: 0 }, { x: 0, z: 500 }, { x, z: 0 });
    // 50 mm off at 500 mm below the hook: the angle whose tangent is a tenth.
    expect(at(50).tiltDeg).toBeCloseTo(5.71, 2);
    expect(at(-50).tiltDeg).toBeCloseTo(-5.71, 2);
  });
  it('refuses a hook that is not above, and eyes on one side of it', () => {
    expect(() =>
      hungOnTwoLegs({ x: 300, z: 0 }, { x: -300, z: 600 }, { x: 0, z: 500 }, { x: 0, z: 0 }),
    ).toThrow(/above both/);
    expect(() =>
      hungOnTwoLegs({ x: 300, z: 0 }, { x: 100, z: 0 }, { x: 0, z: 500 }, { x: 0, z: 0 }),
    ).toThrow(/between the eyes/);
  });
});

describe('the plan of a lift', () => {
  it('goes on when all of it is known and holds', () => {
    const plan = lift();
    expect(said(plan)).toEqual(plan.findings.map((f) => `goes-on: ${f.said}`));
    expect(plan.word).toBe('goes-on');
    // 200 mm out and 400 mm up: 63.4°, and each leg bears 160 / (2 sin 63.4°) = 89.4 kg (statics).
    expect(said(plan)).toContain('goes-on: Front leg 63° from level');
    expect(said(plan)).toContain('goes-on: Front leg pulls 89 kg of 500 kg');
    expect(plan.findings.find((f) => f.said.startsWith('160 kg hang'))!.sum!.value).toBeCloseTo(
      400 - 160 - 40,
      9,
    );
  });
  const without = (id: keyof typeof engine): FactBook =>
    book(Object.fromEntries(Object.entries(engine).filter(([k]) => k !== id)));
  it.each([
    ['the mass', { unit: without('eng-mass') }],
    ['where it balances', { unit: without('eng-cg') }],
    [
      'the mass, only assumed',
      { unit: new Map([...book(engine), ...book({ 'eng-mass': engine['eng-mass'] }, 'assumed')]) },
    ],
    [
      'where it balances, only assumed',
      { unit: new Map([...book(engine), ...book({ 'eng-cg': engine['eng-cg'] }, 'assumed')]) },
    ],
    [
      'whether the gearbox goes with it',
      { job: book({ 'rec-install-path': alone['rec-install-path'] }) },
    ],
    ['what the hoist carries', { job: book({ 'cho-unit-lift': alone['cho-unit-lift'] }) }],
    ['where the slings hold', { rig: undefined }],
    ['where the slings hold on this engine', { rig: { ...rig, unitId: 'a' }, unitId: 'b' }],
    [
      'whether the gearbox goes with it, but by the usual school',
      {
        job: new Map([
          ...book(alone),
          [
            'cho-unit-lift',
            {
              parts: { value: 'engine-alone' },
              typed: {},
              source: 'assumed' as const,
              by: defaultSchool,
            },
          ],
        ]),
      },
    ],
    ['what the gear carries', { rig: { ...rig, leastRatingKg: undefined } }],
    [
      'what the gearbox weighs',
      { job: book({ ...alone, 'cho-unit-lift': { value: 'engine-and-gearbox' } }) },
    ],
  ] satisfies [string, Partial<LiftCase>][])('does not go on while nobody knows %s', (_, over) => {
    const plan = lift(over);
    expect(plan.word).toBe('not-known');
    expect(plan.findings.some((f) => f.word === 'stop')).toBe(false);
  });
  it('stops at legs flatter than 30°, at gear too weak, at a hoist too weak', () => {
    expect(lift({ rig: { ...rig, hookAbove: 100 } }).findings[0]).toMatchObject({
      word: 'stop',
      said: 'Front leg 27° from level: flatter than 30° is refused. Longer legs, or a beam.',
    });
    expect(lift({ rig: { ...rig, leastRatingKg: 80 } }).findings[0]!.word).toBe('stop');
    const weak = lift({
      job: book({
        ...alone,
        'rec-install-path': { value: 'over-the-front', 'hoist-rating-at-boom-place': 190 },
      }),
    });
    expect(weak.findings[0]).toMatchObject({
      word: 'stop',
      said: 'The hoist carries 190 kg at this boom place; 160 kg and a reserve are 10 kg too much',
    });
  });
  it('stops where the hook does not hang between the eyes', () => {
    expect(lift({ rig: { ...rig, hookX: 600 } })).toMatchObject({ word: 'stop' });
  });
  it('with the gearbox it balances where the masses say, and says that half of that is taken', () => {
    const both = book({ ...engine, 'gbx-mass': { value: 40 }, 'gbx-length': { value: 600 } });
    const plan = lift({
      unit: both,
      job: book({ ...alone, 'cho-unit-lift': { value: 'engine-and-gearbox' } }),
    });
    // (160 · 240 + 40 · −240) / 200 = 144 mm ahead of the face.
    expect(plan.drawing.spots.find((s) => s.id === 'balance')).toMatchObject({ ink: 'assumed' });
    const hook = plan.drawing.spots.find((s) => s.id === 'hook')!.at;
    expect(hook.x).toBeCloseTo(-144, 6);
    expect(
      said(plan).some((s) => s.startsWith('look: The gearbox is taken to balance at 40 %')),
    ).toBe(true);
    expect(plan.word).not.toBe('goes-on');
  });
  it('draws what was not measured in dashes, and nothing of it as a length', () => {
    const bare = liftPlan({ unit: new Map(), job: new Map(), rig: undefined, comesIn: true });
    expect(bare.drawing.shapes.every((s) => s.ink === 'assumed')).toBe(true);
    expect(bare.drawing.dimensions).toEqual([]);
    expect(lift().drawing.shapes.find((s) => s.id === 'engine')!.ink).toBe('car');
    expect(lift({ comesIn: true }).drawing.shapes.find((s) => s.id === 'engine')!.ink).toBe('in');
  });
});
