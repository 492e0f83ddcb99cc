import { z } from 'zod';
import { gearPlaces, lifts, massKnown, snagSorts, snagWays, taskStatuses } from '@bay/core/pull';
import { gearSorts } from '@bay/core/sums';
import { endpoint, id } from './endpoint.ts';
import { amount, kind, text } from './kind.ts';

/** A place on a unit, mm from its datum. */
const place = amount.min(-3000, 'Within 3 m of the bell face.').max(3000, 'Within 3 m of the bell face.');

const named = text(80).min(2, 'Say what it is.');
const mass = amount.positive('It weighs more than nothing.').max(5000, 'At most 5 t.');
const reach = amount.positive('It reaches farther than nothing.').max(10_000, 'At most 10 m.');
const rise = amount.min(0, 'Not less than nothing.').max(3000, 'At most 3 m.');
/** A place along a car, mm behind its front axle. */
const along = amount.min(-2000, 'Within the car.').max(8000, 'Within the car.');

export const pullKinds = {
  task: kind<'task'>(
    z.object({
      status: z.enum(taskStatuses),
      count: z
        .object({ done: z.number().int().min(0), of: z.number().int().min(1).max(200) })
        .refine((c) => c.done <= c.of, 'More than there are.')
        .optional(),
      note: text(500).optional(),
      handedToId: z.uuid().optional(),
      instead: text(300).min(10, 'Say in a few words what gives it instead.').optional(),
      deviation: z.object({ why: text(300).min(10, 'Say in a sentence why it was done all the same.') }).optional(),
    }),
    {
      acts: ['deviation'],
      // A note beside a step that is done does not do it again.
      signed: ['status', 'handedToId'],
      people: { handedToId: 'handedTo' },
    },
  ),
  snag: kind<'snag'>(
    z.object({
      step: text(120).min(2, 'Say at which step.'),
      sort: z.enum(snagSorts),
      what: text(200).min(3, 'Say what was found.'),
      ways: z.array(z.enum(snagWays)).max(snagWays.length),
      extraMinutes: amount
        .min(0, 'Not less than nothing.')
        .max(10_000, 'That is more than a month of work.')
        .optional(),
      soakHours: amount.positive('It soaks longer than nothing.').max(240, 'At most ten days.').optional(),
      ended: z.object({ how: text(200).min(3, 'Say how it came off.') }).optional(),
      removed: z.literal(true).optional(),
    }),
    { acts: ['ended'], signed: 'once' },
  ),
  rig: kind<'rig'>(
    z.object({
      unitId: z.uuid().optional(),
      frontX: place,
      frontZ: place,
      rearX: place,
      rearZ: place,
      hookAbove: amount.min(50, 'The hook stands at least 50 mm over the eyes.').max(5000, 'At most 5 m.'),
      hookX: place.optional(),
      leastRatingKg: amount.positive('A rating is more than nothing.').max(50_000, 'At most 50 t.').optional(),
      tailDownDeg: amount.min(-45, 'At most 45°.').max(45, 'At most 45°.').optional(),
      typed: z.record(z.string(), text(60)),
    }),
  ),
  'lift-item': kind<'lift-item'>(
    z.object({
      lift: z.enum(lifts),
      unitId: z.uuid().optional(),
      item: z.discriminatedUnion('sort', [
        z.object({ sort: z.literal('hangs'), what: named, massKg: mass, x: place, z: place, known: z.enum(massKnown) }),
        z.object({
          sort: z.literal('carries'),
          what: named,
          gear: z.enum(gearSorts),
          on: z.enum(gearPlaces),
          ratingKg: mass,
        }),
        z
          .object({
            sort: z.literal('crane'),
            what: named,
            plate: z
              .array(z.object({ reachMm: reach, kg: mass }))
              .min(1, 'Write at least one reach of its plate.')
              .max(8, 'At most eight reaches.'),
            reachMm: reach,
          })
          .refine((c) => c.plate.every((a) => c.plate.every((b) => b.reachMm <= a.reachMm || b.kg <= a.kg)), {
            path: ['plate'],
            message: 'No crane carries more the farther it reaches.',
          }),
        z.object({ sort: z.literal('clears'), what: named, needMm: rise, hasMm: rise }),
        z
          .object({ sort: z.literal('stands'), frontMm: along, rearMm: along, leavesMm: along })
          .refine((s) => s.rearMm > s.frontMm, {
            path: ['rearMm'],
            message: 'The rear supports stand behind the front ones.',
          }),
      ]),
      removed: z.literal(true).optional(),
    }),
  ),
};

/** What was found otherwise at a step on other jobs of the shop. */
export const foundBefore = z.object({
  step: z.string(),
  times: z.number(),
  /** The middle of what it took besides, minutes; nothing where nobody wrote it. */
  minutes: z.number().nullable(),
  ways: z.array(z.enum(snagWays)),
});
export type FoundBefore = z.infer<typeof foundBefore>;
export const readFoundBefore = endpoint({
  method: 'get',
  path: '/api/jobs/:jobId/found-before',
  summary: 'What was found otherwise than planned on other jobs, by step: of the last 500 of such findings',
  access: 'look',
  params: z.object({ jobId: id }),
  reply: z.object({ found: z.array(foundBefore) }),
});
