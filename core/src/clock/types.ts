import type { StationId } from '../jobs/stations.ts';
import type { Condition } from '../rules/condition.ts';

/** Low, likely and high: ordinary good and bad luck, not the worst that was ever seen. */
export type Range = readonly [low: number, likely: number, high: number];

/** What kind of work a task is, as far as a cause makes more or less of it. */
export type WorkSort =
  | 'removal'
  | 'exhaust'
  | 'chassis'
  | 'under-car'
  | 'prep'
  | 'fit'
  | 'connect'
  | 'service'
  | 'wiring'
  | 'start'
  | 'office';

/** Tasks of which one is done: while nobody knows which, they count as one. */
export type EitherOr = 'unit-out' | 'mounts' | 'gearbox-crossmember' | 'joining' | 'unit-in' | 'headers' | 'loom';

export interface TaskDef {
  id: string;
  title: string;
  station: StationId;
  /** Hours of one person at it, once. */
  hours: Range;
  /** People at it: at least, and where it is better so, at the most. */
  people: readonly [number, number];
  needs: readonly string[];
  skill: string;
  sorts: readonly WorkSort[];
  when: Condition;
  /** How many times it is done; once where nothing is said. */
  times?: number;
  /** So many times only, once this is certain. */
  fewer?: { when: Condition; times: number };
  either?: EitherOr;
  /** Only where a donor car is on the job. */
  donor?: true;
  /** Nothing asks for it by itself: it may be added. */
  offered?: true;
  leftOut: string;
}

export interface WaitDef {
  id: string;
  title: string;
  range: Range;
  unit: 'min' | 'h' | 'd' | 'wd';
  when: Condition;
  shorten: string;
}

/** A common cause that makes more or less of every task it touches, so that they move together. */
export interface FactorDef {
  id: string;
  title: string;
  by: readonly [number, number];
  /** What it touches; everything where it says all. */
  touches: readonly WorkSort[] | 'all';
  when: Condition;
  /** Hours besides, once. */
  learn?: Range;
}
