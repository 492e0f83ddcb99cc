/** Open belts over two pulleys, and slings. */

/** Length of an open belt over two pulleys, mm. Geometry. Refuses centres that let the pulleys touch. */
export function openBeltMm(largeMm: number, smallMm: number, centresMm: number): number {
  if (!(smallMm > 0) || centresMm <= (largeMm + smallMm) / 2)
    throw new RangeError('The centres must keep the pulleys apart.');
  const lean = Math.asin(Math.abs(largeMm - smallMm) / (2 * centresMm));
  return 2 * centresMm * Math.cos(lean) + (Math.PI * (largeMm + smallMm)) / 2 + lean * Math.abs(largeMm - smallMm);
}

/** Wrap on the smaller of two pulleys, degrees. Geometry. */
export const smallWrapDeg = (largeMm: number, smallMm: number, centresMm: number): number =>
  180 - (360 / Math.PI) * Math.asin(Math.abs(largeMm - smallMm) / (2 * centresMm));

/** Load factor of a sling leg by its angle from level, degrees. Source: ASME B30.9, geometry. Below 30° is refused. */
export function slingLoadFactor(angleFromLevelDeg: number): number {
  if (!(angleFromLevelDeg >= 30 && angleFromLevelDeg <= 90))
    throw new RangeError(
      'A leg flatter than 30° from level is refused: the load in it grows past twice its share. Use longer legs.',
    );
  return 1 / Math.sin((angleFromLevelDeg * Math.PI) / 180);
}

/** Load in each leg, kg; legs share evenly only when the hook stands over the centre of gravity. At most two legs of more are counted (common practice). */
export const slingLegKg = (loadKg: number, legs: number, angleFromLevelDeg: number): number =>
  (loadKg / Math.min(legs, 2)) * slingLoadFactor(angleFromLevelDeg);
