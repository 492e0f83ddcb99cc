import { radians } from '../position/pose.ts';
import { outBy, workingAngles } from './line.ts';
import type { LineOfShafts } from './line.ts';

/** What can be turned so that a line of shafts runs well. */
export interface Turns {
  /** Slope of engine and gearbox, degrees, tail down. */
  slopeDeg: number;
  /** A wedge under the axle's seat, degrees: nose of the pinion up. */
  wedgeDeg: number;
  /** Centre bearing up, mm. */
  carrierUpMm: number;
}

export interface Cure {
  by: Turns;
  angles: readonly number[];
}

export interface Room {
  /** From where to where the slope may go; the same twice where the engine stays as it is. */
  slopeDeg: readonly [number, number];
  /** Bell face to output, mm: the slope turns the engine about its bell face. */
  reachMm: number;
}

/** A wedge of more is a new seat, and a bearing is moved so far on its bracket. Common practice, no source. */
export const mostWedgeDeg = 6;
export const mostCarrierMm = 60;

/** The line after something was turned: sloping the engine moves its output as well. */
export function turnedBy(line: LineOfShafts, by: Turns, reachMm: number): LineOfShafts {
  const next = line.outputSlopeDeg + by.slopeDeg;
  const lower = reachMm * (Math.sin(next * radians) - Math.sin(line.outputSlopeDeg * radians));
  const [x, y, z] = line.output;
  const held = line.carrier;
  return {
    output: [x, y, z - lower],
    outputSlopeDeg: next,
    ...(held ? { carrier: [held[0], held[1], held[2] + by.carrierUpMm] } : {}),
    pinion: line.pinion,
    pinionUpDeg: line.pinionUpDeg + by.wedgeDeg,
  };
}

const still: Turns = { slopeDeg: 0, wedgeDeg: 0, carrierUpMm: 0 };

/** Steps from nothing outwards, the smaller change first. */
function steps(from: number, to: number, step: number): number[] {
  const count = Math.round((to - from) / step);
  return Array.from({ length: count + 1 }, (_, i) => from + i * step).sort((a, b) => Math.abs(a) - Math.abs(b));
}

/**
 * The least change of each kind alone that makes every joint run well, and of slope and wedge together where neither does alone. The
 * whole range is tried in steps of 0.1° and 1 mm. Empty where the line is well or nothing of this cures it.
 */
export function cures(line: LineOfShafts, { slopeDeg, reachMm }: Room): Cure[] {
  if (outBy(line) === 0) return [];
  const slopes = steps(
    Math.ceil((slopeDeg[0] - line.outputSlopeDeg) * 10) / 10,
    Math.floor((slopeDeg[1] - line.outputSlopeDeg) * 10) / 10,
    0.1,
  );
  const wedges = steps(-mostWedgeDeg, mostWedgeDeg, 0.1);
  const lifts = line.carrier ? steps(-mostCarrierMm, mostCarrierMm, 1) : [];
  const well = (by: Turns): Cure | undefined => {
    const then = turnedBy(line, by, reachMm);
    // Steps are sums of tenths: what misses by less than a hundredth of a degree is well.
    return outBy(then) < 0.01 ? { by, angles: workingAngles(then) } : undefined;
  };
  const first = (all: readonly Turns[]): Cure[] => {
    for (const by of all) {
      const cure = well(by);
      if (cure) return [cure];
    }
    return [];
  };
  const alone = [
    ...first(slopes.map((by) => ({ ...still, slopeDeg: by }))),
    ...first(wedges.map((by) => ({ ...still, wedgeDeg: by }))),
    ...first(lifts.map((by) => ({ ...still, carrierUpMm: by }))),
  ];
  if (alone.length > 0) return alone;
  const weight = ({ slopeDeg: s, wedgeDeg: w, carrierUpMm: c }: Turns): number =>
    Math.abs(s) + Math.abs(w) + Math.abs(c) / 10;
  const coarse = (all: readonly number[], each: number): number[] =>
    all.filter((n) => Math.abs(n / each - Math.round(n / each)) < 1e-6);
  const both = slopes.flatMap((s) => wedges.map((w): Turns => ({ ...still, slopeDeg: s, wedgeDeg: w })));
  const withLift = coarse(slopes, 0.5).flatMap((s) =>
    coarse(lifts, 5).map((c): Turns => ({ ...still, slopeDeg: s, carrierUpMm: c })),
  );
  return first([...both, ...withLift].sort((a, b) => weight(a) - weight(b)));
}
