import { z } from 'zod';
import { taskStatuses } from '@bay/core/pull';
import { kind, text } from './kind.ts';

export const pullKinds = {
  task: kind<'task'>(
    z.object({ status: z.enum(taskStatuses), note: text(500).optional(), handedToId: z.uuid().optional() }),
    {
      // A note beside a step that is done does not do it again.
      signed: ['status', 'handedToId'],
      people: { handedToId: 'handedTo' },
    },
  ),
};
