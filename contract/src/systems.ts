import { z } from 'zod';
import { dropLimits } from '@bay/core/sums';
import type { LoadKind } from '@bay/core/sums';
import { usualFields } from '@bay/core/systems';
import { act, amount, kind, text } from './kind.ts';

export const systemsKinds = {
  circuit: kind<'circuit'>(
    z.object({
      title: text(120).min(2, 'Say what the circuit is.'),
      from: text(120),
      to: text(120),
      signal: text(60),
      load: z.enum(Object.keys(dropLimits) as [LoadKind, ...LoadKind[]]),
      currentA: amount.positive().max(2000).optional(),
      lengthM: amount.positive().max(50).optional(),
      areaMm2: amount.positive().max(200).optional(),
      fuseA: amount.positive().max(500).optional(),
      usual: z.array(z.enum(usualFields)).max(3).optional(),
      labelA: text(20),
      labelB: text(20),
      tested: act,
    }),
    { acts: ['tested'] },
  ),
};
