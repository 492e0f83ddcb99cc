import type { CapabilityContent } from '../rules/content.ts';
import { gateLines } from './data/gates.ts';
import { provisionalSources } from './data/provisional.ts';
import { followUpDefs, heatCycles, primingWays, roadTest, startSequence, warmUpWatch } from './data/start.ts';

export const commissioningContent: CapabilityContent = {
  capability: 'commissioning',
  definitions: [
    ...gateLines,
    ...provisionalSources,
    ...followUpDefs,
    ...heatCycles,
    ...primingWays,
    ...roadTest,
    ...startSequence,
    ...warmUpWatch,
  ],
};
