import type { CapabilityContent } from '../rules/content.ts';
import { harvestParts, labelRules } from './data/harvest.ts';
import { donorMoneyRules } from './data/money.ts';
import { harvestConditions } from './harvest.ts';
import { kitOfTake } from './wanted.ts';

export const donorsContent: CapabilityContent = {
  capability: 'donors',
  definitions: [...harvestParts, ...labelRules, ...donorMoneyRules],
  more: [harvestConditions, kitOfTake],
};
