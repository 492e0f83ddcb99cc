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

export interface PullRecords {
  task: TaskRecord;
}
