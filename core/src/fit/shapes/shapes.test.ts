import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import type { PartValue } from '../../facts/index.ts';
import type { FactBook, FactSource } from '../../rules/book.ts';
import { judgeAll, leastGap } from '../judge.ts';
import { bestPosition, byPair, describePose, judgeAt, Scene } from '../position/index.ts';
import {
  cutAt,
  sectionAt,
  stationsOf,
  chosenPose,
  csvOf,
  dxfOf,
  madeFrom,
  optionsOf,
  outlineOf,
  pairRules,
  seenIn,
  pulledIn,
  readingsFor,
  sayPosition,
  sceneOfJob,
  shapeRules,
  svgOf,
  trialSaid,
  viewOf,
  withWaysOut,
} from './index.ts';

type Parts = Record<string, PartValue>;
const bookOf = (facts: Record<string, Parts>, source: FactSource = 'measured'): FactBook =>
  new Map(Object.entries(facts).map(([id, parts]) => [id, { parts, typed: {}, source }]));

/** A flat-bed with a long engine: everything the drawing asks for, measured. */
const measured: Record<string, Parts> = {
  'rec-drive-layout': { value: 'front-longitudinal-rear-drive' },
  'rec-bay-length': {
    'to-core-rear-face': 940,
    'to-radiator-support': 990,
    'firewall-recess-depth': 30,
  },
  'rec-bay-width': { 'between-towers-at-head-height': 812, 'between-rails-at-mounts': 700 },
  'rec-hood-profile': { 'lowest-z-over-the-engine': 455 },
  'rec-crossmember-place': { 'rear-edge-x': 420, 'front-edge-x': 520, 'top-z': -95 },
  'rec-steering-envelope': { 'rear-x': 590, 'front-x': 640, 'top-z-worst-position': -140 },
  'rec-ground-at-crossmember': { 'ground-to-crossmember': 315, 'planned-ride-height-change': 0 },
  'rec-sway-bar-place': { value: 'none' },
  'rec-steering-shaft-path': {
    path: [
      [-100, 330, 200],
      [300, 340, 60],
      [600, 345, -60],
    ],
  },
  'rec-tunnel-envelope': {
    'width-at-bell': 512,
    'width-at-waist': 390,
    'width-at-gearbox-mount': 390,
  },
  'eng-length': { value: 802 },
  'eng-fan-reach': { 'pulley-face': 815, 'fan-face': 850, 'pulley-diameter': 140 },
  'eng-width': {
    'left-at-covers-and-coils': 205,
    'right-at-covers-and-coils': 248,
    'left-at-manifolds': 230,
    'right-at-manifolds': 230,
    'left-at-accessories': 262,
    'right-at-accessories': 240,
  },
  'eng-height-up': { 'highest-point': 380, 'highest-point-x': 310, 'rear-cover': 352 },
  'eng-sump-depth': { 'at-bowl': 232, 'at-front': 165 },
  'eng-sump-bowl-place': { value: 'rear', 'bowl-rear-x': 40, 'bowl-front-x': 330 },
  'eng-slope-design': { value: 0 },
  'gbx-length': { value: 742 },
  'gbx-envelope': {
    'widest-at-bell': 438,
    'widest-at-waist': 322,
    'widest-at-tail': 300,
    'pan-depth': 90,
    'pan-rear': 480,
    'highest-at-bell': 190,
  },
  'cho-fan': { value: 'electric-puller', thickness: 60 },
  'cho-mount-material': { value: 'rubber' },
  'cho-engine-place': {
    'bell-face-ahead-of-firewall-x': 20,
    'sideways-from-centre-line-y': 0,
    'crank-axis-above-body-datum-z': 60,
  },
};
const with_ = (change: Record<string, Parts | undefined>): Record<string, Parts> =>
  Object.fromEntries(
    Object.entries({ ...measured, ...change }).filter(
      (e): e is [string, Parts] => e[1] !== undefined,
    ),
  );

function marginsAt(facts: Record<string, Parts>): Record<string, number> {
  const scene = sceneOfJob({ job: bookOf(facts) });
  const margins = byPair(scene.problem, judgeAt(new Scene(scene.problem), scene.chosen!).margins);
  return Object.fromEntries(scene.pairs.map((p, i) => [p.id, margins[i]!]));
}

