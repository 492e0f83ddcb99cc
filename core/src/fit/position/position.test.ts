import { describe, expect, it } from 'vitest';
import solver from 'javascript-lp-solver';
import { bestPosition } from './answer.ts';
import { chanceOf, normalBelow } from './chance.ts';
import { judgeAt } from './climb.ts';
import { moved, placed, poseKeys } from './pose.ts';
import type { Pose, PoseKey } from './pose.ts';
import type { FitProblem } from './problem.ts';
import { byPair, Scene } from './scene.ts';
import { anyProblem, boxShape, seeded, still } from './testing.ts';

const zero: Pose = { x: 0, y: 0, z: 0, slopeDeg: 0, yawDeg: 0 };

/** A block between a hood above and a crossmember below. */
const between: FitProblem = {
  unit: [
    boxShape('cover', { x: [0, 400], y: [-100, 100], z: [300, 400] }),
    boxShape('sump', { x: [0, 300], y: [-100, 100], z: [-200, 0] }),
  ],
  bay: [
    boxShape('hood', { x: [-500, 900], y: [-500, 500], z: [460, 470] }),
    boxShape('member', { x: [100, 200], y: [-400, 400], z: [-300, -230] }),
  ],
  pairs: [
    { id: 'hood', unit: ['cover'], bay: ['hood'], needMm: 20 },
    { id: 'member', unit: ['sump'], bay: ['member'], needMm: 12 },
  ],
  range: { ...still, z: [-50, 50] },
};

describe('a pose', () => {
  it('turns by slope first, which lowers the tail, then by yaw, which turns the nose left, then shifts', () => {
    const at = (pose: Partial<Pose>) => placed([100, 0, 0], { ...zero, ...pose });
    expect(at({ slopeDeg: 3 })[2]).toBeCloseTo(100 * Math.sin((3 * Math.PI) / 180), 9);
    expect(at({ yawDeg: 3 })[1]).toBeCloseTo(100 * Math.sin((3 * Math.PI) / 180), 9);
    expect(placed([-100, 0, 0], { ...zero, slopeDeg: 3 })[2]).toBeLessThan(0);
    expect(
      at({ slopeDeg: 90, yawDeg: 90, x: 1, y: 2, z: 3 }).map((v) => Math.round(v * 1e6) / 1e6),
    ).toEqual([1, 2, 103]);
  });
});

