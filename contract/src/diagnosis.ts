import { z } from 'zod';
import { engineStates } from '@bay/core/diagnosis';
import { kind, text } from './kind.ts';

export const diagnosisKinds = {
  case: kind<'case'>(
    z.object({
      symptom: text(200).min(3, 'Say what it does.'),
      state: z.enum(engineStates).optional(),
      touched: z.array(text(40)).max(20),
      closed: z.object({ faultId: text(60), reason: text(500).min(3, 'Say what was found.') }).optional(),
    }),
    { acts: ['closed'], signed: 'once' },
  ),
  observation: kind<'observation'>(
    z.object({
      caseId: z.uuid(),
      observationId: text(60),
      outcome: text(60),
      reading: text(60).optional(),
      also: text(60).optional(),
      withdrawn: z.boolean().optional(),
    }),
  ),
};
