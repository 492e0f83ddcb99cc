import { z } from 'zod';
import { stationIds } from '@bay/core/jobs';
import { checkGates, ownLineMissing, ownSorts } from '@bay/core/memory';
import type { OwnLine } from '@bay/core/memory';
import { dropLimits } from '@bay/core/sums';
import type { LoadKind } from '@bay/core/sums';
import { command, endpoint, id, line } from './endpoint.ts';
import { kind, text } from './kind.ts';

/** Lines that no rule of the program knew: on one job, or kept by the shop for all that are like it. */

const minutes = z
  .number('Minutes are a number.')
  .min(1, 'At least a minute.')
  .max(60 * 200, 'At most 200 hours.');
const step = z.string().min(1).max(120);
const risesThrough = (figures: readonly number[]): boolean => figures.every((n, i) => i === 0 || figures[i - 1]! <= n);

const ownLineFields = {
  sort: z.enum(ownSorts),
  title: line(120).min(3, 'Say in a few words what it is.'),
  why: text(300).default(''),
  station: z.enum(stationIds),
  minutes: z
    .array(minutes)
    .length(2, 'Least and most.')
    .refine(risesThrough, 'The most is not below the least.')
    .optional(),
  people: z.number().int('People are counted whole.').min(1, 'At least one.').max(6, 'At most six.').optional(),
  after: z.array(step).max(20, 'At most 20.').optional(),
  before: z.array(step).max(20, 'At most 20.').optional(),
  parts: z.array(step).max(20, 'At most 20.').optional(),
  gate: z.enum(checkGates).optional(),
  system: text(40).optional(),
  options: text(200).optional(),
  price: z
    .array(
      z
        .number('A price is a number.')
        .min(0, 'A price is not below nothing.')
        .max(1e6, 'That is more than anybody pays.'),
    )
    .length(3, 'Three figures: low, likely, high.')
    .refine(risesThrough, 'Low, likely and high go up.')
    .optional(),
  from: text(80).optional(),
  to: text(80).optional(),
  load: z.enum(Object.keys(dropLimits) as [LoadKind, ...LoadKind[]]).optional(),
  amps: z
    .number('A current is a number.')
    .positive('A current is above nothing.')
    .max(600, 'At most 600 A.')
    .optional(),
};
/** What a line of its sort must say, at its field: the same in the browser and on the server. */
const saysAll = (line: OwnLine, context: z.RefinementCtx): void => {
  for (const [field, message] of Object.entries(ownLineMissing(line)))
    context.addIssue({ code: 'custom', path: [field], message });
};
export const ownLine = z.object(ownLineFields).superRefine(saysAll);

export const memoryKinds = {
  'own-line': kind<'own-line'>(z.object({ ...ownLineFields, removed: z.boolean().optional() }).superRefine(saysAll), {
    signed: 'once',
  }),
};

/** A rule of the shop with who made it. */
export const shopRule = z.object({
  id: z.string(),
  line: ownLine,
  when: z.string(),
  by: z.string(),
  at: z.string(),
});
export type ShopRuleRow = z.infer<typeof shopRule>;

export const listShopRules = endpoint({
  method: 'get',
  path: '/api/shop/rules',
  summary: 'The lines that the shop keeps, each with its condition',
  access: 'look',
  reply: z.object({ rules: z.array(shopRule) }),
});
const condition = line(500);
export const keepShopRule = endpoint({
  method: 'post',
  path: '/api/shop/rules',
  summary: 'Keep a line for every job of which its condition holds',
  access: 'manage',
  body: z.object({ ...command, id: z.string().min(5).max(120), line: ownLine, when: condition }),
  reply: z.object({ id: z.string() }),
});
export const endShopRule = endpoint({
  method: 'post',
  path: '/api/shop/rules/:ruleId/end',
  summary: 'A rule of the shop ends: it joins no plan any more; what was done of it stays in the records',
  access: 'manage',
  params: z.object({ ruleId: z.string().min(1).max(120) }),
  body: z.object({ ...command, why: line(200).min(3, 'Say why.') }),
  reply: z.object({ id: z.string() }),
});
export const tryShopRule = endpoint({
  method: 'post',
  path: '/api/shop/rules/try',
  summary: 'On which open jobs a condition holds now, and on which nobody knows; nothing is written',
  access: 'look',
  body: z.object({ when: condition }),
  reply: z.object({
    jobs: z.array(
      z.object({
        jobId: id,
        number: z.string(),
        carName: z.string(),
        holds: z.enum(['yes', 'no', 'not-known']),
        because: z.array(z.string()),
        needs: z.array(z.string()),
      }),
    ),
  }),
});

/** What a closed job of the shop teaches about a pairing. */
export const pairing = z.object({
  jobId: id,
  number: z.string(),
  carName: z.string(),
  engineName: z.string().nullable(),
  engineCode: z.string().nullable(),
  closedAt: z.string(),
  near: z.enum(['engine-and-car', 'engine', 'car']),
  differs: z.array(z.string()),
  hours: z.number(),
  /** What was agreed, before tax; null where nothing was, or for those who do not see money. */
  agreed: z.number().nullable(),
  ways: z.array(z.object({ interfaceId: z.string(), title: z.string(), text: z.string(), kit: z.array(z.string()) })),
  read: z.array(z.object({ title: z.string(), word: z.string(), gapMm: z.number().optional() })),
  failed: z.array(z.object({ part: z.string(), how: z.string() })),
  lifts: z.array(z.object({ why: z.string(), foreseen: z.boolean() })),
  faults: z.array(z.object({ symptom: z.string(), fault: z.string() })),
  attempts: z.number(),
  /** Where it sits there, and what that follows from. */
  sizes: z.array(
    z.object({ factId: z.string(), partKey: z.string(), label: z.string(), value: z.number(), unit: z.string() }),
  ),
});
export type Pairing = z.infer<typeof pairing>;
export const readPairings = endpoint({
  method: 'get',
  path: '/api/jobs/:jobId/pairings',
  summary: 'Closed jobs of the shop with the same or a near pairing, and what they teach',
  access: 'look',
  params: z.object({ jobId: id }),
  /** An engine to look with instead of the one that goes in. */
  query: z.object({ unitId: id.optional() }),
  reply: z.object({ pairings: z.array(pairing) }),
});
