/** Engine geometry, tests and power. */

/** Swept volume, cm³; bore and stroke in mm. Geometry. */
export const displacementCm3 = (boreMm: number, strokeMm: number, cylinders: number): number =>
  ((Math.PI / 4) * boreMm ** 2 * strokeMm * cylinders) / 1000;

/** Compression ratio; volumes of one cylinder in cm³: swept, chamber, gasket, deck (positive below deck), dish (negative for a dome). */
export function compressionRatio(v: {
  sweptCm3: number;
  chamberCm3: number;
  gasketCm3: number;
  deckCm3: number;
  dishCm3: number;
}): number {
  const clearance = v.chamberCm3 + v.gasketCm3 + v.deckCm3 + v.dishCm3;
  if (!(clearance > 0)) throw new RangeError('The volume above the piston must be above zero.');
  return (v.sweptCm3 + clearance) / clearance;
}

/** Volume of a disc (gasket, deck), cm³; bore and height in mm. */
export const discCm3 = (boreMm: number, heightMm: number): number => ((Math.PI / 4) * boreMm ** 2 * heightMm) / 1000;

/**
 * Top dead centre from two positive-stop readings on a degree wheel, one each way of turning, degrees, between −180 and 180.
 * Geometry: the middle of the shorter way between them, also where the wheel passes zero there. Refuses readings half a turn
 * apart, which have two middles.
 */
export function topDeadCentreDeg(stopOneDeg: number, stopTwoDeg: number): number {
  const wrapped = (deg: number): number => ((((deg + 180) % 360) + 360) % 360) - 180;
  const apart = wrapped(stopTwoDeg - stopOneDeg);
  if (Math.abs(Math.abs(apart) - 180) < 1e-9)
    throw new RangeError('The two stops lie half a turn apart: which side is top cannot be told. Use a longer stop.');
  return wrapped(stopOneDeg + apart / 2);
}

/** Smallest ring end gap for street use, mm: 0.004 in per inch of bore. Common practice, the ring maker first. */
export const ringGapMm = (boreMm: number): number => 0.004 * boreMm;

/** Bearing clearance wanted, mm: 0.001 in per inch of journal plus 0.0005 in. Common practice, the maker first. */
export const bearingClearanceMm = (journalMm: number): number => 0.001 * journalMm + 0.0127;

export interface CylinderVerdict {
  word: 'even' | 'uneven';
  lowestOfHighest: number;
  lowest: number;
}

/** Compression readings of all cylinders, any one unit: the lowest at least 75 % of the highest. Common practice. */
export function judgeCompression(readings: readonly number[]): CylinderVerdict {
  if (readings.length < 2 || readings.some((r) => !(r >= 0)))
    throw new RangeError('Two readings or more, none below zero.');
  const highest = Math.max(...readings);
  if (highest === 0) return { word: 'uneven', lowestOfHighest: 0, lowest: 0 };
  const share = Math.min(...readings) / highest;
  return {
    word: share >= 0.75 ? 'even' : 'uneven',
    lowestOfHighest: share,
    lowest: readings.indexOf(Math.min(...readings)),
  };
}

/** Leak-down of one cylinder, %: under 10 good, up to 20 watch, above look further. Common practice. */
export const judgeLeakDown = (percent: number): 'good' | 'watch' | 'look further' =>
  percent < 10 ? 'good' : percent <= 20 ? 'watch' : 'look further';

/** Least oil pressure hot, bar: about 10 psi for each 1000 rpm. Common practice, the maker first. */
export const leastOilPressureBar = (rpm: number): number => (0.68947573 * rpm) / 1000;

/** Power correction factor to 990 hPa dry and 25 °C. Source: SAE J1349, from memory. Dry pressure in hPa, air in °C. */
export function powerCorrection(dryPressureHpa: number, airC: number): number {
  if (!(dryPressureHpa > 500)) throw new RangeError('A dry pressure above 500 hPa is wanted.');
  return 1.18 * (990 / dryPressureHpa) * Math.sqrt((airC + 273) / 298) - 0.18;
}

/** Power from the speed through a quarter mile, hp; mass in lb with driver, speed in mph. Common practice, memory. */
export const powerFromTrapHp = (massLb: number, trapMph: number): number => massLb * (trapMph / 234) ** 3;
