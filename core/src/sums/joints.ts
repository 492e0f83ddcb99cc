/** Universal joints in a line of shafts, wherever the axes stand: working angles, and what is left of the speed's ripple behind the last. */

export type Axis = readonly [x: number, y: number, z: number];

const dot = (a: Axis, b: Axis): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const cross = (a: Axis, b: Axis): Axis => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
const unit = (a: Axis): Axis => {
  const long = Math.hypot(...a);
  if (!(long > 0)) throw new RangeError('An axis has a length above zero.');
  return [a[0] / long, a[1] / long, a[2] / long];
};

/** Angle between two axes, degrees, 0 to 180. Geometry. */
export const angleBetweenDeg = (a: Axis, b: Axis): number =>
  (Math.atan2(Math.hypot(...cross(unit(a), unit(b))), dot(unit(a), unit(b))) * 180) / Math.PI;

/** Direction that falls towards the rear by `slopeDeg` (tail down positive) and is turned to the left by `leftDeg`; x forward, y left, z up. */
export const rearward = (slopeDeg: number, leftDeg = 0): Axis => {
  const [s, t] = [(slopeDeg * Math.PI) / 180, (leftDeg * Math.PI) / 180];
  return [-Math.cos(s) * Math.cos(t), Math.cos(s) * Math.sin(t), -Math.sin(s)];
};

/**
 * Slowest and fastest speed of the last axis over that of the first, within one turn, the yokes of each shaft in one plane. Axes in
 * their order from front to rear. Two pins of a cross stand square to one another and each square to its own shaft: what turns
 * the first turns the next so. Source: kinematics; SAE AE-7, memory. Refuses joints of 45° and more.
 */
export function rippleOf(axes: readonly Axis[]): { least: number; most: number } {
  const line = axes.map(unit);
  const first = line[0]!;
  for (const [i, axis] of line.slice(1).entries())
    if (angleBetweenDeg(line[i]!, axis) >= 45) throw new RangeError('A joint of 45° and more is refused.');
  // Two directions square to the first axis.
  const side = unit(cross(first, Math.abs(first[2]) < 0.9 ? [0, 0, 1] : [0, 1, 0]));
  const up = cross(side, first);
  /** How fast the last turns for one unit of the first, the first turned by so much. */
  const ratioAt = (turn: number): number => {
    const [c, s] = [Math.cos(turn), Math.sin(turn)];
    let pin = unit([c * side[0] + s * up[0], c * side[1] + s * up[1], c * side[2] + s * up[2]]);
    let ratio = 1;
    for (let i = 1; i < line.length; i++) {
      const [from, to] = [line[i - 1]!, line[i]!];
      const beta = (angleBetweenDeg(from, to) * Math.PI) / 180;
      if (beta > 1e-9) {
        // The driving pin counted from where it lies in the plane of both axes: there the driven shaft is fastest.
        const square = unit(cross(from, to));
        const turned = Math.atan2(dot(pin, square), dot(pin, cross(square, from)));
        ratio *= Math.cos(beta) / (1 - Math.sin(beta) ** 2 * Math.cos(turned) ** 2);
      }
      pin = unit(cross(to, pin));
      // Both yokes of the next shaft stand in one plane.
    }
    return ratio;
  };
  // Speed repeats after half a turn; a quarter of a degree finds its ends to a millionth.
  const ratios = Array.from({ length: 720 }, (_, i) => ratioAt((i * Math.PI) / 720));
  return { least: Math.min(...ratios), most: Math.max(...ratios) };
}

/**
 * Angular acceleration that a ripple of the speed makes at the pinion, rad/s²: its amplitude swings twice a turn. Speeds in rpm of
 * the shaft. Source: kinematics.
 */
export function rippleAcceleration({ least, most }: { least: number; most: number }, rpm: number): number {
  const omega = (rpm * 2 * Math.PI) / 60;
  return 2 * omega * omega * ((most - least) / 2);
}
