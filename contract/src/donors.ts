import { z } from 'zod';
import { donorEntrySorts } from '@bay/core/donors';
import { isoDate } from './endpoint.ts';
import { kind, text } from './kind.ts';
import { amountOfMoney } from './money.ts';

export const donorsKinds = {
  'donor-entry': kind<'donor-entry'>(
    z.object({
      sort: z.enum(donorEntrySorts),
      what: text(120).min(2, 'Say what it was for.'),
      on: isoDate,
      amount: amountOfMoney.optional(),
    }),
    { signed: 'once', money: 'amount' },
  ),
};
