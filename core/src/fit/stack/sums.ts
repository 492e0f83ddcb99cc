import type { FitEvidence } from '../evidence.ts';
import type { Sum } from '../../rules/sum.ts';

/**
 * What lies between block and gearbox, as sums in mm along the crank, from the bell face of the engine towards the gearbox: the one
 * place that knows what a plate or a spacer moves.
 */

const same = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/**
 * Thickness of the plate between block and bell; nothing where there is none. Two patterns that differ cannot be joined without one, so
 * then its thickness is wanted.
 */
export function plateOf(e: FitEvidence): Sum | undefined {
  const thick = e.maybe('cho-stack', 'adapter-plate');
  if (thick) return thick;
  const engine = e.maybeWord('eng-bell-pattern');
  const gearbox = e.maybeWord('gbx-bell-pattern');
  if (engine && gearbox && !same(engine, gearbox)) return e.fact('cho-stack', 'adapter-plate');
  return undefined;
}

/** Two rubbings of bell patterns that are called alike. */
export const samePattern = same;

/** Something of the gearbox, counted back from its own bell face, as counted from that of the engine. */
export function behindPlate(e: FitEvidence, back: Sum): Sum {
  const plate = plateOf(e);
  return plate ? back.plus(plate) : back;
}

/** Chain and reading may differ by so much before one of them is wrong, mm: a depth gauge over a casting. Common practice, no source. */
export const chainApartMm = 0.5;

export interface Face {
  /** Where pads or friction face stand, out of the bell face towards the gearbox. */
  face: Sum;
  /** Read less added up, where both are known. */
  apart?: Sum;
}

/** Pads of the flexplate or friction face of the flywheel: as read, else added up from flange, spacer and plate. */
export function faceOf(e: FitEvidence): Face | undefined {
  const read = e.maybe('eng-flywheel', 'pad-depth-behind-bell-face');
  const offset = e.maybe('eng-flywheel', 'face-from-crank-flange');
  const setBack = e.maybe('eng-crank-flange', 'depth-behind-bell-face');
  const spacer = e.maybe('cho-stack', 'crank-spacer');
  const bare = offset && setBack && offset.minus(setBack);
  const chain = bare && (spacer ? bare.plus(spacer) : bare);
  if (read) return { face: read, ...(chain ? { apart: read.minus(chain) } : {}) };
  if (!bare) return undefined;
  return { face: spacer ? bare.plus(spacer) : bare.plus(noSpacer(e)) };
}

/** Nobody wrote whether a spacer sits on the crank: none is counted, and the sum says that this is taken. */
const noSpacer = (e: FitEvidence): Sum => e.assume('Spacer between crank and plate', 0, 'mm', 'none was written');

/** How far a converter is drawn forward to its plate: what is left between its pads, pushed home, and those of the plate. */
export function converterDraw(e: FitEvidence, { face }: Face): Sum {
  const home = behindPlate(e, e.fact('gbx-converter-seat', 'pads-behind-bell-face-when-home')).minus(face);
  const spacers = e.maybe('cho-stack', 'pad-spacer');
  return spacers ? home.minus(spacers) : home;
}

/** How far the tip of the input shaft reaches into the crank flange. */
export function tipIntoCrank(e: FitEvidence): Sum {
  const plate = plateOf(e);
  const reach = e.fact('gbx-input-shaft', 'reach-ahead-of-bell-face');
  return (plate ? reach.minus(plate) : reach).minus(e.fact('eng-crank-flange', 'depth-behind-bell-face'));
}

/** How far a converter is drawn forward: goes on, and at the most with washers, mm. Common practice, no source; the maker first. */
export const drawBands = { boltsUp: [3, 5], adapt: [1.5, 12] } as const;

/** Room between a bearing pushed home and the fingers, mm: they come back as the disc wears. Common practice, no source; the maker first. */
export const releaseBands = { boltsUp: [3, 6], adapt: [0, Infinity] } as const;

export interface Release {
  /** From the bearing, pushed home, to the fingers of the clutch. */
  gap: Sum;
  /** Travel left once the disc is free; nothing where travel is not known. */
  left?: Sum;
}

/** Release bearing against the fingers of the clutch; nothing while one of the places is not known. */
export function releaseOf(e: FitEvidence): Release | undefined {
  const face = faceOf(e);
  const fingers = e.maybe('gbx-clutch-set', 'finger-height');
  const bearing = e.maybe('gbx-clutch-set', 'bearing-behind-bell-face');
  if (!face || !fingers || !bearing) return undefined;
  const gap = behindPlate(e, bearing).minus(face.face).minus(fingers);
  const travel = e.maybe('gbx-clutch-set', 'bearing-travel');
  const frees = e.maybe('gbx-clutch-set', 'release-travel');
  return { gap, ...(travel && frees ? { left: travel.minus(gap).minus(frees) } : {}) };
}
