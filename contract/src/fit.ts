import { z } from 'zod';
import { endpoint } from './endpoint.ts';
import { fitAnswer, fitProblem } from './fit-problem.ts';
import { amount, kind, text } from './kind.ts';
import { amountOfMoney } from './money.ts';

const verdictWord = z.enum(['bolts-up', 'adapt', 'clash']);

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
  candidate: kind<'candidate'>(z.object({ cost: amountOfMoney.optional(), note: text(300).optional() }), {
    money: 'cost',
  }),
};

export const solvePosition = endpoint({
  method: 'post',
  path: '/api/fit/position',
  summary: 'Where a unit sits best in a bay, and the least change that makes it fit: docs/formats/fit-problem.md',
  access: 'look',
  body: fitProblem,
  reply: fitAnswer,
});