describe('the shapes of a job', () => {
  it('come by themselves from its facts, each with what it was made from', () => {
    const scene = sceneOfJob({ job: bookOf(measured) });
    expect(scene.missing).toEqual([]);
    expect(scene.openPairs).toEqual([]);
    const sump = scene.shapes.find((s) => s.id === 'sump-bowl')!;
    expect(sump.reads.map((r) => r.factId)).toEqual(
      expect.arrayContaining(['eng-sump-depth', 'eng-sump-bowl-place']),
    );
    expect(sump.sigma).toBe(2);
    expect(sceneOfJob({ job: bookOf(measured, 'looked-up') }).shapes[0]!.sigma).toBe(5);
    expect(sceneOfJob({ job: bookOf(measured, 'assumed') }).shapes[0]!.sigma).toBe(20);
  });

  it('readings from which no rock can be reckoned leave the least gap of the table, and nothing falls over', () => {
    const bosses = { 'left-y': 0, 'left-z': 20, 'right-y': 0, 'right-z': 20 };
    const absurd = bookOf({
      ...measured,
      'cho-mount-rating': { 'load-each': 100, 'gives-at-that-load': 5 },
      'eng-mount-bosses': bosses,
      'eng-torque': { value: 300 },
      'gbx-ratios': { first: 3.2 },
    });
    expect(leastGap('fit-hood', { job: absurd })).toBe(
      leastGap('fit-hood', { job: bookOf(measured) }),
    );
    const judged = judgeAll({ job: absurd }, {}).find((l) => l.def.id === 'fit-hood')!;
    expect(judged.verdict.word).toBe('not-measured');
  });

  it('say once for each name who wrote the last of what it stands on, and when', () => {
    const book = new Map(bookOf(measured));
    const sump = book.get('eng-sump-depth')!;
    const place = book.get('eng-sump-bowl-place')!;
    book.set('eng-sump-depth', { ...sump, by: 'Della Pruitt', at: '2026-11-02T08:00:00Z' });
    book.set('eng-sump-bowl-place', { ...place, by: 'Jun Varga', at: '2026-11-01T08:00:00Z' });
    const rows = madeFrom(sceneOfJob({ job: book }).shapes, book);
    expect(new Set(rows.map((r) => r.id)).size).toBe(rows.length);
    const bowl = rows.find((r) => r.id === 'sump-bowl')!;
    expect(bowl).toMatchObject({ by: 'Della Pruitt', at: '2026-11-02T08:00:00Z', sigmaMm: 2 });
    expect(bowl.from).toContain('Sump depth');
    // Nobody signed what nobody signed.
    expect(rows.find((r) => r.id === 'firewall')).not.toHaveProperty('by');
  });

  it('name every shape and pair once, and every pair has shapes there are rules for', () => {
    const ids = shapeRules.map((r) => r.id);
    expect(new Set(ids).size).toBe(ids.length);
    for (const pair of pairRules)
      for (const [side, names] of [
        ['unit', pair.unit],
        ['bay', pair.bay],
      ] as const)
        for (const name of names) expect(shapeRules.find((r) => r.id === name)?.side).toBe(side);
  });

  it('wait for what is not known, and say what to measure; a pair without its shape is no good one', () => {
    const scene = sceneOfJob({ job: bookOf(with_({ 'rec-hood-profile': undefined })) });
    expect(scene.missing.map((m) => m.id)).toEqual(['hood']);
    expect(scene.pairs.map((p) => p.id)).not.toContain('hood');
    expect(scene.openPairs.map((o) => o.pair.id)).toEqual(['hood']);
    const said = sayPosition(scene, bestPosition(scene.problem));
    expect(said.headline).toMatch(/as far as it is known/i);
    expect(said.word).not.toBe('goes-on');
    expect(said.doubts.join(' ')).toContain('1 gap cannot be judged yet: highest point to hood');
    expect(
      sayPosition(sceneOfJob({ job: new Map() }), {
        pose: { x: 0, y: 0, z: 0, slopeDeg: 0, yawDeg: 0 },
        worstMm: Infinity,
        margins: {},
        binding: [],
        buys: [],
        chance: 1,
      }).word,
    ).toBe('not-known');
  });

  it('say that it is not known while most of the bay is not measured, however well the rest would do', () => {
    const scene = sceneOfJob({
      job: bookOf({
        'rec-bay-length': measured['rec-bay-length']!,
        'rec-hood-profile': measured['rec-hood-profile']!,
      }),
    });
    const said = sayPosition(scene, bestPosition(scene.problem));
    expect(said.word).toBe('not-known');
    expect(said.headline).toMatch(/^Not known yet: \d of 1\d gaps can be judged\.$/);
    expect(said.details.join(' ')).toContain('every gap that can be judged');
  });

  it('take nothing for absent that nobody looked at: sway bar, fan, pan, front of the sump, rear of the heads', () => {
    const opened = (change: Record<string, Parts | undefined>): string[] =>
      sceneOfJob({ job: bookOf(with_(change)) }).openPairs.map((o) => o.pair.id);
    expect(opened({ 'rec-sway-bar-place': undefined })).toEqual(['sway-bar']);
    expect(opened({ 'cho-fan': undefined })).toContain('nose');
    expect(
      opened({
        'gbx-envelope': { ...measured['gbx-envelope'], 'pan-depth': undefined } as unknown as Parts,
      }),
    ).toEqual(['ground']);
    expect(opened({ 'eng-sump-depth': { 'at-bowl': 232 } })).toEqual(
      expect.arrayContaining(['crossmember', 'steering', 'ground']),
    );
    expect(opened({ 'eng-height-up': { 'highest-point': 380, 'highest-point-x': 310 } })).toEqual([
      'firewall',
    ]);
    const springs = sceneOfJob({
      job: bookOf(with_({ 'rec-ground-at-crossmember': { 'ground-to-crossmember': 315 } })),
    });
    expect(sayPosition(springs, bestPosition(springs.problem)).doubts.join(' ')).toContain(
      'no other springs',
    );
  });

  it('say what was taken for want of a measure, and doubt it', () => {
    const scene = sceneOfJob({
      job: bookOf(
        with_({
          'eng-height-up': { 'highest-point': 300 },
          'rec-hood-profile': { 'lowest-z-over-the-engine': 700 },
        }),
      ),
    });
    const top = scene.shapes.find((s) => s.id === 'top')!;
    expect(top.sigma).toBe(20);
    expect(top.assumed[0]).toContain('the middle of the engine');
    expect(sayPosition(scene, bestPosition(scene.problem)).doubts.join(' ')).toContain(
      'the middle of the engine',
    );
  });

  it('are not drawn while nobody can tell how the engine lies, and say what to say', () => {
    for (const layout of ['front-transverse', 'mid-engine', 'rear-engine']) {
      const scene = sceneOfJob({ job: bookOf(with_({ 'rec-drive-layout': { value: layout } })) });
      expect(scene.shapes).toEqual([]);
      expect(scene.notDrawn).toContain('which way the pulley end');
    }
  });

  it('are turned as the engine lies: what points forward on it points to the side where the pulley is', () => {
    const noseAt = (pulley: string) => {
      const job = bookOf(
        with_({
          'rec-drive-layout': { value: 'front-transverse' },
          'cho-pulley-side': { value: pulley },
        }),
      );
      const nose = sceneOfJob({ job }).shapes.find((s) => s.id === 'nose')!;
      const mean = (axis: 0 | 1): number =>
        nose.points.reduce((sum, p) => sum + p[axis], 0) / nose.points.length;
      return [mean(0), mean(1)] as const;
    };
    const [, left] = noseAt('left');
    const [, right] = noseAt('right');
    expect(left).toBeGreaterThan(300);
    expect(right).toBeCloseTo(-left, 6);
    expect(noseAt('rear')[0]).toBeCloseTo(left, 6);
  });

  it('an engine across between its rails: 1000 less 500 and 340 leave 80 each side, less the least gap (by hand)', () => {
    const job = bookOf({
      'rec-drive-layout': { value: 'front-transverse' },
      'cho-pulley-side': { value: 'right' },
      'rec-bay-width': { 'between-rails-at-mounts': 1000 },
      'rec-bay-length': { 'to-core-rear-face': 2000 },
      'eng-length': { value: 500 },
      'eng-fan-reach': { 'pulley-face': 500 },
      'cho-fan': { value: 'electric-puller' },
      'gbx-length': { value: 340 },
      'gbx-envelope': { 'widest-at-bell': 200, 'widest-at-waist': 200, 'widest-at-tail': 200 },
      'cho-mount-material': { value: 'solid' },
    });
    const scene = sceneOfJob({ job });
    const best = bestPosition(scene.problem);
    const rails = scene.pairs.filter((p) => p.id.startsWith('end-rail')).length;
    expect(rails).toBe(2);
    const least = scene.pairs.find((p) => p.id === 'end-rail-left')!.need.value;
    expect(best.worstMm).toBeCloseTo(80 - least, 0);
    // The pulley to the right: the bell face lies left of the middle by half of what the engine is longer.
    expect(best.pose.y).toBeCloseTo(80, 0);
  });
});

