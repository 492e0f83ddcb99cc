import { areaOfGauge } from '../units/index.ts';

/** Resistivity of annealed copper at 20 °C, Ω·mm²/m. Source: IEC 60028. */
export const copperOhmMm2PerM = 0.017241;

/** Wire sizes sold, mm², with the largest fuse that protects each, A (bundled, warm bay; common practice, the cable maker's table first). */
export const wireSizes: readonly { areaMm2: number; fuseA: number }[] = [
  [0.5, 5],
  [0.75, 7.5],
  [1, 10],
  [1.5, 15],
  [2.5, 20],
  [4, 30],
  [6, 40],
  [10, 60],
  [16, 80],
  [25, 125],
  [35, 175],
  [50, 225],
  [70, 300],
].map(([areaMm2, fuseA]) => ({ areaMm2: areaMm2!, fuseA: fuseA! }));

/** Fuses sold, A. */
export const fuseSteps = [
  3, 5, 7.5, 10, 15, 20, 25, 30, 40, 50, 60, 80, 100, 125, 150, 175, 200, 225, 250, 300,
] as const;

/** Resistance of copper per length at 20 °C, Ω/km, by wire gauge. Source: ASTM B258 and IEC 60028. */
export const gaugeOhmPerKm = (gauge: number): number => (copperOhmMm2PerM / (areaOfGauge(gauge) * 1e6)) * 1000;

/**
 * Volts lost over feed and return of equal size, or over one of them; length of one way in m. The factor 1.24 stands for a warm
 * bundle at 80 °C.
 */
export function voltageDrop(
  currentA: number,
  oneWayM: number,
  areaMm2: number,
  { warm = true, ways = 2 } = {},
): number {
  if (!(areaMm2 > 0)) throw new RangeError('The wire has an area above zero.');
  return ((ways * currentA * oneWayM * copperOhmMm2PerM) / areaMm2) * (warm ? 1.24 : 1);
}

/** Volts a kind of load may lose on its way. Common practice. */
export const dropLimits = {
  'sensor earth': 0.05,
  'engine unit': 0.2,
  'pump or fan': 0.5,
  lamps: 0.5,
  'alternator to battery': 0.3,
  'starter feed': 0.5,
  'starter earth': 0.2,
} as const;
export type LoadKind = keyof typeof dropLimits;

/** Limits that stand for one conductor; the others for feed and return together. Common practice. */
export const oneWayLoads: ReadonlySet<LoadKind> = new Set([
  'sensor earth',
  'alternator to battery',
  'starter feed',
  'starter earth',
]);

export interface WireChoice {
  areaMm2: number;
  fuseA: number;
  dropV: number;
  limitV: number;
  /** Counted over the one conductor, or over feed and return. */
  ways: 1 | 2;
  /** What made it this thick. */
  decidedBy: 'voltage drop' | 'fuse';
}

/**
 * The thinnest wire that keeps the drop and that its fuse protects. The fuse is the next one sold over current / 0.8
 * (steady load at most 80 % of the fuse, common practice). Refuses currents that no listed wire carries.
 */
export function chooseWire(
  currentA: number,
  oneWayM: number,
  load: LoadKind,
  ways: 1 | 2 = oneWayLoads.has(load) ? 1 : 2,
): WireChoice {
  if (!(currentA > 0) || !(oneWayM > 0)) throw new RangeError('Current and length are above zero.');
  const fuseA = fuseSteps.find((f) => f * 0.8 >= currentA);
  if (fuseA === undefined)
    throw new RangeError(`${currentA} A is more than the fuses listed here carry; size it by the maker's table.`);
  const limitV = dropLimits[load];
  const byFuse = wireSizes.find((w) => w.fuseA >= fuseA);
  const byDrop = wireSizes.find((w) => voltageDrop(currentA, oneWayM, w.areaMm2, { ways }) <= limitV);
  if (!byFuse || !byDrop)
    throw new RangeError(`No listed wire carries ${currentA} A over ${oneWayM} m within ${limitV} V.`);
  const areaMm2 = Math.max(byFuse.areaMm2, byDrop.areaMm2);
  return {
    areaMm2,
    fuseA,
    dropV: voltageDrop(currentA, oneWayM, areaMm2, { ways }),
    limitV,
    ways,
    decidedBy: byDrop.areaMm2 > byFuse.areaMm2 ? 'voltage drop' : 'fuse',
  };
}
