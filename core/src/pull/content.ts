import type { CapabilityContent } from '../rules/content.ts';
import { entryWays, goingInSteps } from './data/going-in.ts';
import { everyState } from './states.ts';
import { wayChoices } from './data/ways.ts';
import { pullSteps } from './data/steps.ts';

export const pullContent: CapabilityContent = {
  capability: 'pull',
  definitions: [...pullSteps, ...goingInSteps, ...everyState, ...wayChoices, ...entryWays],
};