describe('the gaps between shapes', () => {
  it('are those of the sums, where the sums speak of the same place (any facts, unit level and straight)', () => {
    const mm = (min: number, max: number) => fc.integer({ min, max });
    fc.assert(
      fc.property(
        fc.record({
          hood: mm(350, 600),
          top: mm(300, 420),
          x: mm(0, 80),
          z: mm(-20, 120),
          y: mm(-20, 20),
          bowl: mm(150, 260),
          member: mm(-180, -60),
          core: mm(880, 1100),
          tower: mm(600, 900),
          recess: mm(0, 60),
          road: mm(200, 400),
          pulley: mm(700, 830),
        }),
        (v) => {
          const facts = with_({
            'rec-hood-profile': { 'lowest-z-over-the-engine': v.hood },
            'eng-height-up': { 'highest-point': v.top, 'highest-point-x': 310 },
            'eng-sump-depth': { 'at-bowl': v.bowl },
            // The bowl stands over the crossmember, so that the sum is the plain one.
            'eng-sump-bowl-place': { value: 'middle', 'bowl-rear-x': 300, 'bowl-front-x': 600 },
            'rec-crossmember-place': { 'rear-edge-x': 420, 'front-edge-x': 520, 'top-z': v.member },
            'rec-bay-length': { 'to-core-rear-face': v.core, 'firewall-recess-depth': v.recess },
            'rec-bay-width': { 'between-towers-at-head-height': v.tower },
            'eng-fan-reach': { 'pulley-face': v.pulley },
            'rec-ground-at-crossmember': {
              'ground-to-crossmember': v.road,
              'planned-ride-height-change': 0,
            },
            'gbx-envelope': { ...measured['gbx-envelope'], 'pan-depth': 60 },
            'cho-fan': { value: 'electric-pusher' },
            'cho-engine-place': {
              'bell-face-ahead-of-firewall-x': v.x,
              'sideways-from-centre-line-y': v.y,
              'crank-axis-above-body-datum-z': v.z,
            },
          });
          const margins = marginsAt(facts);
          // Where nobody knows the slope the verdicts are reckoned by the simpler sums.
          const simple = { ...facts };
          delete simple['eng-slope-design'];
          const sums = new Map(
            judgeAll({ job: bookOf(simple) }, {}).map((l) => [l.def.id, l.verdict.margin?.value]),
          );
          // A crossmember overlaps forward and back too, where the sum only knows up and down: it holds where they are apart.
          const apart = (id: string): boolean => margins[id]! > -15;
          expect(margins['hood']).toBeCloseTo(sums.get('fit-hood')!, 6);
          if (apart('crossmember'))
            expect(margins['crossmember']).toBeCloseTo(sums.get('fit-sump-crossmember')!, 6);
          if (apart('ground'))
            expect(margins['ground']).toBeCloseTo(sums.get('fit-ground-clearance')!, 6);
          expect(margins['nose']).toBeCloseTo(sums.get('fit-bay-length')!, 6);
          if (apart('firewall'))
            expect(margins['firewall']).toBeCloseTo(sums.get('fit-firewall')!, 6);
          const sides = Math.min(margins['covers-left']!, margins['covers-right']!);
          expect(sides).toBeCloseTo(sums.get('fit-bay-width')!, 6);
          const tunnel = Object.entries(margins).flatMap(([id, m]) =>
            id.startsWith('tunnel-') ? [m] : [],
          );
          expect(tunnel).toHaveLength(6);
          expect(Math.min(...tunnel)).toBeCloseTo(sums.get('fit-tunnel')!, 6);
        },
      ),
      { numRuns: 100, seed: 31 },
    );
  });

  it('are the margins of the verdicts wherever all of them is known, slope and sideways counted in (property)', () => {
    const mm = (min: number, max: number) => fc.integer({ min, max });
    const worst = (margins: Record<string, number>, ids: (id: string) => boolean): number =>
      Math.min(...Object.entries(margins).flatMap(([id, m]) => (ids(id) ? [m] : [])));
    fc.assert(
      fc.property(mm(0, 80), mm(-20, 120), mm(-20, 20), mm(-20, 50), (x, z, y, tenths) => {
        const facts = with_({
          'eng-fan-reach': { 'pulley-face': 815, 'pulley-diameter': 150 },
          'gbx-envelope': { ...measured['gbx-envelope'], 'pan-rear': 480 },
          'eng-sump-depth': { 'at-bowl': 232, 'at-front': 165, 'drain-plug': 240 },
          'rec-sway-bar-place': { value: 'under-sump', x: 700, z: -140 },
          'rec-brake-assist': { value: 'none' },
          'rec-radiator-core': { 'overall-depth': 50 },
          'cho-engine-place': {
            'bell-face-ahead-of-firewall-x': x,
            'sideways-from-centre-line-y': y,
            'crank-axis-above-body-datum-z': z,
            'slope-tail-down': tenths / 10,
          },
        });
        const margins = marginsAt(facts);
        const lines = new Map(
          judgeAll({ job: bookOf(facts) }, {}).map((l) => [l.def.id, l.verdict]),
        );
        const of = (id: string): number => lines.get(id)!.margin!.value;
        for (const [place, ids] of [
          ['fit-hood', (id) => id === 'hood'],
          ['fit-firewall', (id) => id === 'firewall'],
          ['fit-sump-crossmember', (id) => id === 'crossmember'],
          ['fit-sump-steering', (id) => id === 'steering'],
          ['fit-ground-clearance', (id) => id === 'ground'],
          ['fit-bay-length', (id) => id === 'nose'],
          ['fit-bay-width', (id) => /^(covers|accessories)-/.test(id)],
          ['fit-tunnel', (id) => id.startsWith('tunnel-')],
          ['fit-sway-bar', (id) => id === 'sway-bar'],
        ] as [string, (id: string) => boolean][])
          expect(of(place), place).toBeCloseTo(worst(margins, ids), 6);
      }),
      { numRuns: 60, seed: 12 },
    );
  });

  it('a slope leans the heads back to the firewall and sinks the pan of the gearbox (closed forms)', () => {
    const sloped = (deg: number) =>
      with_({
        'eng-height-up': { 'highest-point': 380, 'highest-point-x': 310, 'rear-cover': 352 },
        'gbx-envelope': { ...measured['gbx-envelope'], 'pan-depth': 200, 'pan-rear': 480 },
        'eng-slope-design': { value: deg },
      });
    const at = (deg: number, id: string) =>
      judgeAll({ job: bookOf(sloped(deg)) }, {}).find((l) => l.def.id === id)!.verdict.result!
        .value;
    const [sin, cos] = [Math.sin(Math.PI / 45), Math.cos(Math.PI / 45)];
    expect(at(0, 'fit-firewall') - at(4, 'fit-firewall')).toBeCloseTo(352 * sin, 6);
    // The pan hangs 200 mm down, 32 mm less than the sump, and 480 mm behind the bell face.
    expect(at(0, 'fit-ground-clearance') - at(4, 'fit-ground-clearance')).toBeCloseTo(
      480 * sin + 200 * cos - 232,
      6,
    );
  });

  it('a bar that somebody drew keeps its gap along all its length, whichever way it runs (distance of a point from a line)', () => {
    const bar = {
      name: 'Strut brace',
      side: 'bay' as const,
      x: [330, 330] as const,
      y: [-300, 300] as const,
      z: [560, 500] as const,
      across: 40,
      sure: 'tape' as const,
      against: ['top'],
      clearance: 'cl-fixed',
      typed: {},
    };
    const scene = sceneOfJob({ job: bookOf(measured) }, { brace: bar });
    const pair = scene.pairs.findIndex((p) => p.id === 'own-brace');
    const { margins } = judgeAt(new Scene(scene.problem), scene.chosen!);
    const gap = margins.find((m) => m.meeting.pair === pair)!.gap;
    // The highest point stands at (330, 0, 440), 90 mm under the middle of a bar that falls 60 in 600.
    expect(gap).toBeCloseTo(90 * Math.cos(Math.atan(0.1)) - 20, 3);
    const turned = { ...bar, y: [300, -300] as const, z: [500, 560] as const };
    const again = sceneOfJob({ job: bookOf(measured) }, { brace: turned });
    const other = judgeAt(new Scene(again.problem), again.chosen!).margins;
    expect(other.find((m) => m.meeting.pair === pair)!.gap).toBeCloseTo(gap, 6);
  });

  it('a place of which nobody said how far off the middle it is stands on something assumed, where that counts', () => {
    const weakest = (place: Parts, id: string) =>
      judgeAll(
        {
          job: bookOf(with_({ 'cho-engine-place': place, 'rec-brake-assist': { value: 'none' } })),
        },
        {},
      ).find((l) => l.def.id === id)!.verdict.weakest;
    const { 'sideways-from-centre-line-y': y, ...place } = measured['cho-engine-place']!;
    expect([weakest(place, 'fit-bay-width'), weakest(place, 'fit-hood')]).toEqual([
      'assumed',
      'measured',
    ]);
    expect(weakest({ ...place, 'sideways-from-centre-line-y': y! }, 'fit-bay-width')).toBe(
      'measured',
    );
  });

  it('a thicker radiator takes its room from the nose', () => {
    const nose = (back: number) =>
      judgeAll(
        { job: bookOf(with_({ 'cho-radiator': { value: 'universal', 'rear-face-back': back } })) },
        {},
      ).find((l) => l.def.id === 'fit-radiator-fan')!.verdict.result!.value;
    expect(nose(0) - nose(22)).toBeCloseTo(22, 6);
    const { 'eng-slope-design': _, ...simple } = with_({
      'cho-radiator': { value: 'universal', 'rear-face-back': 22 },
    });
    expect(_).toBeDefined();
    const said = judgeAll({ job: bookOf(simple) }, {}).find(
      (l) => l.def.id === 'fit-radiator-fan',
    )!;
    expect(said.verdict.result!.value).toBeCloseTo(nose(22), 6);
  });

  it('heads whose rear nobody read are no go on a slope, unless there is room for any', () => {
    const firewall = (ahead: string, more: Record<string, Parts> = {}) =>
      judgeAll(
        {
          job: bookOf({
            'rec-bay-length': { 'firewall-recess-depth': 0 },
            'eng-height-up': { 'highest-point': 400 },
            'eng-slope-design': { value: 3 },
            'cho-engine-place': { 'bell-face-ahead-of-firewall-x': Number(ahead) },
            ...more,
          }),
        },
        {},
      ).find((l) => l.def.id === 'fit-firewall')!.verdict;
    // 25 mm are kept on rubber; heads 400 mm up lean back by 21 mm.
    expect(firewall('30')).toMatchObject({
      word: 'not-measured',
      needs: [{ partKey: 'rear-cover' }],
    });
    expect(firewall('50').word).toBe('bolts-up');
    expect(firewall('10').word).toBe('clash');
    const read = { 'eng-height-up': { 'highest-point': 400, 'rear-cover': 300 } };
    expect(firewall('30', read).result!.value).toBeCloseTo(
      30 - 300 * Math.tan(Math.PI / 60) - 25,
      6,
    );
  });

  it('what was not measured and decides something only on a slope is said where there is one', () => {
    const nose = (deg: number) =>
      judgeAll(
        {
          job: bookOf(
            with_({ 'eng-slope-design': { value: deg }, 'eng-fan-reach': { 'pulley-face': 815 } }),
          ),
        },
        {},
      ).find((l) => l.def.id === 'fit-bay-length')!.verdict;
    expect(nose(0).weakest).toBe('measured');
    // The sum opens to where the unit sits and to every size of both solids.
    const below = nose(0).sum[0]!.of!.map((r) => `${r.factId} ${r.partKey}`);
    expect(below).toEqual(
      expect.arrayContaining([
        'cho-engine-place bell-face-ahead-of-firewall-x',
        'eng-slope-design value',
        'eng-fan-reach pulley-face',
        'rec-bay-length to-core-rear-face',
      ]),
    );
    expect(nose(3).weakest).toBe('assumed');
    expect(
      nose(3)
        .sum.map((r) => r.label)
        .join(),
    ).toContain('as it usually is');
  });

  it('keep the rock that the cushions give, by torque over their springs; the table has it where nobody knows (closed form)', () => {
    const mounts = {
      'eng-mount-bosses': {
        'left-x': 300,
        'left-y': 220,
        'left-z': -40,
        'right-x': 300,
        'right-y': -220,
        'right-z': -40,
      },
      'eng-torque': { value: 400 },
      'gbx-ratios': { first: 4 },
    };
    const need = (facts: Record<string, Parts>, id: string): number =>
      sceneOfJob({ job: bookOf(with_(facts)) }).pairs.find((p) => p.id === id)!.need.value;
    const rated = { ...mounts, 'cho-mount-rating': { 'load-each': 150, 'gives-at-that-load': 4 } };
    // 1600 N·m over two springs of 150 kg on 4 mm, 220 mm off the middle; the highest point stands 420 mm over the bosses.
    const spring = (150 * 9.80665) / 4;
    const turn = (400 * 4 * 1000) / (2 * spring * 220 ** 2);
    expect(need(rated, 'hood')).toBeCloseTo(20 + turn * 420, 6);
    expect(need(mounts, 'hood')).toBe(20 + 15);
    // The road is no part of the car's body: it keeps its own.
    expect(need(rated, 'ground')).toBe(need(mounts, 'ground'));
    // A softer cushion asks for more, and the verdict of the place says so.
    const hood = (facts: Record<string, Parts>) =>
      judgeAll({ job: bookOf(with_(facts)) }, {}).find((l) => l.def.id === 'fit-hood')!.verdict;
    const soft = { ...rated, 'cho-mount-rating': { 'load-each': 150, 'gives-at-that-load': 8 } };
    expect(hood(rated).margin!.value - hood(soft).margin!.value).toBeCloseTo(turn * 420, 6);
    expect(hood(soft).because).toContain('cho-mount-rating');
    // A gap that was read is held against the same least.
    expect(leastGap('fit-hood', { job: bookOf(with_(rated)) })).toBeCloseTo(20 + turn * 420, 6);
    expect(leastGap('fit-hood', { job: bookOf(with_(mounts)) })).toBe(35);
  });

  it('of a long engine between hood and crossmember: it does not fit, and what is bought where', () => {
    const scene = sceneOfJob({ job: bookOf(with_({ 'eng-slope-design': { value: 2.5 } })) });
    const found = bestPosition(scene.problem);
    const said = sayPosition(scene, found);
    expect(said.word).toBe('stop');
    expect(said.headline).toMatch(/^It does not fit by \d+ mm\.$/);
    expect(found.binding).toEqual(expect.arrayContaining(['hood', 'crossmember']));
    expect(said.details[0]).toContain('highest point to hood');
    expect(said.details[1]).toMatch(/^1 mm off the .* buys 0\.\d\d mm\.$/);
  });
});

