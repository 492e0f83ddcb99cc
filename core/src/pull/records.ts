import type { Stamp } from '../rules/stamp.ts';

export const taskStatuses = ['open', 'on-it', 'done', 'waived'] as const;
export type TaskStatus = (typeof taskStatuses)[number];

export interface TaskRecord extends Stamp {
  status: TaskStatus;
  note?: string | undefined;
  /** Who is to take it on, and their name today. */
  handedToId?: string | undefined;
  handedTo?: string | undefined;
}

export interface PullRecords {
  task: TaskRecord;
}
