import { z } from 'zod';
import { claimsOn, donorEntrySorts } from '@bay/core/donors';
import { isoDate } from './endpoint.ts';
import { kind, text } from './kind.ts';
import { amountOfMoney } from './money.ts';

export const donorsKinds = {
  'donor-entry': kind<'donor-entry'>(
    z.object({
      sort: z.enum(donorEntrySorts),
      what: text(120).min(2, 'Say what it was for.'),
      on: isoDate,
      partKey: text(60).optional(),
      amount: amountOfMoney.optional(),
    }),
    { signed: 'once', money: 'amount' },
  ),
  shell: kind<'shell'>(
    z.object({
      fate: z.enum(['sold', 'scrapped']),
      goneTo: text(80).min(2, 'Say who has it now.'),
      on: isoDate,
    }),
  ),
  claim: kind<'claim'>(
    z.object({
      what: text(120).min(3, 'Say what was done, one thing alone.'),
      saidBy: text(80).min(2, 'Say who said it.'),
      on: z.enum(claimsOn),
      looked: z
        .object({ holds: z.boolean('Say whether it holds.'), how: text(200).min(3, 'Say how it was looked at.') })
        .optional(),
    }),
    { acts: ['looked'], signed: 'once' },
  ),
};