describe('what bounds on one side', () => {
  it('is never passed: an engine far too high or too wide does not come out on the other side as one that fits', () => {
    const tall = sceneOfJob({
      job: bookOf(with_({ 'eng-height-up': { 'highest-point': 700, 'highest-point-x': 310 } })),
    });
    const found = bestPosition(tall.problem);
    expect(found.worstMm).toBeLessThan(-100);
    expect(sayPosition(tall, found).word).toBe('stop');
    const wide = sceneOfJob({
      job: bookOf(
        with_({
          'eng-width': {
            ...measured['eng-width'],
            'left-at-covers-and-coils': 900,
            'right-at-covers-and-coils': 900,
          },
        }),
      ),
    });
    expect(bestPosition(wide.problem).worstMm).toBeLessThan(-400);
  });
});

describe('what somebody chose', () => {
  it('is sought where somebody holds it, and what is typed the wrong way round holds nothing', () => {
    const held = (parts: Parts) => sceneOfJob({ job: bookOf(with_({ 'cho-place-range': parts })) });
    const scene = held({
      'height-from': 30,
      'height-to': 40,
      'slope-from': 1,
      'slope-to': 1,
      'along-to': 10,
    });
    const { range } = scene.problem;
    expect(range.z).toEqual([30, 40]);
    expect(range.slopeDeg).toEqual([1, 1]);
    expect(range.x[1]).toBe(10);
    expect(scene.held.join(' ')).toContain('in height from 30 mm to 40 mm');
    expect(scene.held.join(' ')).toContain('by its slope at 1°');
    const best = bestPosition(scene.problem);
    expect(best.pose.z).toBeGreaterThanOrEqual(30);
    expect(best.pose.z).toBeLessThanOrEqual(40);
    const turned = held({ 'height-from': 90, 'height-to': 40 });
    expect(turned.problem.range.z).toEqual(held({}).problem.range.z);
    expect(turned.held.join(' ')).toContain('the wrong way round');
  });

  it('is as sure as the shop says that its measures are', () => {
    const sigma = (facts: Record<string, Parts>, source: FactSource = 'measured') =>
      sceneOfJob({ job: bookOf(with_(facts), source) }).shapes.find((s) => s.id === 'hood')!.sigma;
    expect([sigma({}), sigma({}, 'looked-up'), sigma({}, 'assumed')]).toEqual([2, 5, 20]);
    const own = { 'cho-sureness': { tape: 3, 'by-eye': 30 } };
    expect([sigma(own), sigma(own, 'looked-up'), sigma(own, 'assumed')]).toEqual([3, 5, 30]);
  });

  it('is where the unit is drawn; the slope is what was chosen, else what the engine was made for', () => {
    const facts = with_({ 'eng-slope-design': { value: 3 } });
    expect(chosenPose(bookOf(facts))).toEqual({ x: 20, y: 0, z: 60, slopeDeg: 3, yawDeg: 0 });
    const place = { ...facts['cho-engine-place']!, 'slope-tail-down': 1 };
    expect(chosenPose(bookOf({ ...facts, 'cho-engine-place': place }))?.slopeDeg).toBe(1);
    expect(chosenPose(bookOf(with_({ 'cho-engine-place': undefined })))).toBeUndefined();
  });
});

