import { factDef } from '../facts/index.ts';
import type { CapabilityContent } from '../rules/content.ts';
import { notASchool, schoolQuestions, schoolSides } from './data/schools.ts';
import { schoolEffects } from './effects.ts';

const oddAssumptions = (): string[] =>
  schoolEffects.flatMap(({ id, assumes }) =>
    assumes && !factDef(assumes[0]).parts[0]!.options?.includes(assumes[1])
      ? [`${id} assumes "${assumes[1]}", which is no option of ${assumes[0]}`]
      : [],
  );

export const schoolsContent: CapabilityContent = {
  capability: 'schools',
  definitions: [...schoolQuestions, ...schoolSides, ...notASchool, ...schoolEffects.flatMap((e) => e.addsSteps ?? [])],
  more: [schoolEffects],
  faults: oddAssumptions,
};
