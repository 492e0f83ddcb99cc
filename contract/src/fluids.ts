import { z } from 'zod';
import { fluidSystemIds, fluidWays } from '@bay/core/fluids';
import { amount, kind, text } from './kind.ts';

export const fluidKinds = {
  fluid: kind<'fluid'>(
    z.object({
      way: z.enum(fluidWays),
      litres: amount.positive().max(1000).optional(),
      what: text(120).min(2, 'Say which fluid.'),
      system: z.enum(fluidSystemIds).optional(),
      note: text(300).optional(),
    }),
  ),
};
