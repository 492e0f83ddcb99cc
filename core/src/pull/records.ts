import type { Act, Stamp } from '../rules/stamp.ts';
import type { GearSort } from '../sums/index.ts';

export const taskStatuses = ['open', 'on-it', 'done', 'waived'] as const;
export type TaskStatus = (typeof taskStatuses)[number];

/** How many of a group of fasteners are out, or in. */
export interface FastenerCount {
  done: number;
  of: number;
}

export interface TaskRecord extends Stamp {
  status: TaskStatus;
  count?: FastenerCount | undefined;
  note?: string | undefined;
  /** Who is to take it on, and their name today. */
  handedToId?: string | undefined;
  handedTo?: string | undefined;
  /** A step called not needed, that gives a state others need: what gives it instead. Without it the state is not there. */
  instead?: string | undefined;
  /** Done although it was held: why, and (kept by the server) what stood against it and whether harm was near. */
  deviation?: Act<{ why: string; stoodOn?: { against: readonly string[]; harm: boolean } | undefined }> | undefined;
  /** The second person's own signature under a deviation or a claim. */
  second?: Act | undefined;
}

/** Which way a unit is lifted: the car's own engine out, or the other one in. */
export const lifts = ['out', 'in'] as const;

/** Where slings hold a unit and where the hook stands, in the datum of the engine: mm ahead of the bell face, above the crank. */
export interface RigRecord extends Stamp {
  /** The engine they were written for: on another one they say nothing. */
  unitId?: string | undefined;
  frontX: number;
  frontZ: number;
  rearX: number;
  rearZ: number;
  /** Hook above the higher of the two eyes, mm. */
  hookAbove: number;
  /** Hook ahead of the bell face, mm; left out, the leveller holds it over the centre of gravity. */
  hookX?: number | undefined;
  /** The least rating among sling, shackle, leveller and bolt, kg. */
  leastRatingKg?: number | undefined;
  /** How it is to hang, tail down, degrees: the hook is reckoned from it where its place is left out. */
  tailDownDeg?: number | undefined;
  /** As people wrote it, by field. */
  typed: Record<string, string>;
}

export const massKnown = ['weighed', 'looked-up', 'estimated'] as const;
export type MassKnown = (typeof massKnown)[number];
export const gearPlaces = ['hook', 'front', 'rear'] as const;

export interface PlateRow {
  reachMm: number;
  kg: number;
}

/** A thing of a lift, in the datum of the engine where it has a place. */
export type LiftItem =
  /** Left on the unit, or in it: it counts with its mass at its place. */
  | { sort: 'hangs'; what: string; massKg: number; x: number; z: number; known: MassKnown }
  /** One element of the gear, with the rating on its plate, kg. */
  | { sort: 'carries'; what: string; gear: GearSort; on: (typeof gearPlaces)[number]; ratingKg: number }
  /** The plate of a crane or hoist, hole by hole: what it carries at each reach; and the reach it is used at, mm and kg. */
  | { sort: 'crane'; what: string; plate: readonly PlateRow[]; reachMm: number }
  /** So much rise is wanted to clear it, and so much is there, mm. */
  | { sort: 'clears'; what: string; needMm: number; hasMm: number }
  /** Front and rear supports of the car, and where what leaves balances, mm behind the front axle. */
  | { sort: 'stands'; frontMm: number; rearMm: number; leavesMm: number };

export interface LiftItemRecord extends Stamp {
  lift: (typeof lifts)[number];
  /** The engine it was written for: on another one it says nothing. */
  unitId?: string | undefined;
  item: LiftItem;
  removed?: true | undefined;
}

export const snagSorts = ['stuck', 'broken', 'missing', 'other'] as const;
export type SnagSort = (typeof snagSorts)[number];
export const snagSortWords: Readonly<Record<SnagSort, string>> = {
  stuck: 'Will not move',
  broken: 'Broke, or was broken',
  missing: 'Is not there',
  other: 'Is not as the plan has it',
};
export const snagWays = ['soak', 'heat', 'cut', 'drill'] as const;
export type SnagWay = (typeof snagWays)[number];
export const snagWayWords: Readonly<Record<SnagWay, string>> = {
  soak: 'Penetrant, and wait',
  heat: 'Heat',
  cut: 'Cut or ground off',
  drill: 'Drilled, thread repaired',
};

/** What was found at a step otherwise than planned, what is done about it, and what that costs. */
export interface SnagRecord extends Stamp {
  /** The step, by the key of its record. */
  step: string;
  sort: SnagSort;
  what: string;
  ways: readonly SnagWay[];
  /** Work besides what the step was to take. */
  extraMinutes?: number | undefined;
  /** How long penetrant soaks before it is tried again, hours from when it was written. */
  soakHours?: number | undefined;
  /** It is behind us: how it came off. */
  ended?: Act<{ how: string }> | undefined;
  /** Written in error. */
  removed?: true | undefined;
}

export interface PullRecords {
  snag: SnagRecord;
  task: TaskRecord;
  rig: RigRecord;
  'lift-item': LiftItemRecord;
}
