/** Drilled, cut and shortened to fit. */

/** Clearance holes for metric bolts, medium series, mm. Source: ISO 273, from memory; 6 mm to 6.6 is a fact of the trade. */
const mediumHoles: Readonly<Record<number, number>> = {
  3: 3.4,
  4: 4.5,
  5: 5.5,
  6: 6.6,
  8: 9,
  10: 11,
  12: 13.5,
  14: 15.5,
  16: 17.5,
  18: 20,
  20: 22,
};

/** Drill for cutting a metric thread, mm: diameter less pitch (common practice, some 80 % of the full thread). Refuses a pitch as large as the diameter. */
export function tapDrillMm(diameterMm: number, pitchMm: number): number {
  if (!(pitchMm > 0) || pitchMm >= diameterMm)
    throw new RangeError('A pitch is above nothing and less than the diameter.');
  return diameterMm - pitchMm;
}

/** Clearance hole for a metric bolt, mm, medium series; nothing for a size that the table does not have. */
export const clearanceHoleMm = (diameterMm: number): number | undefined => mediumHoles[diameterMm];

/** A pipe that is cut to fit between two flanges, mm. */
export interface PipeCut {
  /** What comes off; below nothing the pipe is too short. */
  cutMm: number;
  /** How far the two faces lean to one another over their width, degrees. */
  leanDeg: number;
}

/** Faces that lean more than this are set straight before anything is cut, degrees. Common practice, no source. */
export const mostLeanDeg = 0.5;

/**
 * What comes off a pipe: its length less what is wanted between the faces, the gap for the weld taken off. The gap at either side of the
 * faces tells how they lean. Geometry; faces within half a degree common practice. Refuses faces that lean more.
 */
export function pipeCut(pipe: {
  lengthMm: number;
  gapOneSideMm: number;
  gapOtherSideMm: number;
  faceMm: number;
  weldGapMm: number;
}): PipeCut {
  const { lengthMm, gapOneSideMm, gapOtherSideMm, faceMm, weldGapMm } = pipe;
  if (!(faceMm > 0)) throw new RangeError('A face is wider than nothing.');
  const leanDeg = (Math.atan(Math.abs(gapOneSideMm - gapOtherSideMm) / faceMm) * 180) / Math.PI;
  if (leanDeg > mostLeanDeg)
    throw new RangeError(
      `The faces lean by ${leanDeg.toFixed(1)}°: set them parallel within ${mostLeanDeg}°, then cut. What is cut crooked is not cut again.`,
    );
  return { cutMm: lengthMm - ((gapOneSideMm + gapOtherSideMm) / 2 - weldGapMm), leanDeg };
}

/**
 * Where a stud is cut, mm from its shoulder: through what it holds, a washer and a nut, and a thread and a half beyond. Common practice,
 * no source. `coverMm` is the room over the shoulder before it meets a cover; what is left of it may be below nothing.
 */
export function studLength(stud: {
  clampedMm: number;
  washerMm: number;
  nutMm: number;
  pitchMm: number;
  coverMm: number;
}): {
  lengthMm: number;
  leftMm: number;
} {
  const { clampedMm, washerMm, nutMm, pitchMm, coverMm } = stud;
  const lengthMm = clampedMm + washerMm + nutMm + 1.5 * pitchMm;
  return { lengthMm, leftMm: coverMm - lengthMm };
}

/** A sleeve or wrap over a line near something hot. */
export interface SleevePiece {
  lengthMm: number;
  boreMm: number;
  /** Left to what is hot once it is on. */
  leftMm: number;
}

/**
 * A sleeve over a line: as long as what lies near the heat and its overlap at both ends, as wide as the line and its joints, and what is
 * left of the gap once each layer is on. Geometry. Refuses a line or a layer of nothing.
 */
export function sleevePiece(line: {
  nearMm: number;
  overlapMm: number;
  outsideMm: number;
  layerMm: number;
  layers: number;
  gapMm: number;
}): SleevePiece {
  const { nearMm, overlapMm, outsideMm, layerMm, layers, gapMm } = line;
  if (!(outsideMm > 0) || !(layerMm > 0) || layers < 1) throw new RangeError('A line and a layer have a thickness.');
  return {
    lengthMm: nearMm + 2 * overlapMm,
    // The outer layer goes over those below it.
    boreMm: outsideMm + 2 * layerMm * (layers - 1),
    leftMm: gapMm - layerMm * layers,
  };
}
