import { z } from 'zod';
import { attemptResults, gateNames, primingWayIds, provisionalKindIds } from '@bay/core/commissioning';
import { act, amount, kind, text } from './kind.ts';

const deviation = z.object({ why: text(300).min(10, 'Say in a sentence why it was done all the same.') }).optional();

export const commissioningKinds = {
  gate: kind<'gate'>(
    z.object({
      text: text(500),
      readings: z.record(z.string().max(40), text(80)).optional(),
      photos: z.array(z.uuid()).max(20).optional(),
      override: z.object({ reason: text(500) }).optional(),
      voided: z.object({ why: text(200) }).optional(),
    }),
    { acts: ['override', 'voided'] },
  ),
  priming: kind<'priming'>(
    z.object({
      way: z.enum(primingWayIds, 'Choose one.'),
      bar: amount.min(0).max(20),
      seconds: amount.min(0).max(3600),
      note: text(300).optional(),
      deviation,
    }),
    { acts: ['deviation'] },
  ),
  'warm-up': kind<'warm-up'>(
    z
      .object({
        minute: amount.min(0, 'Minutes after the start.').max(600, 'Within ten hours.'),
        coolantC: amount.min(-40, 'No coolant is so cold.').max(200, 'No coolant is so hot.').optional(),
        oilBar: amount.min(0, 'A pressure is not under nothing.').max(20, 'At most 20 bar.').optional(),
        volts: amount.min(0, 'A voltage is not under nothing.').max(40, 'At most 40 V.').optional(),
        rpm: amount.min(0, 'A speed is not under nothing.').max(12_000, 'At most 12000 rpm.').optional(),
        note: text(200).optional(),
      })
      .refine((r) => [r.coolantC, r.oilBar, r.volts].some((v) => v !== undefined), {
        message: 'Write at least one reading.',
        path: ['coolantC'],
      }),
    { signed: 'once' },
  ),
  attempt: kind<'attempt'>(
    z.object({
      number: z.number().int().min(1),
      seconds: amount.min(0).max(60),
      result: z.enum(attemptResults),
      volts: amount.min(0).max(40).optional(),
      rpm: amount.min(0).max(10000).optional(),
      heard: text(300).optional(),
      change: text(300).optional(),
      deviation,
    }),
    { acts: ['deviation'] },
  ),
  signature: kind<'signature'>(z.object({ what: text(80), statement: text(500).min(5, 'Say what you sign for.') })),
  provisional: kind<'provisional'>(
    z.object({
      what: text(200).min(2, 'Say what is provisional.'),
      kind: z.enum(provisionalKindIds).optional(),
      ends: text(200).optional(),
      forbiddenAt: z.enum(gateNames).optional(),
      ended: act,
    }),
    { acts: ['ended'], signed: 'once' },
  ),
};
