import { z } from 'zod';
import {
  buyerKinds,
  claimsOn,
  donorEntrySorts,
  harvestParts,
  heardStates,
  jointWords,
  mileageFrom,
  purchaseOf,
  purchaseSources,
  shiftWords,
} from '@bay/core/donors';
import { fluidSystemIds } from '@bay/core/fluids';
import { drawnName } from './drawn-name.ts';
import { endpoint, id, isoDate } from './endpoint.ts';
import { amount, kind, text } from './kind.ts';
import { amountOfMoney } from './money.ts';

const named = (sentence: string) => text(80).min(2, sentence);
const harvestIds = harvestParts.map((p) => p.id) as [string, ...string[]];

export const donorsKinds = {
  'donor-entry': kind<'donor-entry'>(
    z.object({
      sort: z.enum(donorEntrySorts),
      what: text(120).min(2, 'Say what it was for.'),
      on: isoDate,
      partKey: text(60).optional(),
      partKeys: z.array(text(60)).min(2, 'Several are at least two.').max(60, 'At most sixty at once.').optional(),
      buyer: z.enum(buyerKinds).optional(),
      soldTo: named('Say who has it now.').optional(),
      note: text(300).optional(),
      amount: amountOfMoney.optional(),
    }),
    { signed: 'once', money: 'amount' },
  ),
  'donor-terms': kind<'donor-terms'>(z.object({ aDay: amountOfMoney.optional(), from: isoDate }), { money: 'aDay' }),
  purchase: kind<'purchase'>(
    z.object({
      of: z.enum(purchaseOf),
      seller: named('Say who sold it.'),
      source: z.enum(purchaseSources),
      on: isoDate,
      price: amountOfMoney.optional(),
      papers: text(300).optional(),
      odometerKm: amount
        .min(0, 'An odometer is not below nothing.')
        .max(5e6, 'That is more than any car drove.')
        .optional(),
      odometerTyped: text(40).optional(),
      odometerFrom: z.enum(mileageFrom).optional(),
      heard: z.enum(heardStates as [(typeof heardStates)[number], ...typeof heardStates]),
      damage: text(500).optional(),
      warranty: text(300).optional(),
      returnBy: isoDate.optional(),
      settled: z.object({ how: z.enum(['kept', 'sent-back']) }).optional(),
    }),
    { acts: ['settled'], money: 'price' },
  ),
  reservation: kind<'reservation'>(
    z.object({
      partKey: text(60).min(1, 'Say which part.'),
      who: named('Say for whom.'),
      until: isoDate,
      deposit: amountOfMoney.optional(),
      ended: z.object({ how: text(200).min(3, 'Say how it ended.') }).optional(),
    }),
    { acts: ['ended'], money: 'deposit' },
  ),
  'donor-want': kind<'donor-want'>(
    z.object({
      takeId: z.enum(harvestIds, 'Say which line of the harvest gives it.'),
      what: text(120).min(3, 'Say what is wanted.'),
      ended: z.object({ how: text(200).min(3, 'Say how it ended.') }).optional(),
    }),
    { acts: ['ended'], signed: 'once' },
  ),
  caught: kind<'caught'>(
    z.object({
      from: z.enum(['donor', 'car']),
      system: z.enum(fluidSystemIds),
      litres: amount.positive('It is more than nothing.').max(1000, 'At most 1000 l.'),
      fate: z.enum(['kept', 'handed']),
      where: named('Say where it stands, or who has it.'),
      on: isoDate,
    }),
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
  /** None where no line of a kit names it. */
  kitId: z.string().nullable(),
  takeId: z.string().nullable(),
  what: z.string().nullable(),
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
