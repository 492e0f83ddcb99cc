import type { TouchedPart } from './touches.ts';

export type { FitWord } from '../rules/condition.ts';
export type { SumRow } from '../rules/sum.ts';
export type { Need, Verdict } from '../rules/verdict.ts';

export interface InterfaceDef {
  id: string;
  group: string;
  title: string;
  /** What an alteration here changes that wants approval. */
  touches?: TouchedPart;
  facts: readonly string[];
  boltsUp: string;
  adapt: string;
  clash: string;
  /** The fact to take first when it is not measured, in words or as an id. */
  takeFirst: string;
  resolutions: readonly string[];
  knockOn: readonly string[];
  kit: readonly string[];
  tasks?: string;
}

export interface Clearance {
  id: string;
  pair: string;
  staticMm: number;
  /** The whole cell where more than one number counts (with shield, for hoses). */
  staticWords?: string;
  /** Added for rock: rubber, polyurethane, solid. */
  rockMm: readonly number[];
  moving: string;
  reason: string;
}
