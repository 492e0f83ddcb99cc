import type { CapabilityContent } from '../rules/content.ts';
import { earths, ioSignals, labelColumns, usualCircuits } from './data/circuits.ts';
import { benchTests, fillSteps, heatMeans, practiceRules } from './data/practice.ts';

export const systemsContent: CapabilityContent = {
  capability: 'systems',
  definitions: [...usualCircuits, ...earths, ...ioSignals, ...labelColumns, ...benchTests, ...fillSteps, ...heatMeans, ...practiceRules],
};
