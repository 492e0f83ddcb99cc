import { z } from 'zod';
import { runFuels, runPlaces, runSorts, runTimes } from '@bay/core/handover';
import { command, endpoint, fileReply, id, isoDate } from './endpoint.ts';
import { amount, kind, text } from './kind.ts';
import { logEntry } from './logbook.ts';
import { quote } from './money.ts';

export const handoverKinds = {
  'follow-up': kind<'follow-up'>(
    z.object({
      what: text(200).min(2, 'Say what is to be done.'),
      on: isoDate.optional(),
      atKm: amount.positive().optional(),
      occasion: text(120).min(3, 'Say in a few words what brings it.').optional(),
      done: z.object({ note: text(300).optional() }).optional(),
    }),
    { acts: ['done'], signed: 'once' },
  ),
  run: kind<'run'>(
    z
      .object({
        when: z.enum(runTimes),
        sort: z.enum(runSorts),
        on: isoDate,
        taken: z.enum(runPlaces).optional(),
        burns: z.enum(runFuels).optional(),
        powerKw: amount.positive('A power is above nothing.').max(5000, 'At most 5,000 kW.').optional(),
        torqueNm: amount.positive('A torque is above nothing.').max(20_000, 'At most 20,000 N·m.').optional(),
        airC: amount.min(-40, 'Air between -40 and 60 °C.').max(60, 'Air between -40 and 60 °C.').optional(),
        barometerHpa: amount
          .min(600, 'A barometer at the place between 600 and 1,100 hPa.')
          .max(1100, 'A barometer at the place between 600 and 1,100 hPa.')
          .optional(),
        humidity: amount.min(0, 'Humidity between 0 and 100 %.').max(100, 'Humidity between 0 and 100 %.').optional(),
        distanceM: amount.positive('A length is above nothing.').max(20_000, 'At most 20 km.').optional(),
        seconds: amount.positive('A time is above nothing.').max(3600, 'At most an hour.').optional(),
        endKmh: amount.positive('A speed is above nothing.').max(600, 'At most 600 km/h.').optional(),
        note: text(300).default(''),
        removed: z.boolean().optional(),
      })
      .refine((r) => r.sort !== 'rollers' || r.powerKw !== undefined, {
        path: ['powerKw'],
        message: 'Say what power was read.',
      })
      .refine((r) => r.sort !== 'rollers' || r.taken !== undefined, {
        path: ['taken'],
        message: 'Say whether at the crank or at the wheels.',
      })
      .refine((r) => r.sort !== 'rollers' || r.burns !== undefined, {
        path: ['burns'],
        message: 'Say what the engine burns.',
      })
      .refine((r) => r.sort !== 'timed' || r.distanceM !== undefined, {
        path: ['distanceM'],
        message: 'Say over what length.',
      })
      .refine((r) => r.sort !== 'timed' || r.seconds !== undefined, {
        path: ['seconds'],
        message: 'Say how long it took.',
      }),
    { signed: 'once' },
  ),
};

export const readTakeover = endpoint({
  method: 'get',
  path: '/api/jobs/:jobId/takeover',
  summary: 'What was written on a job since you last took it over or wrote on it',
  access: 'look',
  params: z.object({ jobId: id }),
  reply: z.object({ since: z.string().nullable(), entries: z.array(logEntry), more: z.number() }),
});
export const takeOver = endpoint({
  method: 'post',
  path: '/api/jobs/:jobId/takeover',
  summary: 'You have read the sheet and take the job over',
  access: 'work',
  params: z.object({ jobId: id }),
  body: z.object({ ...command }),
  reply: z.object({ at: z.string() }),
});

export const customerLink = z.object({
  id,
  madeBy: z.string(),
  madeAt: z.string(),
  endsAt: z.string(),
  revoked: z.boolean(),
});
export const listLinks = endpoint({
  method: 'get',
  path: '/api/jobs/:jobId/links',
  summary: 'Links by which the customer looks at a job',
  access: 'manage',
  params: z.object({ jobId: id }),
  reply: z.object({ links: z.array(customerLink) }),
});
export const makeLink = endpoint({
  method: 'post',
  path: '/api/jobs/:jobId/links',
  summary: 'Make a link for the customer; it is shown once',
  access: 'manage',
  params: z.object({ jobId: id }),
  body: z.object({ ...command, days: z.number().int().min(1).max(365).default(60) }),
  reply: z.object({ link: customerLink, path: z.string() }),
});
export const revokeLink = endpoint({
  method: 'delete',
  path: '/api/jobs/:jobId/links/:linkId',
  summary: 'End a customer link',
  access: 'manage',
  params: z.object({ jobId: id, linkId: id }),
  body: z.object({ ...command }),
  reply: z.object({ link: customerLink }),
});

