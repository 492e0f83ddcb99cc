import { dot, flatOverlap } from './overlap.ts';
import { driftOf } from './pose.ts';
import type { Pose } from './pose.ts';
import type { Margin, Scene } from './scene.ts';
import type { Vec } from '../../solid/index.ts';

/** What a margin becomes near a pose: its value there, and what each mm and degree adds to it. */
export interface Tangent {
  margin: Margin;
  value: number;
  drift: readonly [number, number, number, number, number];
}

/** Points of a cloud that lie outermost along a direction (least, where it is turned round), within a hair. */
function outermost(cloud: Float64Array, along: Vec, sign: 1 | -1): Vec[] {
  let best = -Infinity;
  for (let k = 0; k < cloud.length; k += 3)
    best = Math.max(best, sign * (cloud[k]! * along[0] + cloud[k + 1]! * along[1] + cloud[k + 2]! * along[2]));
  const found: Vec[] = [];
  for (let k = 0; k < cloud.length; k += 3) {
    const p: Vec = [cloud[k]!, cloud[k + 1]!, cloud[k + 2]!];
    if (sign * dot(p, along) >= best - 1e-6 * (1 + Math.abs(best))) found.push(p);
  }
  return found;
}

/**
 * The tangents of a margin at a pose. Where a corner meets a face, or two edges cross, there is one; where faces or edges lie along
 * one another, one for each corner of what they share, since a turn opens one end and closes the other.
 */
export function tangentsOf(scene: Scene, pose: Pose, margin: Margin): Tangent[] {
  const { meeting, normal, onFirst } = margin;
  const lower = outermost(scene.unitPoints(meeting.unit), normal, -1);
  const upper = outermost(scene.bayPoints(meeting.bay), normal, 1);
  const shared = lower.length > 1 && upper.length > 1 ? flatOverlap(lower, upper, normal) : [];
  const places = shared.length > 0 ? shared : [onFirst];
  return places.map((at) => ({ margin, value: margin.margin, drift: driftOf(at, pose, normal) }));
}
