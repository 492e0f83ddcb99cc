import { z } from 'zod';
import { taskStatuses } from '@bay/core/pull';
import { amount, kind, text } from './kind.ts';

/** A place on a unit, mm from its datum. */
const place = amount.min(-3000, 'Within 3 m of the bell face.').max(3000, 'Within 3 m of the bell face.');

export const pullKinds = {
  task: kind<'task'>(
    z.object({
      status: z.enum(taskStatuses),
      count: z
        .object({ done: z.number().int().min(0), of: z.number().int().min(1).max(200) })
        .refine((c) => c.done <= c.of, 'More than there are.')
        .optional(),
      note: text(500).optional(),
      handedToId: z.uuid().optional(),
      instead: text(300).min(10, 'Say in a few words what gives it instead.').optional(),
      deviation: z.object({ why: text(300).min(10, 'Say in a sentence why it was done all the same.') }).optional(),
    }),
    {
      acts: ['deviation'],
      // A note beside a step that is done does not do it again.
      signed: ['status', 'handedToId'],
      people: { handedToId: 'handedTo' },
    },
  ),
  rig: kind<'rig'>(
    z.object({
      unitId: z.uuid().optional(),
      frontX: place,
      frontZ: place,
      rearX: place,
      rearZ: place,
      hookAbove: amount.min(50, 'The hook stands at least 50 mm over the eyes.').max(5000, 'At most 5 m.'),
      hookX: place.optional(),
      leastRatingKg: amount.positive('A rating is more than nothing.').max(50_000, 'At most 50 t.').optional(),
      typed: z.record(z.string(), text(60)),
    }),
  ),
};
