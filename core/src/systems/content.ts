import type { CapabilityContent } from '../rules/content.ts';
import { earths, labelColumns, usualCircuits } from './data/circuits.ts';
import { ioSignals } from './data/signals.ts';
import { benchTests } from './data/bench-tests.ts';
import { fillSteps, heatMeans, practiceRules } from './data/practice.ts';

export const systemsContent: CapabilityContent = {
  capability: 'systems',
  definitions: [
    ...usualCircuits,
    ...earths,
    ...ioSignals,
    ...labelColumns,
    ...benchTests,
    ...fillSteps,
    ...heatMeans,
    ...practiceRules,
  ],
};