describe('the best position', () => {
  it('stands in the middle between what is above and below, and a millimetre off either buys a half', () => {
    const found = bestPosition(between);
    // 60 above and 30 below, less 20 and 12: 58 for two.
    expect(found.worstMm).toBeCloseTo(29, 6);
    expect(found.pose.z).toBeCloseTo(11, 6);
    expect(found.binding).toEqual(['hood', 'member']);
    expect(found.buys).toContainEqual({
      of: 'sump',
      kind: 'unit',
      mmPerMm: expect.closeTo(0.5, 6) as number,
    });
    expect(found.complete).toBe(true);
  });

  it('says so where the range holds it', () => {
    const found = bestPosition({ ...between, range: { ...still, z: [-50, 4] } });
    expect(found.worstMm).toBeCloseTo(22, 6);
    expect(found.binding).toEqual(['member']);
    expect(found.buys).toContainEqual({
      of: 'z',
      kind: 'limit',
      mmPerMm: expect.closeTo(1, 6) as number,
    });
  });

  it('judges a pose that is fixed in every part', () => {
    const found = bestPosition({ ...between, range: still });
    expect(found.margins).toEqual({
      hood: expect.closeTo(40, 6),
      member: expect.closeTo(18, 6),
    });
    expect(found.pose).toEqual(zero);
  });

  it('raises the next smallest once the smallest is as large as it goes, and leaves in the middle what nothing cares about', () => {
    const wide = {
      ...between,
      bay: [...between.bay, boxShape('rail', { x: [-500, 900], y: [200, 220], z: [-300, 300] })],
      pairs: [...between.pairs, { id: 'rail', unit: ['sump'], bay: ['rail'], needMm: 0 }],
      range: { ...between.range, x: [-30, 90] as const, y: [-25, 25] as const },
    };
    const found = bestPosition(wide);
    expect(found.worstMm).toBeCloseTo(29, 3);
    expect(found.pose.y).toBeCloseTo(-25, 3);
    expect(found.margins['rail']).toBeCloseTo(125, 3);
    expect(found.pose.x).toBe(30);
  });

  it('goes to the far side of what stands in the way, not to the nearest place that is no worse', () => {
    // A bar across: the drum is over it at first, and has far more room behind than before it.
    const problem: FitProblem = {
      unit: [{ id: 'drum', points: [[0, 0, 0]], r: 30, sigma: 2 }],
      bay: [
        {
          id: 'bar',
          points: [
            [10, -300, 0],
            [10, 300, 0],
          ],
          r: 20,
          sigma: 2,
        },
        boxShape('front', { x: [115, 120], y: [-300, 300], z: [-300, 300] }),
        boxShape('back', { x: [-320, -310], y: [-300, 300], z: [-300, 300] }),
      ],
      pairs: [
        { id: 'bar', unit: ['drum'], bay: ['bar'], needMm: 0 },
        { id: 'walls', unit: ['drum'], bay: ['front', 'back'], needMm: 0 },
      ],
      range: { ...still, x: [-200, 100] },
    };
    const found = bestPosition(problem);
    // Between the bar's back, at −10, and the wall at −310: 300 less the drum, in two.
    expect(found.worstMm).toBeCloseTo(120, 4);
    expect(found.pose.x).toBeCloseTo(-160, 4);
  });

  it('uses slope and yaw: a long unit between four posts stands along the diagonal', () => {
    const post = (id: string, x: number, y: number) =>
      ({
        id,
        points: [
          [x, y, -100],
          [x, y, 100],
        ],
        r: 10,
        sigma: 2,
      }) as const;
    const problem: FitProblem = {
      unit: [boxShape('bar', { x: [-400, 400], y: [-20, 20], z: [-20, 20] })],
      bay: [post('a', 350, 50), post('b', 350, -90), post('c', -350, 90), post('d', -350, -50)],
      pairs: [{ id: 'posts', unit: ['bar'], bay: ['a', 'b', 'c', 'd'], needMm: 5 }],
      range: { ...still, y: [-20, 20], yawDeg: [-8, 8] },
    };
    const found = bestPosition(problem);
    // Each pair of posts is 140 apart: 70 to the middle of a line through (350, −20) and (−350, 20), shortened by its turn.
    const turn = Math.atan2(-40, 700);
    expect(found.pose.yawDeg).toBeCloseTo((turn * 180) / Math.PI, 1);
    expect(found.worstMm).toBeCloseTo(70 * Math.cos(turn) - 20 - 10 - 5, 1);
  });

  it('is never beaten by a grid over the range (forty random problems of two and three free parts)', () => {
    for (let seed = 1; seed <= 40; seed += 1) {
      const free =
        seeded(seed)() < 0.5 ? (['x', 'z', 'slopeDeg'] as const) : (['z', 'yawDeg'] as const);
      const all = anyProblem(seed);
      const range = { ...still, ...Object.fromEntries(free.map((key) => [key, all.range[key]])) };
      const problem = { ...all, range };
      const found = bestPosition(problem, { work: 400_000 });
      expect(found.complete, `seed ${seed}`).toBe(true);
      const scene = new Scene(problem);
      expect(judgeAt(scene, found.pose).worst).toBeCloseTo(found.worstMm, 3);
      const best = bestOfGrid(scene, free, free.length === 3 ? 9 : 41);
      expect(found.worstMm, `seed ${seed}`).toBeGreaterThan(best - 0.25);
      expect(best, `seed ${seed}`).toBeLessThanOrEqual(found.boundMm + 1e-6);
    }
  }, 120_000);

  it('is never beaten by a grid that closes in, over all five parts (eight random problems)', () => {
    for (let seed = 101; seed <= 108; seed += 1) {
      const problem = anyProblem(seed);
      const found = bestPosition(problem, { work: 400_000 });
      const scene = new Scene(problem);
      let best = bestOfGrid(scene, poseKeys, 4);
      for (const factor of [0.3, 0.1]) {
        const range = Object.fromEntries(
          poseKeys.map((key) => {
            const [low, high] = problem.range[key];
            const half = ((high - low) / 2) * factor;
            return [
              key,
              [Math.max(low, found.pose[key] - half), Math.min(high, found.pose[key] + half)],
            ];
          }),
        ) as unknown as FitProblem['range'];
        best = Math.max(best, bestOfGrid(new Scene({ ...problem, range }), poseKeys, 3));
      }
      expect(found.worstMm, `seed ${seed}`).toBeGreaterThan(best - 0.25);
      expect(best).toBeLessThanOrEqual(found.boundMm + 1e-6);
    }
  }, 120_000);

  it('comes to what a linear-programming solver from the registry comes to, where faces look at faces', () => {
    for (let seed = 1; seed <= 25; seed += 1) {
      const random = seeded(seed);
      const wall = () => 40 + 80 * random();
      const [front, back, left, right, top, bottom] = [
        wall(),
        wall(),
        wall(),
        wall(),
        wall(),
        wall(),
      ];
      const far = 2000;
      const problem: FitProblem = {
        unit: [boxShape('unit', { x: [-50, 50], y: [-50, 50], z: [-50, 50] })],
        bay: [
          boxShape('front', { x: [50 + front, 60 + front], y: [-far, far], z: [-far, far] }),
          boxShape('back', { x: [-60 - back, -50 - back], y: [-far, far], z: [-far, far] }),
          boxShape('left', { x: [-far, far], y: [50 + left, 60 + left], z: [-far, far] }),
          boxShape('right', { x: [-far, far], y: [-60 - right, -50 - right], z: [-far, far] }),
          boxShape('top', { x: [-far, far], y: [-far, far], z: [50 + top, 60 + top] }),
          boxShape('bottom', { x: [-far, far], y: [-far, far], z: [-60 - bottom, -50 - bottom] }),
        ],
        pairs: ['front', 'back', 'left', 'right', 'top', 'bottom'].map((id) => ({
          id,
          unit: ['unit'],
          bay: [id],
          needMm: Math.round(30 * random()),
        })),
        range: { ...still, x: [-30, 30], y: [-30, 30], z: [-30, 30] },
      };
      const room = [front, back, left, right, top, bottom].map(
        (r, i) => r - problem.pairs[i]!.needMm,
      );
      // margin + 100 and each shift + 30 stand for the unknowns, which that solver keeps above nothing.
      const ways = [
        ['x', 1],
        ['x', -1],
        ['y', 1],
        ['y', -1],
        ['z', 1],
        ['z', -1],
      ] as const;
      const { result } = solver.Solve({
        optimize: 'margin',
        opType: 'max',
        constraints: {
          ...Object.fromEntries(
            ways.map(([, sign], i) => [`row${i}`, { max: room[i]! + 100 + sign * 30 }]),
          ),
          ...Object.fromEntries(['x', 'y', 'z'].map((key) => [key, { max: 60 }])),
        },
        variables: {
          margin: { margin: 1, ...Object.fromEntries(ways.map((_, i) => [`row${i}`, 1])) },
          ...Object.fromEntries(
            ['x', 'y', 'z'].map((key) => [
              key,
              {
                [key]: 1,
                ...Object.fromEntries(
                  ways.map(([k, sign], i) => [`row${i}`, k === key ? sign : 0]),
                ),
              },
            ]),
          ),
        },
      }) as { result: number };
      expect(bestPosition(problem).worstMm).toBeCloseTo(result - 100, 3);
    }
  });

  it('has prices that a small change bears out (finite differences on random problems)', () => {
    let compared = 0;
    for (let seed = 201; seed <= 230; seed += 1) {
      const problem = anyProblem(seed, { slopeDeg: [1, 1], yawDeg: [0, 0] });
      const found = bestPosition(problem, { work: 400_000 });
      for (const { of, kind, mmPerMm } of found.buys) {
        if (kind !== 'pair') continue;
        const small = 0.05;
        const less = (by: number): FitProblem => ({
          ...problem,
          pairs: problem.pairs.map((p) => (p.id === of ? { ...p, needMm: p.needMm - by } : p)),
        });
        const near = { starts: [found.pose], work: 400_000, within: 0.001 };
        const up = bestPosition(less(small), near).worstMm - found.worstMm;
        const down = found.worstMm - bestPosition(less(-small), near).worstMm;
        // Where another margin begins to bind at once, the price lies between what more and what less room does.
        const [low, high] = [Math.min(up, down) / small, Math.max(up, down) / small];
        expect(mmPerMm, `seed ${seed}, ${of}`).toBeGreaterThan(low - 0.03);
        expect(mmPerMm, `seed ${seed}, ${of}`).toBeLessThan(high + 0.03);
        compared += 1;
      }
    }
    expect(compared).toBeGreaterThan(40);
  }, 120_000);
});

