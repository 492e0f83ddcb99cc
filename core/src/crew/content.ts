import type { CapabilityContent } from '../rules/content.ts';
import { twoPersonSteps } from './data/two-people.ts';

export const crewContent: CapabilityContent = { capability: 'crew', definitions: twoPersonSteps };
