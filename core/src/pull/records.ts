import type { Act, Stamp } from '../rules/stamp.ts';

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
  /** As people wrote it, by field. */
  typed: Record<string, string>;
}

export interface PullRecords {
  task: TaskRecord;
  rig: RigRecord;
}
