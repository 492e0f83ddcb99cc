import type { StepState } from '../pull/step-states.ts';
import type { TaskRecord } from '../pull/records.ts';
import type { StationId } from './stations.ts';

/** One step of a job, of whatever station, as lists of work show it. */
export interface WorkStep {
  /** Key of its task record. */
  key: string;
  title: string;
  station: StationId;
  status: StepState['status'];
  /** Least and most minutes; an estimate. */
  minutes?: readonly number[];
  caution?: string;
  thenWait?: string;
  /** Titles of what must come first. */
  heldBy: readonly string[];
  /** What it waits for to arrive or be done. */
  waits?: readonly string[];
  /** What it needs and nothing brings about. */
  unmet?: readonly string[];
  record?: TaskRecord;
}