/** The largest smallest margin on a grid over some parts of the range. */
function bestOfGrid(scene: Scene, keys: readonly PoseKey[], steps: number): number {
  const { range } = scene.problem;
  const walk = (pose: Pose, [key, ...rest]: readonly PoseKey[]): number => {
    if (key === undefined) return judgeAt(scene, pose).worst;
    const [low, high] = range[key];
    return Math.max(
      ...Array.from({ length: steps }, (_, i) =>
        walk({ ...pose, [key]: low + ((high - low) * i) / (steps - 1) }, rest),
      ),
    );
  };
  return walk(moved(zero, {}, range), keys);
}

describe('the chance that it clears', () => {
  it('is the normal distribution, where one measure decides (tables: 0.8413 at one, 0.9772 at two standard deviations)', () => {
    expect(normalBelow(1)).toBeCloseTo(0.841344746, 8);
    expect(normalBelow(2)).toBeCloseTo(0.977249868, 8);
    expect(normalBelow(-1)).toBeCloseTo(0.158655254, 8);
    expect([normalBelow(-9), normalBelow(9)]).toEqual([0, 1]);
    const one = (sigma: readonly [number, number]): number => {
      const problem: FitProblem = {
        unit: [boxShape('u', { x: [0, 10], y: [0, 10], z: [0, 10] }, 0, sigma[0])],
        bay: [boxShape('b', { x: [0, 10], y: [0, 10], z: [25, 30] }, 0, sigma[1])],
        pairs: [{ id: 'p', unit: ['u'], bay: ['b'], needMm: 10 }],
        range: still,
      };
      return chanceOf(problem, new Scene(problem).at(zero));
    };
    // 5 mm in hand.
    expect(one([0, 5])).toBeCloseTo(normalBelow(1), 9);
    expect(one([3, 4])).toBeCloseTo(normalBelow(1), 3);
    expect(one([5, 0])).toBeCloseTo(normalBelow(1), 3);
    expect(one([0, 0])).toBe(1);
  });

  it('agrees with throwing the dice, where shapes share their doubt', () => {
    const problem = {
      ...anyProblem(7, still),
      pairs: anyProblem(7).pairs.map((p) => ({ ...p, needMm: 0 })),
    };
    const scene = new Scene(problem);
    const margins = scene.at(zero).map((m, i) => ({ ...m, margin: 1.5 + (i % 4) }));
    const random = seeded(5);
    const normal = (): number =>
      Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    const throws = 60_000;
    let clear = 0;
    for (let k = 0; k < throws; k += 1) {
      const off = {
        unit: problem.unit.map((s) => s.sigma * normal()),
        bay: problem.bay.map((s) => s.sigma * normal()),
      };
      if (
        margins.every(
          ({ margin, meeting }) => margin + off.unit[meeting.unit]! + off.bay[meeting.bay]! >= 0,
        )
      )
        clear += 1;
    }
    expect(chanceOf(problem, margins)).toBeCloseTo(clear / throws, 1.7);
  });
});

describe('a pair of several shapes', () => {
  it('has the smallest gap among them', () => {
    const scene = new Scene({
      ...between,
      pairs: [{ id: 'all', unit: ['cover', 'sump'], bay: ['hood', 'member'], needMm: 0 }],
    });
    expect(byPair(scene.problem, scene.at(zero))).toEqual([expect.closeTo(30, 9)]);
  });
});
