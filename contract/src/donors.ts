import { z } from 'zod';
import { partConditions } from '@bay/core/donors';
import { kind, text } from './kind.ts';

export const donorKinds = {
  part: kind<'part'>(
    z.object({
      takeId: text(60),
      title: text(120).min(2, 'Name the part.'),
      condition: z.enum(partConditions),
      label: text(20),
      place: text(60),
      note: text(300).optional(),
    }),
  ),
};
