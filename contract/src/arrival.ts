import { z } from 'zod';
import { carViews, cameWith } from '@bay/core/arrival';
import type { CameWith } from '@bay/core/arrival';
import { amount, kind, text } from './kind.ts';

const share = amount.min(0, 'On the car.').max(1, 'On the car.');

export const arrivalKinds = {
  'as-it-came': kind<'as-it-came'>(
    z.object({
      view: z.enum(carViews),
      x: share,
      y: share,
      what: z.enum(Object.keys(cameWith) as [CameWith, ...CameWith[]]),
      note: text(200).min(2, 'Say what is seen there.'),
      removed: z.boolean().optional(),
    }),
    { signed: 'once' },
  ),
};