describe('the views', () => {
  it('draw to scale: outlines are hulls, grown by their radius', () => {
    const square = outlineOf(
      [
        { x: 0, y: 0 },
        { x: 10, y: 0 },
        { x: 10, y: 10 },
        { x: 0, y: 10 },
        { x: 5, y: 5 },
      ],
      0,
    );
    expect(square).toHaveLength(4);
    const ring = outlineOf([{ x: 0, y: 0 }], 10);
    for (const p of ring) expect(Math.hypot(p.x, p.y)).toBeCloseTo(10, 9);
    expect(outlineOf([{ x: 1, y: 2 }], 0)).toEqual([{ x: 1, y: 2 }]);
  });

  it('see the left side on the left hand of who stands before the car, and a pull goes where it is seen to go', () => {
    expect(seenIn('front', { toRear: false })([100, 30, 50])).toEqual({ x: 30, y: 50 });
    // Behind a car whose engine lies behind the axle its left side is to the left, and below from above.
    expect(seenIn('front', { toRear: true })([100, 30, 50])).toEqual({ x: -30, y: 50 });
    expect(seenIn('top', { toRear: true })([100, 30, 50])).toEqual({ x: 100, y: -30 });
    for (const view of ['side', 'top', 'front'] as const) {
      for (const toRear of [false, true]) {
        const by = pulledIn(view, { toRear }, { x: 3, y: 4 });
        expect(seenIn(view, { toRear })([by.x ?? 0, by.y ?? 0, by.z ?? 0])).toEqual({ x: 3, y: 4 });
      }
    }
  });

  it('hatch what meets, and carry the tightest gaps with their sum', () => {
    const scene = sceneOfJob({
      job: bookOf(
        with_({
          'rec-crossmember-place': { 'rear-edge-x': 100, 'front-edge-x': 300, 'top-z': -95 },
        }),
      ),
    });
    const judged = judgeAt(new Scene(scene.problem), scene.chosen!);
    const drawing = viewOf(scene, 'side', scene.chosen!, judged.margins);
    expect(drawing.shapes.find((s) => s.name === 'Crossmember')!.ink).toBe('meets');
    expect(drawing.shapes.filter((s) => s.carried).length).toBe(scene.problem.unit.length);
    const number = drawing.dimensions.find((d) => d.id === 'crossmember')!;
    expect(number.word).toBe('stop');
    expect(number.rows![0]).toMatchObject({ sign: '+', unit: 'mm' });
    const total = number.rows!.reduce((sum, r) => sum + (r.sign === '+' ? r.value : -r.value), 0);
    const margin = judged.margins
      .filter((m) => scene.pairs[m.meeting.pair]!.id === 'crossmember')
      .map((m) => m.margin);
    expect(total).toBeCloseTo(Math.min(...margin), 1);
    expect(describePose(new Scene(scene.problem), judged).worstMm).toBe(judged.worst);
  });
});

