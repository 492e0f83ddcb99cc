import type { MakingRecord, MakingStepRecord } from '../records.ts';
import { makingSteps } from './steps.ts';
import type { MakingStep } from './steps.ts';

/** How far a part is that is being made. */

export interface StepState {
  step: MakingStep;
  record: MakingStepRecord | undefined;
  /** Done, and nothing before it was done anew since. */
  done: boolean;
  /** It was done once, and something before it was undone or done anew since. */
  again: boolean;
}

export interface MakingState {
  key: string;
  making: MakingRecord;
  steps: readonly StepState[];
  /** The step that is next; nothing once all are done. */
  next: StepState | undefined;
}

export const makingStepKey = (making: string, step: string): string => `${making}:${step}`;

/** A part with its steps, each as it stands. */
export function makingState(
  key: string,
  making: MakingRecord,
  records: Readonly<Record<string, MakingStepRecord | undefined>>,
): MakingState {
  let before: string | undefined = '';
  const steps = makingSteps[making.sort].map((step): StepState => {
    const record = records[makingStepKey(key, step.id)];
    const at = record?.at ?? '';
    const done = record !== undefined && !record.voided && before !== undefined && at >= before;
    before = done ? at : undefined;
    return { step, record, done, again: record !== undefined && !done };
  });
  return { key, making, steps, next: steps.find((s) => !s.done) };
}

/** All that is being made on a job, the first first. */
export const makingStates = (
  makings: Readonly<Record<string, MakingRecord>>,
  records: Readonly<Record<string, MakingStepRecord>>,
): MakingState[] =>
  Object.entries(makings)
    .filter(([, m]) => !m.dropped)
    .sort(([, a], [, b]) => (a.at ?? '').localeCompare(b.at ?? ''))
    .map(([key, making]) => makingState(key, making, records));

/** Why a step cannot be written as done now, by field; nothing where it can. `who` is who would do it. */
export function againstStep(
  state: MakingState,
  record: Pick<MakingStepRecord, 'step' | 'said' | 'mm' | 'photo'>,
  who: string | undefined,
): { field?: 'said' | 'mm' | 'photo'; sentence: string } | undefined {
  const { steps } = state;
  const at = steps.findIndex((s) => s.step.id === record.step);
  const found = steps[at];
  if (!found) return { sentence: 'There is no such step.' };
  const open = steps.slice(0, at).find((s) => !s.done);
  if (open) return { sentence: `First: ${open.step.title.toLowerCase()}.` };
  const { said, mm, photo, notBy } = found.step;
  if (said && (record.said ?? '').trim().length < 3) return { field: 'said', sentence: `${said}: write it.` };
  if (mm && record.mm === undefined) return { field: 'mm', sentence: `${mm.label}: read it.` };
  if (mm?.most !== undefined && record.mm! > mm.most)
    return { field: 'mm', sentence: mm.why ?? `At most ${mm.most} mm.` };
  if (photo && !record.photo) return { field: 'photo', sentence: 'A photo shows it: choose one.' };
  const other = notBy === undefined ? undefined : steps.find((s) => s.step.id === notBy)?.record;
  if (other && other.byId === who)
    return { sentence: `${other.by ?? 'Who did that'} welded it: another person looks it over.` };
  return undefined;
}
