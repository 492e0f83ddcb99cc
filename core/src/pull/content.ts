import type { CapabilityContent } from '../rules/content.ts';
import { workStates } from './data/states.ts';
import { wayChoices } from './data/ways.ts';
import { pullSteps } from './data/steps.ts';

export const pullContent: CapabilityContent = {
  capability: 'pull',
  definitions: [...pullSteps, ...workStates, ...wayChoices],
};
