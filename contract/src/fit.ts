import { z } from 'zod';
import { criteria, mostWeight } from '@bay/core/jobs';
import { liftReasons, makingSorts, partSupplies, shapeSureness, sittings } from '@bay/core/fit';
import { endpoint, isoDate } from './endpoint.ts';
import { fitAnswer, fitProblem } from './fit-problem.ts';
import { amount, kind, text } from './kind.ts';
import { amountOfMoney } from './money.ts';

const verdictWord = z.enum(['bolts-up', 'adapt', 'clash']);

/** How far something comes to stand from where it stands, mm. */
const moves = amount.min(-1000, 'At most 1 m.').max(1000, 'At most 1 m.');

/** Two faces of a box, mm. */
const face = amount.min(-5000, 'At most 5 m.').max(5000, 'At most 5 m.');
const faces = z.tuple([face, face]);

const reading = z.object({
  word: verdictWord,
  gapMm: amount.optional(),
  place: text(120).min(2, 'Say where it was read.'),
  condition: z.enum(['cold', 'hot']),
  photo: z.uuid().optional(),
});

export const fitKinds = {
  fit: kind<'fit'>(
    z.object({
      judged: z.object({ word: verdictWord, why: text(300).min(3, 'Say why.') }).optional(),
      trial: reading.optional(),
      waived: z
        .object({ why: text(300).min(10, 'Say in a sentence why it goes on without being measured.') })
        .optional(),
      resolution: z
        .object({
          text: text(500).min(3, 'Say what is done.'),
          kit: z.array(z.string()).max(20),
          asked: z.array(z.string()).max(30),
        })
        .optional(),
    }),
    { acts: ['judged', 'trial', 'waived', 'resolution'], signed: 'once' },
  ),
  gap: kind<'gap'>(
    z.object({
      interfaceId: z.string().max(60),
      read: reading,
      withdrawn: z.object({ why: text(300).min(3, 'Say why it no longer counts.') }).optional(),
    }),
    { acts: ['read', 'withdrawn'], signed: 'once' },
  ),
  lift: kind<'lift'>(
    z.object({
      reason: z.enum(liftReasons, 'Choose one.'),
      why: text(300).min(3, 'Say why it goes in.'),
      foreseen: z.boolean('Say whether the quote counts with it.'),
      unit: z.enum(['real', 'stand-in'], 'Choose one.'),
      carries: text(500).min(3, 'Say what is on it, and which variant.'),
      mounts: text(200).optional(),
      read: z
        .object({
          alongMm: amount.min(-2000, 'At most 2 m.').max(2000, 'At most 2 m.').optional(),
          sidewaysMm: amount.min(-500, 'At most 500 mm.').max(500, 'At most 500 mm.').optional(),
          heightMm: amount.min(-500, 'At most 500 mm.').max(1500, 'At most 1500 mm.').optional(),
          slopeDeg: amount.min(-20, 'At most 20°.').max(20, 'At most 20°.').optional(),
          ownMounts: z.boolean('Say what carries it.'),
          typed: z.record(z.string(), text(60)),
        })
        .optional(),
      sits: z
        .object({
          how: z.enum(sittings, 'Choose one.'),
          despite: text(300).min(10, 'Say in a sentence why it is fixed all the same.').optional(),
        })
        .optional(),
      touched: text(500).optional(),
      shifted: z
        .object({ why: text(300).min(3, 'Say what was moved.'), times: z.number().int().min(1).max(1000) })
        .optional(),
      photos: z.array(z.uuid()).max(20).optional(),
      out: z
        .object({
          why: text(300).min(3, 'Say why it comes out.'),
          hours: amount.min(0, 'Hours are not below nothing.').max(200, 'At most 200 h.').optional(),
        })
        .optional(),
      deviation: z.object({ why: text(300).min(10, 'Say in a sentence why it went in all the same.') }).optional(),
    }),
    { acts: ['read', 'sits', 'shifted', 'out', 'deviation'], signed: 'once' },
  ),
  making: kind<'making'>(
    z.object({
      title: text(120).min(3, 'Say what is made.'),
      sort: z.enum(makingSorts, 'Choose one.'),
      place: z.string().max(60).optional(),
      dropped: z.object({ why: text(300).min(3, 'Say why it is not made.') }).optional(),
    }),
    { acts: ['dropped'], signed: 'once' },
  ),
  'making-step': kind<'making-step'>(
    z.object({
      making: z.uuid(),
      step: z.string().max(40),
      times: z.number().int().min(1).max(1000),
      said: text(400).optional(),
      mm: amount.min(-5000, 'At most 5 m.').max(5000, 'At most 5 m.').optional(),
      typed: text(60).optional(),
      photo: z.uuid().optional(),
      voided: z.object({ why: text(300).min(3, 'Say why it does not stand.') }).optional(),
    }),
    { acts: ['voided'], signed: ['times'] },
  ),
  candidate: kind<'candidate'>(
    z.object({
      cost: amountOfMoney.optional(),
      note: text(300).optional(),
      km: amount.min(0, 'Not below nothing.').max(3_000_000, 'No engine ran so far.').optional(),
      days: z.number().int('Whole days.').min(0, 'Not below nothing.').max(730, 'At most two years.').optional(),
      supply: z.enum(partSupplies).optional(),
      returnBy: isoDate.optional(),
      against: text(300).optional(),
    }),
    { money: 'cost' },
  ),
  'candidate-piece': kind<'candidate-piece'>(
    z.object({
      unitId: z.uuid(),
      what: text(120).min(2, 'Say what is missing.'),
      price: amountOfMoney.optional(),
      gone: z.boolean().optional(),
    }),
    { money: 'price' },
  ),
  choosing: kind<'choosing'>(
    z.object({
      weights: z.partialRecord(
        z.enum(criteria.map((c) => c.id) as [string, ...string[]]),
        z.number().min(0, 'A weight is not below nothing.').max(mostWeight, `At most ${mostWeight}.`),
      ) as unknown as z.ZodType<Record<string, number>>,
    }),
  ),
  'way-out': kind<'way-out'>(
    z.object({
      title: text(120).min(3, 'Say what is done.'),
      shape: z.string().min(1, 'Choose what it moves.').max(60),
      x: moves.optional(),
      y: moves.optional(),
      z: moves.optional(),
      cost: amountOfMoney.optional(),
      hours: amount.min(0, 'Hours are not below nothing.').max(1000, 'At most 1000 h.').optional(),
      approval: text(200).optional(),
      gone: z.boolean().optional(),
      typed: z.record(z.string(), text(60)),
    }),
    { money: 'cost' },
  ),
  'foreign-part': kind<'foreign-part'>(
    z.object({
      what: text(80).min(3, 'Say what it is.'),
      places: z.array(z.string().max(60)).min(1, 'Choose the places it stands at.').max(20, 'At most 20.'),
      note: text(300).optional(),
      held: z.array(z.string().max(120)).max(200).optional(),
      gone: z.boolean().optional(),
    }),
  ),
  'own-shape': kind<'own-shape'>(
    z
      .object({
        name: text(60).min(2, 'Say what it is.'),
        side: z.enum(['bay', 'unit']),
        x: faces,
        y: faces,
        z: faces,
        across: amount.min(1, 'A bar has a thickness.').max(500, 'At most 500 mm.').optional(),
        sure: z.enum(shapeSureness),
        against: z.array(z.string().max(60)).min(1, 'Choose what it is held against.').max(40),
        clearance: z.string().max(40),
        gone: z.boolean().optional(),
        typed: z.record(z.string(), text(60)),
      })
      .superRefine((shape, context) => {
        // A bar may go either way; a box has a lesser face and a greater one.
        if (shape.across !== undefined) return;
        for (const axis of ['x', 'y', 'z'] as const)
          if (shape[axis][0] > shape[axis][1])
            context.addIssue({ code: 'custom', path: [axis], message: 'Turned round: the lesser comes first.' });
      }),
  ),
};

export const solvePosition = endpoint({
  method: 'post',
  path: '/api/fit/position',
  summary: 'Where a unit sits best in a bay, and the least change that makes it fit: docs/formats/fit-problem.md',
  access: 'look',
  body: fitProblem,
  reply: fitAnswer,
});

export const readAgreement = endpoint({
  method: 'get',
  path: '/api/fit/agreement',
  summary: 'How near the forecast gaps of the shop came to what was read in its trial fits, the last thousand of them',
  access: 'look',
  reply: z.object({
    /** Nothing while no gap was read that had a forecast. */
    agreement: z.object({ readings: z.number().int(), biasMm: z.number(), typicalMm: z.number() }).optional(),
  }),
});
