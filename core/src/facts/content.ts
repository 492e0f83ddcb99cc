import type { CapabilityContent } from '../rules/content.ts';
import { units } from '../units/index.ts';
import { factCatalogue } from './catalogue.ts';

const unknownUnits = (): string[] =>
  factCatalogue.flatMap((fact) =>
    fact.parts
      .filter((p) => p.unit !== undefined && !units.some((u) => u.symbol === p.unit))
      .map((p) => `${fact.id} uses the unknown unit "${p.unit}"`),
  );

export const factsContent: CapabilityContent = {
  capability: 'facts',
  definitions: factCatalogue,
  faults: unknownUnits,
};
