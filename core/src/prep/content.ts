import type { CapabilityContent } from '../rules/content.ts';
import { orderSteps } from '../rules/order.ts';
import { buildSteps } from './data/build-up.ts';
import { fates, findings, knockOnChains, variantFeatures, whileOut } from './data/inspection.ts';
import { measurementDefs } from './data/measurements.ts';
import { sisterParts } from './data/sister.ts';
import { sheetDefs } from './sheets.ts';

function rings(): string[] {
  const steps = buildSteps.map((s) => ({ id: s.id, rank: 0, after: s.after, before: [], needs: [] }));
  return orderSteps(steps, []).contradictions.map((c) => `build-up turns in a ring: ${c.steps.join(', ')}`);
}

export const prepContent: CapabilityContent = {
  capability: 'prep',
  definitions: [
    ...buildSteps,
    ...fates,
    ...findings,
    ...knockOnChains,
    ...variantFeatures,
    ...whileOut,
    ...measurementDefs,
    ...sisterParts,
  ],
  more: [sheetDefs],
  faults: rings,
};
