import { z } from 'zod';
import { cameWith, carViews, deadlineReasons, worksStates } from '@bay/core/arrival';
import type { CameWith } from '@bay/core/arrival';
import { drawnName } from './drawn-name.ts';
import { endpoint, fileReply, id } from './endpoint.ts';
import { amount, kind, text } from './kind.ts';
import { amountOfMoney } from './money.ts';

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
  works: kind<'works'>(
    z.object({
      what: text(80).min(2, 'Say what was tried.'),
      state: z.enum(worksStates),
      note: text(200).optional(),
      again: z.object({ state: z.enum(worksStates), note: text(200).optional() }).optional(),
    }),
    { acts: ['again'], signed: ['state'] },
  ),
  arrival: kind<'arrival'>(
    z.object({
      odometerKm: amount
        .min(0, 'An odometer is not below nothing.')
        .max(5e6, 'That is more than any car drove.')
        .optional(),
      odometerFrom: z.enum(['odometer', 'paper', 'said']).optional(),
      keys: z.number().int('Keys are counted whole.').min(0, 'Not fewer than none.').max(20, 'At most 20.').optional(),
      fuel: text(60).optional(),
      fluids: text(300).optional(),
      lamps: text(300).optional(),
      codes: text(300).optional(),
      things: text(500).optional(),
      deadline: z.enum(deadlineReasons).optional(),
      deadlineNote: text(200).optional(),
      budget: amountOfMoney.optional(),
      received: drawnName.optional(),
    }),
    { acts: ['received'], money: 'budget' },
  ),
};

export const arrivalPdf = endpoint({
  method: 'get',
  path: '/api/jobs/:jobId/arrival.pdf',
  summary:
    'What was taken in with a car, as PDF for its customer: how it came, what works, keys and things, the signature',
  access: 'look',
  gives: ['application/pdf'],
  params: z.object({ jobId: id }),
  reply: fileReply,
});
