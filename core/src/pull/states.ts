import { entryStates } from './data/going-in.ts';
import { workStates } from './data/states.ts';
import type { WorkState } from './types.ts';

/** Every state that a step may need, of taking out and of going in. */
export const everyState: readonly WorkState[] = [...workStates, ...entryStates];
