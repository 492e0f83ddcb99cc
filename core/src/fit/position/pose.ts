import type { Cloud, Vec } from '../../solid/index.ts';

/**
 * Where the unit sits in the bay. Points of the unit stand in engine datum; they are turned about it by the slope of the crank
 * (positive lowers the tail), then by yaw (positive turns the nose left), then shifted. Lengths in mm, angles in degrees.
 */
export interface Pose {
  x: number;
  y: number;
  z: number;
  slopeDeg: number;
  yawDeg: number;
}

export const poseKeys = ['x', 'y', 'z', 'slopeDeg', 'yawDeg'] as const;
export type PoseKey = (typeof poseKeys)[number];

/** From where to where each part of a pose may go; the same twice where it is fixed. */
export type PoseRange = Readonly<Record<PoseKey, readonly [low: number, high: number]>>;

export const radians = Math.PI / 180;

/** The middle of a range. */
export const middleOf = (range: PoseRange): Pose => {
  const at = (key: PoseKey): number => (range[key][0] + range[key][1]) / 2;
  return { x: at('x'), y: at('y'), z: at('z'), slopeDeg: at('slopeDeg'), yawDeg: at('yawDeg') };
};

/** A pose moved along each part, and held in its range. */
export function moved(pose: Pose, by: Readonly<Partial<Record<PoseKey, number>>>, range: PoseRange): Pose {
  const at = (key: PoseKey): number => Math.min(range[key][1], Math.max(range[key][0], pose[key] + (by[key] ?? 0)));
  return { x: at('x'), y: at('y'), z: at('z'), slopeDeg: at('slopeDeg'), yawDeg: at('yawDeg') };
}

/** The turn of a pose, row by row. */
export function turnOf({ slopeDeg, yawDeg }: Pose): readonly [Vec, Vec, Vec] {
  const c = Math.cos(slopeDeg * radians);
  const s = Math.sin(slopeDeg * radians);
  const cy = Math.cos(yawDeg * radians);
  const sy = Math.sin(yawDeg * radians);
  return [
    [c * cy, -sy, -s * cy],
    [c * sy, cy, -s * sy],
    [s, 0, c],
  ];
}

/** Where a point of the unit lies in the bay. */
export function placed(point: Vec, pose: Pose): Vec {
  const [a, b, c] = turnOf(pose);
  const along = (row: Vec): number => row[0] * point[0] + row[1] * point[1] + row[2] * point[2];
  return [along(a) + pose.x, along(b) + pose.y, along(c) + pose.z];
}

/** The same for many points at once. */
export function placeAll(points: Cloud, pose: Pose, into: Cloud): Cloud {
  const [a, b, c] = turnOf(pose);
  for (let k = 0; k < points.length; k += 3) {
    const x = points[k]!;
    const y = points[k + 1]!;
    const z = points[k + 2]!;
    into[k] = a[0] * x + a[1] * y + a[2] * z + pose.x;
    into[k + 1] = b[0] * x + b[1] * y + b[2] * z + pose.y;
    into[k + 2] = c[0] * x + c[1] * y + c[2] * z + pose.z;
  }
  return into;
}

/**
 * How a place of the unit, given as it lies in the bay, moves along a direction when the pose changes: mm for each mm of x, y, z, and
 * mm for each degree of slope and yaw.
 */
export function driftOf(at: Vec, pose: Pose, along: Vec): readonly [number, number, number, number, number] {
  const x = at[0] - pose.x;
  const y = at[1] - pose.y;
  const z = at[2] - pose.z;
  const cy = Math.cos(pose.yawDeg * radians);
  const sy = Math.sin(pose.yawDeg * radians);
  // Slope turns about the axis across the unit, which yaw has turned with it.
  const forward = x * cy + y * sy;
  const slope = -z * (cy * along[0] + sy * along[1]) + forward * along[2];
  const yaw = -y * along[0] + x * along[1];
  return [along[0], along[1], along[2], slope * radians, yaw * radians];
}
