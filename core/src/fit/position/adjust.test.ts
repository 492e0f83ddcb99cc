import { describe, expect, it } from 'vitest';
import { adjustTo } from './adjust.ts';
import type { Pose } from './pose.ts';
import { Scene } from './scene.ts';
import { boxShape, still } from './testing.ts';

const planned: Pose = { x: 0, y: 0, z: 0, slopeDeg: 2, yawDeg: 0 };

/** A unit with walls on all sides, and two gaps over its length. */
const scene = new Scene({
  unit: [
    boxShape('front', { x: [500, 520], y: [-80, 80], z: [280, 300] }),
    boxShape('rear', { x: [0, 20], y: [-80, 80], z: [280, 300] }),
    boxShape('sump', { x: [100, 300], y: [-100, 100], z: [-200, 0] }),
    boxShape('side', { x: [100, 400], y: [-150, 150], z: [100, 200] }),
  ],
  bay: [
    boxShape('hood', { x: [-200, 900], y: [-500, 500], z: [400, 1400] }),
    boxShape('member', { x: [150, 250], y: [-400, 400], z: [-320, -250] }),
    boxShape('wall', { x: [-1100, -100], y: [-500, 500], z: [-500, 900] }),
    boxShape('tower', { x: [-200, 900], y: [230, 1230], z: [-500, 900] }),
  ],
  pairs: [
    { id: 'front', unit: ['front'], bay: ['hood'], needMm: 0 },
    { id: 'rear', unit: ['rear'], bay: ['hood'], needMm: 0 },
    { id: 'member', unit: ['sump'], bay: ['member'], needMm: 0 },
    { id: 'wall', unit: ['rear'], bay: ['wall'], needMm: 0 },
    { id: 'tower', unit: ['side'], bay: ['tower'], needMm: 0 },
  ],
  range: still,
});
const read = (pose: Pose): { pair: string; gapMm: number }[] =>
  scene.at(pose).map((m) => ({ pair: scene.problem.pairs[m.meeting.pair]!.id, gapMm: m.gap }));

describe('gaps that were read', () => {
  it('say where the unit really sits: lower, steeper, to one side', () => {
    const real: Pose = { x: 5, y: -6, z: -4, slopeDeg: 2.6, yawDeg: 0 };
    const { pose, readings } = adjustTo(scene, planned, read(real));
    // The plan is believed too, a little: it pulls by less than a millimetre.
    for (const key of ['x', 'y', 'z'] as const)
      expect(Math.abs(pose[key] - real[key])).toBeLessThan(0.8);
    expect(Math.abs(pose.slopeDeg - real.slopeDeg)).toBeLessThan(0.1);
    for (const r of readings) expect(Math.abs(r.leftMm)).toBeLessThan(1);
  });

  it('change nothing where they are as drawn, and only what they speak of where there is one', () => {
    const same = adjustTo(scene, planned, read(planned));
    for (const off of Object.values(same.by)) expect(Math.abs(off)).toBeLessThan(1e-3);
    const one = adjustTo(
      scene,
      planned,
      read({ ...planned, y: -8 }).filter((r) => r.pair === 'tower'),
    );
    expect(one.by.y).toBeLessThan(-6);
    for (const key of ['x', 'z'] as const) expect(Math.abs(one.by[key])).toBeLessThan(0.5);
  });

  it('leave over what no place of the unit explains: a shape that is other than typed', () => {
    const readings = read(planned).map((r) =>
      r.pair === 'member' ? { ...r, gapMm: r.gapMm - 15 } : r,
    );
    const { readings: out } = adjustTo(scene, planned, readings);
    const left = new Map(out.map((r) => [r.pair, Math.abs(r.leftMm)]));
    expect(left.get('member')!).toBeGreaterThan(4);
    expect(left.get('tower')!).toBeLessThan(1);
    expect(left.get('wall')!).toBeLessThan(1);
  });

  it('of pairs that are not there are left out', () => {
    expect(adjustTo(scene, planned, [{ pair: 'nothing', gapMm: 5 }])).toMatchObject({
      pose: planned,
      readings: [],
    });
  });
});
