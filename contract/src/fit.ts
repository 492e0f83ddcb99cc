import { z } from 'zod';
import { liftReasons, shapeSureness, sittings } from '@bay/core/fit';
import { endpoint } from './endpoint.ts';
import { fitAnswer, fitProblem } from './fit-problem.ts';
import { amount, kind, text } from './kind.ts';
import { amountOfMoney } from './money.ts';

const verdictWord = z.enum(['bolts-up', 'adapt', 'clash']);

/** How far something comes to stand from where it stands, mm. */
const moves = amount.min(-1000, 'At most 1 m.').max(1000, 'At most 1 m.');

/** Two faces of a box, mm. */
const face = amount.min(-5000, 'At most 5 m.').max(5000, 'At most 5 m.');
const faces = z.tuple([face, face]).refine(([a, b]) => a <= b, 'Turned round: the lesser comes first.');

const reading = z.object({
  word: verdictWord,
  gapMm: amount.optional(),
  place: text(120).min(2, 'Say where it was read.'),
  condition: z.enum(['cold', 'hot']),
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
  candidate: kind<'candidate'>(z.object({ cost: amountOfMoney.optional(), note: text(300).optional() }), {
    money: 'cost',
  }),
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
  'own-shape': kind<'own-shape'>(
    z.object({
      name: text(60).min(2, 'Say what it is.'),
      side: z.enum(['bay', 'unit']),
      x: faces,
      y: faces,
      z: faces,
      sure: z.enum(shapeSureness),
      against: z.array(z.string().max(60)).min(1, 'Choose what it is held against.').max(40),
      clearance: z.string().max(40),
      gone: z.boolean().optional(),
      typed: z.record(z.string(), text(60)),
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