/** What a customer sees: how it goes and what is asked of them. No money of the shop, no names of records. */
export const customerView = z.object({
  shop: z.string(),
  /** What amounts are counted in, in its smallest unit (ISO 4217). */
  currency: z.string(),
  number: z.string(),
  carName: z.string(),
  engineName: z.string().nullable(),
  station: z.string(),
  signedStations: z.array(z.string()),
  promised: z.string().nullable(),
  waitsFor: z.array(z.object({ what: z.string(), due: z.string().nullable() })),
  /** What the customer does or brings themselves, and has not yet. */
  yours: z.array(z.object({ what: z.string(), due: z.string().nullable() })),
  asks: z.array(
    z.object({
      key: id,
      what: z.string(),
      /** Before tax, and with it. */
      amount: z.number().nullable(),
      gross: z.number().nullable(),
      tax: z.number(),
      why: z.string(),
      otherwise: z.string(),
      photoId: z.string().nullable(),
      /** Of what is asked; sent back with the answer, so that nobody agrees to other words than they read. */
      revision: z.number(),
      answer: z.object({ yes: z.boolean(), text: z.string(), at: z.string() }).nullable(),
    }),
  ),
  /** The quote that stands; null where none was made or it was taken back. */
  quote: quote.nullable(),
});
export type CustomerView = z.infer<typeof customerView>;
const token = z.string().regex(/^[\w-]{20,80}$/, 'This link is not whole.');
export const readCustomerView = endpoint({
  method: 'get',
  path: '/api/customer/:token',
  summary: 'A job as its customer sees it, by the link they were given',
  access: 'open',
  params: z.object({ token }),
  reply: customerView,
});
export const answerAsCustomer = endpoint({
  method: 'post',
  path: '/api/customer/:token/answer',
  summary: 'The customer answers what was asked',
  access: 'open',
  params: z.object({ token }),
  body: z.object({
    ...command,
    key: id,
    yes: z.boolean(),
    text: z.string().trim().max(400).default(''),
    revision: z.number().int().optional(),
  }),
  reply: customerView,
});

export const answerQuote = endpoint({
  method: 'post',
  path: '/api/customer/:token/quote',
  summary: 'The customer accepts a quote, with or without its optional lines, declines it, or asks about it',
  access: 'open',
  params: z.object({ token }),
  body: z
    .object({
      ...command,
      number: z.number().int().min(1),
      say: z.enum(['yes', 'no', 'ask']),
      /** Optional lines that are not wanted. */
      declined: z.array(z.string().max(120)).max(400).default([]),
      /** The name under it. */
      name: z.string().trim().max(80).default(''),
      text: z.string().trim().max(400).default(''),
    })
    .refine((b) => b.say !== 'yes' || b.name.length >= 3, {
      path: ['name'],
      message: 'Write your name under it.',
    })
    .refine((b) => b.say !== 'ask' || b.text.length > 0, { path: ['text'], message: 'Write what you want to know.' }),
  reply: customerView,
});
export const customerPhoto = endpoint({
  method: 'get',
  path: '/api/customer/:token/photo/:photoId',
  summary: 'A photo that shows what the customer is asked',
  access: 'open',
  gives: ['image/jpeg', 'image/png', 'image/webp', 'image/avif', 'image/gif', 'image/tiff'],
  params: z.object({ token, photoId: id }),
  reply: fileReply,
});
export const customerQuotePdf = endpoint({
  method: 'get',
  path: '/api/customer/:token/quote/:number/pdf',
  summary: 'A quote as PDF, for the customer',
  access: 'open',
  gives: ['application/pdf'],
  params: z.object({ token, number: z.coerce.number().int().min(1) }),
  reply: fileReply,
});
