import { describe, expect, it } from 'vitest';
import { bestPosition, problemFileOf, sceneOfJob } from '@bay/core/fit';
import { fitAnswer, fitProblem, problemOf, solved } from './fit-problem.ts';

const box = { x: [0, 10], y: [0, 10], z: [0, 10] };
const good = {
  title: 'One in one',
  units: 'mm',
  bay: [{ id: 'hood', box: { x: [-100, 100], y: [-100, 100], z: [60, 70] } }],
  unit: [{ id: 'cover', points: [[0, 0, 0]], r: 10, sigma: 0 }],
  pairs: [{ id: 'cl-hood', unit: ['cover'], bay: ['hood'], needMm: 20 }],
  pose: { x: [0, 0], y: [0, 0], z: [-5, 30], slopeDeg: [0, 0], yawDeg: [0, 0] },
};
const faults = (change: object): string[] => {
  const read = fitProblem.safeParse({ ...good, ...change });
  return read.success ? [] : read.error.issues.map((i) => `${i.path.join('.')}: ${i.message}`);
};

describe('a position problem', () => {
  it('is answered in the form the schema says, by a clock of the caller', () => {
    const file = fitProblem.parse(good);
    let now = 0;
    const answer = solved(file, problemOf(file), () => (now += 7));
    expect(fitAnswer.parse(answer)).toMatchObject({
      title: 'One in one',
      pose: { x: 0, y: 0, z: -5, slopeDeg: 0, yawDeg: 0 },
      worstMm: 35,
      margins: { 'cl-hood': 35 },
      binding: ['cl-hood'],
      plans: [],
      exact: true,
      ms: 7,
    });
  });

  it('takes a point, a line and a flat face, several shapes of one name, and fixed parts of the pose', () => {
    const bay = [
      { id: 'hood', points: [[0, 0, 50]] },
      {
        id: 'hood',
        points: [
          [0, 0, 90],
          [100, 0, 90],
        ],
      },
      { id: 'hood', box: { x: [0, 50], y: [0, 50], z: [70, 70] } },
    ];
    expect(faults({ bay })).toEqual([]);
    const file = fitProblem.parse({ ...good, bay });
    expect(problemOf(file).problem.bay.map((s) => s.points.length)).toEqual([1, 2, 4]);
    expect(solved(file, problemOf(file), () => 0).worstMm).toBe(25);
  });

  it('is refused by the name of what cannot be', () => {
    expect(faults({ pairs: [{ id: 'p', unit: ['sump'], bay: ['hood'], needMm: 1 }] })).toEqual([
      'pairs.0.unit.0: Pair "p" names "sump", which is no shape of the unit.',
    ]);
    expect(faults({ unit: [{ id: 'cover', points: [] }] })).toEqual([
      'unit.0.points: One point is the least.',
    ]);
    expect(faults({ unit: [{ id: 'cover' }] })).toEqual([
      'unit.0: Points or a box are wanted, one of the two.',
    ]);
    expect(faults({ unit: [{ id: 'cover', box, points: [[0, 0, 0]] }] })).toHaveLength(1);
    expect(faults({ unit: [{ id: 'cover', points: [[0, Number.NaN, 0]] }] })).toEqual([
      'unit.0.points.0.1: A length in mm is wanted.',
    ]);
    expect(faults({ unit: [{ id: 'cover', points: [[0, '3', 0]] }] })[0]).toContain(
      'unit.0.points.0.1',
    );
    expect(faults({ unit: [{ id: 'cover', points: [[0, 1e9, 0]] }] })[0]).toContain('Not farther');
    expect(faults({ unit: [{ id: 'cover', points: [[0, 0]] }] })[0]).toContain('unit.0.points.0');
    expect(faults({ pose: { ...good.pose, z: [30, -5] } })).toEqual([
      'pose.z: Turned round: the lesser comes first.',
    ]);
    expect(faults({ bay: [{ id: 'hood', box: { ...box, x: [10, 0] } }] })[0]).toContain(
      'Turned round',
    );
    expect(faults({ bay: [{ id: 'hood', box, r: -1 }] })).toEqual(['bay.0.r: Not below 0 mm.']);
    const many = Array.from({ length: 10_000 }, (_, i) => ({ id: `s${i}`, points: [[0, 0, i]] }));
    expect(faults({ bay: [...good.bay, ...many] })).toEqual(['bay: At most 400 shapes.']);
    const crowd = Array.from({ length: 400 }, () => ({ id: 'all', points: [[0, 0, 0]] }));
    expect(
      faults({
        bay: crowd,
        unit: crowd,
        pairs: [{ id: 'p', unit: ['all'], bay: ['all'], needMm: 0 }],
      }),
    ).toEqual(['pairs: Together the pairs hold 160000 shapes against one another; at most 20000.']);
    expect(faults({ pairs: [] })).toEqual(['pairs: One pair is the least.']);
    expect(faults({ pairs: [...good.pairs, ...good.pairs] })).toEqual([
      'pairs.1.id: "cl-hood" is the name of another pair.',
    ]);
    expect(faults({ units: 'in' })).toEqual(['units: Lengths are in "mm".']);
    const option = (changes: object[]) => ({ options: [{ id: 'o', title: 'O', changes }] });
    expect(faults(option([{ pair: 'none', needMm: 1 }]))).toEqual([
      'options.0.changes.0: Option "o" names "none", which is no pair.',
    ]);
    expect(faults(option([{ bay: 'cover', remove: true }]))).toEqual([
      'options.0.changes.0: Option "o" names "cover", which is no shape of the bay.',
    ]);
    expect(faults(option([{ bay: 'hood', unit: 'cover', remove: true }]))).not.toEqual([]);
    expect(faults({ options: [{ id: 'o', title: 'O', cost: -1, changes: [] }] })).toEqual([
      'options.0.cost: Not below 0.',
    ]);
  });

  it('works options through: the least change, the cheapest, and none where it fits', () => {
    const options = [
      { id: 'lower', title: 'Lower', cost: 10, changes: [{ unit: 'cover', move: [0, 0, -40] }] },
      { id: 'open', title: 'Open', cost: 5, changes: [{ bay: 'hood', remove: true }] },
      {
        id: 'close',
        title: 'Stiffer',
        cost: 1,
        hours: 2,
        changes: [{ pair: 'cl-hood', needMm: 0 }],
      },
      {
        id: 'small',
        title: 'Smaller',
        changes: [{ unit: 'cover', replace: { points: [[0, 0, 0]], r: 2 } }],
      },
    ];
    const plans = (reserveMm: number) => {
      const file = fitProblem.parse({ ...good, options, reserveMm });
      return solved(file, problemOf(file), () => 0).plans.map((p) => p.options);
    };
    // Where a way out leaves nothing in the way, the answer is still one that can be written down.
    const open = fitProblem.parse({ ...good, options: options.slice(1, 2), reserveMm: 50 });
    expect(
      fitAnswer.parse(JSON.parse(JSON.stringify(solved(open, problemOf(open), () => 0)))).plans,
    ).toMatchObject([{ options: ['open'], worstMm: 100_000, chance: 1 }]);
    expect(plans(35)).toEqual([[]]);
    expect(plans(50)).toEqual([['close'], ['open'], ['lower']]);
    expect(plans(58)).toEqual(
      [['open'], ['lower'], ['small', 'close'].sort()].map((s) => expect.arrayContaining(s)),
    );
  });
});

describe('a job as a problem', () => {
  it('is one that the command takes, with the same answer', () => {
    const job = new Map(
      Object.entries<Record<string, number>>({
        'rec-hood-profile': { 'lowest-z-over-the-engine': 455 },
        'rec-crossmember-place': { 'rear-edge-x': 420, 'front-edge-x': 520, 'top-z': -95 },
        'eng-height-up': { 'highest-point': 380, 'highest-point-x': 310 },
        'eng-sump-depth': { 'at-bowl': 232 },
        'eng-sump-bowl-place': { 'bowl-rear-x': 40, 'bowl-front-x': 330 },
      }).map(([id, parts]) => [id, { parts, typed: {}, source: 'measured' as const }]),
    );
    const scene = sceneOfJob({ job });
    const file = fitProblem.parse(JSON.parse(JSON.stringify(problemFileOf(scene, 'A car'))));
    expect(solved(file, problemOf(file), () => 0).worstMm).toBeCloseTo(
      bestPosition(scene.problem).worstMm,
      1,
    );
  });
});
