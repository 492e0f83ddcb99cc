import type { CapabilityContent } from '../rules/content.ts';
import { durations, timeFactors, twoPersonSteps, waits } from './data/time.ts';

export const clockContent: CapabilityContent = { capability: 'clock', definitions: [...durations, ...timeFactors, ...twoPersonSteps, ...waits] };