describe('what people drew themselves', () => {
  const box = {
    name: 'Fuse box',
    side: 'bay',
    x: [100, 200],
    y: [230, 300],
    z: [300, 420],
    sure: 'tape',
    against: ['covers-left'],
    clearance: 'cl-fixed',
    typed: {},
  } as const;

  it('is held against what they chose, by the least gap they chose, as sure as it was read', () => {
    const scene = sceneOfJob({ job: bookOf(measured) }, { a: box, gone: { ...box, gone: true } });
    const pair = scene.pairs.find((p) => p.id === 'own-a')!;
    expect(scene.pairs.map((p) => p.id)).not.toContain('own-gone');
    expect(pair.name).toBe('fuse box to the engine');
    // Static 12 and 8 of rock on rubber; the covers end at 205, the box begins at 230.
    expect(pair.need.value).toBe(20);
    const margins = byPair(scene.problem, judgeAt(new Scene(scene.problem), scene.chosen!).margins);
    expect(margins[scene.pairs.indexOf(pair)]).toBeCloseTo(25 - 20, 6);
    const byEye = sceneOfJob({ job: bookOf(measured) }, { a: { ...box, sure: 'eye' } });
    expect(byEye.shapes.find((s) => s.id === 'own-a')!.sigma).toBe(20);
    expect(sayPosition(byEye, bestPosition(byEye.problem)).doubts.join(' ')).toContain(
      'Fuse box stands where it is by eye',
    );
  });
});

describe('ways out', () => {
  const scene = sceneOfJob({ job: bookOf(measured) });
  const books = { job: bookOf(measured) };
  const way = { title: 'Sister sump', shape: 'sump-bowl', z: 40, typed: {} };

  it('are stiffer mounts than the planned ones, and what people wrote of shapes that are drawn', () => {
    const ids = (
      change: Record<string, Parts>,
      written: Parameters<typeof optionsOf>[2] = {},
    ): string[] => {
      const job = bookOf(with_(change));
      return optionsOf({ job }, sceneOfJob({ job }), written).map((o) => o.id);
    };
    expect(ids({})).toEqual(['mounts-polyurethane', 'mounts-solid']);
    expect(ids({ 'cho-mount-material': { value: 'solid' } })).toEqual([]);
    expect(
      ids(
        { 'cho-mount-material': { value: 'solid' } },
        { w: way, x: { ...way, gone: true }, y: { ...way, shape: 'nothing' } },
      ),
    ).toEqual(['w']);
  });

  it('are drawn where they put things, and stiffer mounts leave smaller gaps to keep', () => {
    const options = optionsOf(books, scene, { w: way });
    const changed = withWaysOut(
      scene,
      options.filter((o) => o.id === 'w' || o.id === 'mounts-solid'),
    );
    const floor = (of: typeof scene): number =>
      Math.min(...of.shapes.find((s) => s.id === 'sump-bowl')!.points.map((p) => p[2]));
    expect(floor(changed)).toBe(floor(scene) + 40);
    expect(changed.pairs.find((p) => p.id === 'hood')!.need.value).toBe(22);
    expect(changed.problem.pairs.find((p) => p.id === 'hood')!.needMm).toBe(22);
    expect(withWaysOut(scene, [])).toBe(scene);
    // The strip that is drawn of what goes on beyond moves with it.
    const hood = withWaysOut(scene, [
      { id: 'h', title: 'Raised', changes: [{ side: 'bay', id: 'hood', move: [0, 0, 30] }] },
    ]).shapes.find((s) => s.id === 'hood')!;
    expect(Math.min(...hood.drawn!.map((p) => p[2]))).toBe(485);
  });
});

