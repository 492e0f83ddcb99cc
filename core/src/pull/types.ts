export interface PullStepDef {
  id: string;
  phase: string;
  title: string;
  /** Only at the car's own engine; without it the step serves donors too. */
  role?: string;
  when: string;
  /** A thing nobody types as a fact; the person at the car says whether it is so. */
  onlyIf?: string;
  after: readonly string[];
  before: readonly string[];
  needs: readonly string[];
  needsWords?: string;
  support?: string;
  caution?: string;
  /** Least and most minutes for one practised person: an estimate. */
  minutes: readonly number[];
  thenWait?: string;
}

export interface WorkState {
  id: string;
  title: string;
  atStart: boolean;
  lostBy: readonly string[];
  lostWords: string;
  givenBy: readonly string[];
  givenWords: string;
  proof: string;
}

export const taskStatuses = ['open', 'on-it', 'done', 'waived'] as const;
export type TaskStatus = (typeof taskStatuses)[number];

export interface TaskRecord {
  status: TaskStatus;
  note?: string | undefined;
  /** Name of the person who takes it on. */
  handedTo?: string | undefined;
  by?: string;
  at?: string;
}
