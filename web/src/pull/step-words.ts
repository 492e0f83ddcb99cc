import { holdWords, shortTitleOf, titleOf } from '@bay/core/plan';
import { everyState } from '@bay/core/pull';
import type { StepState } from '@bay/core/pull';
import { dueWords } from '../ui/index.ts';

export const statusWords: Record<StepState['status'], string> = {
  done: 'Done',
  waived: 'Not needed',
  'on-it': 'On it',
  free: 'Ready',
  held: 'Held',
  unmet: 'Unmet',
  'other-way': 'Another way',
};

export const statusSigns: Record<StepState['status'], string> = {
  done: '✓',
  waived: '–',
  'on-it': '›',
  free: '',
  held: '',
  unmet: '!',
  'other-way': '',
};

/** What usually gives a state: the steps that do, and what else does. */
const givers = (id: string): string => {
  const state = everyState.find((s) => s.id === id);
  return [...(state?.givenBy ?? []).map(shortTitleOf), ...(state?.givenWords ? [state.givenWords] : [])].join(', ');
};

/** What holds a step, in one line. */
export function heldWords(state: StepState): string {
  const after = state.heldBy.slice(0, 3).map(shortTitleOf);
  const more = state.heldBy.length > 3 ? ` and ${state.heldBy.length - 3} more` : '';
  const ended = state.ended.map((e) => `needs "${titleOf(e.state)}", ended by ${shortTitleOf(e.by)}`);
  const waits = state.waits.map((w) => `waits for ${w.waitsFor}${w.due ? `, due ${dueWords(w.due)}` : ''}`);
  return [...waits, after.length > 0 ? `after ${after.join('; ')}${more}` : '', ...ended].filter(Boolean).join('. ');
}

/** What nothing of this plan brings about, and what would. */
export const unmetWords = (state: StepState): string[] =>
  state.unmet.map((u) => {
    const facts = u.needs.length > 0 ? ` Or say what is so: ${u.needs.map(titleOf).join(', ')}.` : '';
    return `Needs "${titleOf(u.state)}", and nothing brings it about. Usual: ${givers(u.state)}.${facts}`;
  });

export const minutesWords = (minutes: readonly number[] | undefined): string =>
  minutes ? `${minutes[0]} to ${minutes.at(-1)} min` : '';

/** What stands against calling it done, one clause each. */
export const againstDone = (state: StepState): string[] => holdWords(state, true);
