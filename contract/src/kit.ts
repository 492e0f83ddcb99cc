import { z } from 'zod';
import { kitStatuses } from '@bay/core/kit';
import { amount, kind, text } from './kind.ts';

export const kitKinds = {
  kit: kind<'kit'>(
    z.object({
      status: z.enum(kitStatuses),
      options: text(300).optional(),
      note: text(500).optional(),
      price: amount.min(0).optional(),
    }),
    {
      money: ['price'],
    },
  ),
};
