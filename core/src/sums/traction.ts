/**
 * Pull at the driven wheels, N: engine torque (N·m) through gear and axle ratio at the radius that a rolling circumference (mm) gives,
 * less what is lost on the way (`efficiency`, 0 to 1). Statics. Throws where a number is not above nothing.
 */
export function wheelPullN(
  torqueNm: number,
  gear: number,
  axle: number,
  circumferenceMm: number,
  efficiency: number,
): number {
  if (!(torqueNm > 0 && gear > 0 && axle > 0 && circumferenceMm > 0 && efficiency > 0 && efficiency <= 1))
    throw new RangeError('Torque, ratios and circumference are above nothing; the share that arrives is at most 1.');
  const radiusM = circumferenceMm / 1000 / (2 * Math.PI);
  return (torqueNm * gear * axle * efficiency) / radiusM;
}

/**
 * What the driven wheels can hold, N: friction times the load on them with the shift of load that pulling itself brings (rear-driven: more,
 * front-driven: less). Masses in kg, lengths in mm; no shift where height or wheelbase is not given. Statics: F = μ W / (1 ∓ μ h / L).
 */
export function gripN(
  friction: number,
  drivenAxleKg: number,
  driven: 'front' | 'rear' | 'all',
  { cgHeightMm, wheelbaseMm }: { cgHeightMm?: number; wheelbaseMm?: number } = {},
): number {
  if (!(friction > 0 && drivenAxleKg > 0)) throw new RangeError('Friction and load are above nothing.');
  const g = 9.80665;
  const still = friction * drivenAxleKg * g;
  if (driven === 'all' || cgHeightMm === undefined || wheelbaseMm === undefined) return still;
  const share = (friction * cgHeightMm) / wheelbaseMm;
  if (driven === 'rear' && share >= 1) throw new RangeError('So high a car would tip over before its wheels spin.');
  return still / (driven === 'rear' ? 1 - share : 1 + share);
}
