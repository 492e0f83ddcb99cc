import { z } from 'zod';
import { claimsOn, donorEntrySorts, jointWords, shiftWords } from '@bay/core/donors';
import { drawnName } from './drawn-name.ts';
import { endpoint, id, isoDate } from './endpoint.ts';
import { amount, kind, text } from './kind.ts';
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
  'proof-run': kind<'proof-run'>(
    z.object({
      on: isoDate,
      minutes: amount.min(0, 'Not less than nothing.').max(10_000, 'That is more than a week.').optional(),
      km: amount.min(0, 'Not less than nothing.').max(10_000, 'At most 10,000 km.').optional(),
      odometerKm: amount
        .min(0, 'An odometer is not below nothing.')
        .max(5e6, 'That is more than any car drove.')
        .optional(),
      coolantC: amount.min(-40, 'Not so cold.').max(150, 'Not so hot.').optional(),
      oilColdBar: amount.min(0, 'Not below nothing.').max(20, 'At most 20 bar.').optional(),
      oilHotBar: amount.min(0, 'Not below nothing.').max(20, 'At most 20 bar.').optional(),
      codes: text(300).optional(),
      shifts: z.enum(shiftWords),
      joints: z.enum(jointWords),
      seen: text(500).optional(),
      film: text(200).optional(),
      signed: drawnName.optional(),
    }),
    { acts: ['signed'] },
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

/** A kit line that another open job of the shop wrote down as wanted, and that a part of a donor can fill. */
export const wantedElsewhere = z.object({
  kitId: z.string(),
  jobId: id,
  number: z.string(),
  carName: z.string(),
  options: z.string().nullable(),
});
export type WantedElsewhere = z.infer<typeof wantedElsewhere>;
export const readWanted = endpoint({
  method: 'get',
  path: '/api/jobs/:jobId/wanted-elsewhere',
  summary: 'What other open jobs of the shop want that a donor can give, the oldest job first',
  access: 'look',
  params: z.object({ jobId: id }),
  reply: z.object({ wanted: z.array(wantedElsewhere) }),
});
