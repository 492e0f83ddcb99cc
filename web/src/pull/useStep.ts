import { useState } from 'react';
import { harmNear } from '@bay/core/pull';
import type { StepLine, StepPlan, StepState, TaskRecord } from '@bay/core/pull';
import { usePut } from '../sheet/index.ts';
import { againstDone } from './step-words.ts';
import type { Question, Write } from './StepAsk.tsx';

/** One step of a list with its record. */
export interface Placed {
  line: StepLine;
  state: StepState;
  record: TaskRecord | undefined;
  recordKey: string;
  pull: StepPlan;
  /** Least and most, with what was found to come on top. */
  minutes: readonly number[] | undefined;
}

/** What can be done with a step, and what is asked before it. */
export interface StepActs {
  write: Write;
  start: () => void;
  /** Done; asks first where the step is held or the next move can hurt. */
  finish: () => void;
  undo: () => void;
  ask: (what: Question | undefined) => void;
  asking: Question | undefined;
  against: readonly string[];
  harm: boolean;
  mayStart: boolean;
  mayFinish: boolean;
  mayUndo: boolean;
  put: ReturnType<typeof usePut>;
}

export function useStep({ line, state, recordKey, pull, record }: Placed): StepActs {
  const put = usePut();
  const [asking, ask] = useState<Question>();
  const write: Write = (status, extra = {}) =>
    put.mutate({ kind: 'task', key: recordKey, data: { status, ...extra } }, { onSuccess: () => ask(undefined) });
  const against = againstDone(state);
  const { status } = state;
  const count = record?.count;
  return {
    write,
    start: () => write('on-it'),
    finish: () =>
      against.length > 0
        ? ask('anyway')
        : line.def.harm
          ? ask('danger')
          : line.def.wantsFound
            ? ask('found')
            : write('done'),
    undo: () => write('open'),
    ask,
    asking,
    against,
    harm: harmNear(pull, line.def.id, state),
    mayStart: status === 'free' || (status === 'other-way' && against.length === 0),
    mayFinish: ['free', 'on-it', 'held', 'unmet'].includes(status) && !(count && count.done < count.of),
    mayUndo: status === 'done' || status === 'waived',
    put,
  };
}
