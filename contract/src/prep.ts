import { z } from 'zod';
import { gateNames } from '@bay/core/commissioning';
import { unitRoles } from '@bay/core/jobs';
import { boltedRoles, boltLayouts, placesFault, readOrder } from '@bay/core/prep';
import { amount, kind, text } from './kind.ts';

export const prepKinds = {
  sheet: kind<'sheet'>(
    z.object({
      sheet: text(20),
      place: text(10),
      readings: z.record(z.string(), amount),
      typed: z.record(z.string(), z.string()),
      /** It is so, however far the readings lie apart. */
      certain: z.boolean().optional(),
    }),
  ),
  limits: kind<'limits'>(
    z.object({ limits: z.record(z.string(), amount), source: text(200).min(1, 'Say which manual and page.') }),
  ),
  joint: kind<'joint'>(
    z
      .object({
        name: text(80).min(2, 'Name the joint.'),
        on: z.enum(boltedRoles).default('engine'),
        bolts: z.number().int().min(1).max(60),
        layout: z.enum(boltLayouts).optional(),
        order: z.array(text(10)).max(60).optional(),
        places: z
          .array(z.object({ x: amount, y: amount }))
          .max(60)
          .optional(),
        bags: z.record(text(10), text(20)).optional(),
        undoneByLift: z.boolean().optional(),
      })
      .superRefine(({ order = [], places = [], layout, bolts }, context) => {
        const read = readOrder(order.join(' '), bolts);
        if (!read.ok) context.addIssue({ code: 'custom', path: ['order'], message: read.sentence });
        const wrong = layout === 'typed' ? placesFault(places, bolts) : undefined;
        if (wrong) context.addIssue({ code: 'custom', path: ['places'], message: wrong });
      }),
  ),
  torque: kind<'torque'>(
    z.object({
      joint: text(80),
      on: z.enum(boltedRoles).default('engine'),
      bolt: text(10).min(1, 'Say which bolt.'),
      stagesNm: z.array(amount.positive().max(2000)).max(6),
      angleDeg: amount.positive().max(720).optional(),
      source: text(200).min(1, 'Say where the value is from; no value known means not tightened.'),
      voided: z.object({ why: text(200).min(3, 'Say why it came off.') }).optional(),
    }),
    { acts: ['voided'] },
  ),
  finding: kind<'finding'>(
    z.object({
      on: z.enum(unitRoles),
      what: text(300).min(3, 'Say what was found.'),
      lookedAt: text(40).optional(),
      follows: text(300).optional(),
      forbiddenAt: z.enum(gateNames).optional(),
      settled: z.object({ how: text(300).min(3, 'Say how it was settled.') }).optional(),
    }),
    { acts: ['settled'], signed: 'once' },
  ),
};