describe('the geometry for other programs', () => {
  const scene = sceneOfJob({ job: bookOf(measured) });
  const { margins } = judgeAt(new Scene(scene.problem), scene.chosen!);

  it('is lines of a DXF of release 12, closed round every shape, in layers by view and side', () => {
    const rows = dxfOf(scene, scene.chosen!, margins).split('\r\n');
    const pairs = Array.from(
      { length: Math.floor(rows.length / 2) },
      (_, i) => [rows[2 * i]!, rows[2 * i + 1]!] as const,
    );
    expect(pairs.slice(0, 4)).toEqual([
      ['0', 'SECTION'],
      ['2', 'HEADER'],
      ['9', '$ACADVER'],
      ['1', 'AC1009'],
    ]);
    expect(pairs.at(-1)).toEqual(['0', 'EOF']);
    const lines = pairs.filter(([code, value]) => code === '0' && value === 'LINE').length;
    const drawn = (['side', 'top', 'front'] as const).flatMap(
      (v) => viewOf(scene, v, scene.chosen!, margins).shapes,
    );
    expect(lines).toBe(drawn.reduce((sum, s) => sum + s.points.length, 0));
    for (const code of ['10', '20', '11', '21']) {
      const numbers = pairs.filter(([c]) => c === code).map(([, v]) => Number(v));
      expect(numbers).toHaveLength(lines);
      expect(numbers.every(Number.isFinite)).toBe(true);
    }
    expect(new Set(pairs.filter(([c]) => c === '8').map(([, v]) => v))).toEqual(
      new Set(['SIDE_BAY', 'SIDE_UNIT', 'TOP_BAY', 'TOP_UNIT', 'FRONT_BAY', 'FRONT_UNIT']),
    );
  });

  it('is an SVG in millimetres, with what could end a tag written out', () => {
    const svg = svgOf({ ...viewOf(scene, 'side', scene.chosen!, margins), name: 'a < b & "c"' });
    expect(svg).toContain('<title>a &lt; b &amp; &quot;c&quot;</title>');
    expect(svg).toMatch(/width="\d+(\.\d+)?mm"/);
    expect(svg.match(/<path /g)!.length).toBeGreaterThan(15);
    expect(svg).not.toMatch(/NaN|undefined/);
  });

  it('is a row of CSV for every point', () => {
    const rows = csvOf(scene).trimEnd().split('\r\n');
    expect(rows[0]).toBe('side,id,name,piece,x,y,z,radius,sigma,source');
    expect(rows).toHaveLength(1 + scene.shapes.reduce((sum, s) => sum + s.points.length, 0));
  });
});

describe('a trial fit', () => {
  const scene = sceneOfJob({ job: bookOf(measured) });
  const drawn = (pair: string): number => {
    const margins = judgeAt(new Scene(scene.problem), scene.chosen!).margins;
    return Math.min(
      ...margins.filter((m) => scene.pairs[m.meeting.pair]!.id === pair).map((m) => m.gap),
    );
  };
  const reading = (
    gapMm: number,
    place = 'middle',
  ): { word: 'adapt'; gapMm: number; place: string; condition: 'cold' } => ({
    word: 'adapt',
    gapMm,
    place,
    condition: 'cold',
  });

  it('is read at places that speak of one pair, the narrowest spot of each', () => {
    const readings = readingsFor(
      scene,
      new Map([
        ['fit-hood', [reading(30), reading(25, 'front')]],
        // Towers and rails, left and right: which of them was read nobody says.
        ['fit-bay-width', [reading(40)]],
        ['fit-heater', [reading(9)]],
      ]),
    );
    expect(readings).toEqual([{ pair: 'hood', gapMm: 25 }]);
  });

  it('says where the unit sits other than drawn, and that it agrees where it does', () => {
    const lower = trialSaid(scene, scene.chosen, [
      { pair: 'hood', gapMm: drawn('hood') + 6 },
      { pair: 'ground', gapMm: drawn('ground') - 6 },
    ])!;
    expect(lower.sentences[0]).toMatch(/sits [4-6]\.\d mm lower/);
    expect(lower.sentences).toHaveLength(1);
    expect(
      trialSaid(scene, scene.chosen, [{ pair: 'hood', gapMm: drawn('hood') }])!.sentences,
    ).toEqual(['What was read agrees with the drawing.']);
    expect(trialSaid(scene, undefined, [{ pair: 'hood', gapMm: 3 }])).toBeUndefined();
    expect(trialSaid(scene, scene.chosen, [])).toBeUndefined();
  });

  it('asks to measure again what no place of the unit explains', () => {
    const said = trialSaid(scene, scene.chosen, [
      { pair: 'hood', gapMm: drawn('hood') },
      { pair: 'ground', gapMm: drawn('ground') - 25 },
      { pair: 'steering', gapMm: drawn('steering') },
    ])!;
    expect(said.sentences.join(' ')).toMatch(
      /Of lowest part to road, \d+ mm less was read .*measure road, laden/,
    );
  });
});

