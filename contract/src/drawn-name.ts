import { z } from 'zod';
import { text } from './kind.ts';

/** A name with what was drawn under it: lines of points, each 0 to 1000 across and 0 to 300 down. */
export const drawnName = z.object({
  name: text(80).min(3, 'Write the name under it.'),
  strokes: z
    .array(
      z
        .array(z.tuple([z.number().min(0).max(1000), z.number().min(0).max(300)]))
        .min(2)
        .max(600),
    )
    .min(1, 'Sign in the field.')
    .max(60, 'Sign more simply.')
    .refine((all) => all.reduce((sum, s) => sum + s.length, 0) <= 4000, 'Sign more simply.'),
});
