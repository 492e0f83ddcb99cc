import { z } from 'zod';
import { taskStatuses } from '@bay/core/pull';
import { kind, text } from './kind.ts';

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
};