describe('shapes that were read station by station', () => {
  const at = (x: number, z: number): Record<string, Parts> =>
    with_({
      'rec-hood-profile': {
        profile: [
          [100, 500],
          [300, 440],
          [500, 480],
        ],
      },
      'cho-engine-place': {
        'bell-face-ahead-of-firewall-x': x,
        'sideways-from-centre-line-y': 0,
        'crank-axis-above-body-datum-z': z,
      },
    });
  const gapOf = (facts: Record<string, Parts>, pair: string): number => {
    const scene = sceneOfJob({ job: bookOf(facts) });
    const { margins } = judgeAt(new Scene(scene.problem), scene.chosen!);
    return Math.min(
      ...margins.filter((m) => scene.pairs[m.meeting.pair]!.id === pair).map((m) => m.gap),
    );
  };
  it('a sloping hood: the true distance from the highest point to the line between two stations (closed form)', () => {
    // The highest point stands at x 20 + 310 = 330, z 60 + 380 = 440 under the rise from (300, 440) to (500, 480).
    const rise = [200, 40] as const;
    const length = Math.hypot(...rise);
    const away = Math.abs(rise[0] * (440 - 440) - rise[1] * (330 - 300)) / length;
    expect(gapOf(at(20, 60), 'hood')).toBeCloseTo(Math.abs(away), 3);
  });
  it('beyond its stations the hood is taken as at its lowest', () => {
    expect(gapOf(at(400, 40), 'hood')).toBeCloseTo(440 - 420, 3);
  });
  it('the sum takes the hood between the stations over that point, and the lowest where it is not known', () => {
    const hood = (facts: Record<string, Parts>) =>
      judgeAll({ job: bookOf(facts) }, {}).find((l) => l.def.id === 'fit-hood')!.verdict;
    const noSlope = at(20, 20);
    delete noSlope['eng-slope-design'];
    expect(hood(noSlope).sum[0]).toMatchObject({ value: 446, factId: 'rec-hood-profile' });
    expect(hood({ ...noSlope, 'eng-height-up': { 'highest-point': 380 } }).sum[0]).toMatchObject({
      value: 440,
    });
    // Once the slope is known it is the true distance to the line between the two stations: 46 mm of height under a rise of 1 in 5.
    expect(hood(at(20, 20)).result!.value).toBeCloseTo(46 * Math.cos(Math.atan(0.2)) - 35, 3);
  });
  it('a firewall that stands back where the heads are keeps what the step leaves', () => {
    const stepped = with_({
      'rec-bay-length': {
        'to-core-rear-face': 940,
        'firewall-profile': [
          [-200, 30],
          [150, 30],
          [151, 90],
          [700, 90],
        ],
      },
    });
    // The bell face at x 20 against the lower part at −30.
    expect(gapOf(stepped, 'firewall')).toBeCloseTo(50, 1);
  });
  it('a sump is as deep as its floor is there, its plug where it is deepest', () => {
    const floor = {
      profile: [
        [40, 232],
        [330, 232],
        [331, 165],
        [760, 165],
      ],
    };
    const boxes = gapOf(measured, 'crossmember');
    expect(
      gapOf(
        with_({ 'eng-sump-depth': { ...floor, 'at-bowl': 232, 'at-front': 165 } }),
        'crossmember',
      ),
    ).toBeCloseTo(boxes, 0);
    const plug = gapOf(with_({ 'eng-sump-depth': { ...floor, 'drain-plug': 250 } }), 'ground');
    expect(gapOf(with_({ 'eng-sump-depth': floor }), 'ground') - plug).toBeCloseTo(18, 3);
  });
  it('a tunnel by its sections: walls and roof, from section to section, and no stretches beside them', () => {
    const tunnel = with_({
      'rec-tunnel-envelope': {
        sections: [
          [-760, 390, 260],
          [-200, 420, 280],
          [-20, 512, 320],
        ],
      },
    });
    const scene = sceneOfJob({ job: bookOf(tunnel) });
    expect(scene.openPairs).toEqual([]);
    expect(scene.pairs.map((p) => p.id)).toEqual(
      expect.arrayContaining(['tunnel-left', 'tunnel-right', 'tunnel-roof']),
    );
    expect(scene.pairs.some((p) => p.id === 'tunnel-left-waist')).toBe(false);
    // A wall that opens from 165 to 450 mm over 740: the rear corner of the tail, 150 mm out, is nearest (closed form).
    const opening = with_({
      'rec-tunnel-envelope': {
        sections: [
          [-760, 330, 260],
          [-20, 900, 320],
        ],
      },
    });
    const wallAtTail = 165 + ((20 - 742 + 760) / 740) * 285;
    expect(gapOf(opening, 'tunnel-left')).toBeCloseTo(
      (wallAtTail - 150) * Math.cos(Math.atan2(285, 740)),
      3,
    );
  });
  it('manifolds beside a steering shaft: the distance to the bar', () => {
    const gap = gapOf(measured, 'steering-shaft');
    expect(gap).toBeGreaterThan(60);
    expect(gap).toBeLessThan(120);
  });
});

describe('a cut across the car', () => {
  it('of a box is its face, of a wedge what the line between its edges says (closed form), and nothing beside it', () => {
    const wedge: [number, number, number][] = [
      [0, -10, 0],
      [0, 10, 0],
      [100, -10, 40],
      [100, 10, 40],
      [0, 0, 100],
      [100, 0, 100],
    ];
    const cut = cutAt(wedge, 25);
    expect(Math.min(...cut.map((p) => p.y))).toBeCloseTo(10, 9);
    expect(Math.max(...cut.map((p) => p.x))).toBeCloseTo(10, 9);
    expect(cutAt(wedge, 101)).toEqual([]);
    expect(cutAt(wedge, -1)).toEqual([]);
  });
  it('shows what stands there and nothing else: sump and crossmember at its middle, no fan', () => {
    const scene = sceneOfJob({ job: bookOf(measured) });
    const { margins } = judgeAt(new Scene(scene.problem), scene.chosen!);
    const drawing = sectionAt(scene, scene.chosen!, margins, 470);
    const names = drawing.shapes.map((s) => s.name);
    expect(names).toEqual(
      expect.arrayContaining(['Hood bracing', 'Crossmember', 'Front of the sump']),
    );
    expect(names).not.toContain('Fan behind the core');
    expect(names).not.toContain('Gearbox pan');
    const sump = drawing.shapes.find((s) => s.name === 'Front of the sump')!;
    expect(Math.min(...sump.points.map((p) => p.y))).toBeCloseTo(60 - 165, 6);
    expect(Math.max(...sump.points.map((p) => p.x))).toBeCloseTo(110, 6);
    const [from, to] = stationsOf(scene, scene.chosen!);
    expect(from).toBe(20 - 742);
    expect(to).toBeGreaterThanOrEqual(20 + 815);
    expect(sectionAt(scene, scene.chosen!, margins, 5000).summary).toBe('Nothing is cut here.');
  });
});
