import { z } from 'zod';
import { stationIds } from '@bay/core/jobs';
import { isCurrency, quoteSections, whoDoes } from '@bay/core/money';
import { command, endpoint, fileReply, id, isoDate, line } from './endpoint.ts';
import { act, kind, text } from './kind.ts';

/** An amount in the smallest unit of the shop's currency: 1250 is 12.50 where it has two decimals. */
export const amountOfMoney = z
  .number()
  .int('Money is written in the smallest unit of the currency: 1250 for 12.50.')
  .min(0, 'An amount is not below nothing.')
  .max(1e12, 'That is more than anybody pays.');

export const currency = z.string().refine(isCurrency, 'A currency is a code of three letters, like EUR.');

export const setCurrency = endpoint({
  method: 'put',
  path: '/api/shop/currency',
  summary: 'What the shop counts its money in; stays as it is once amounts are written',
  access: 'manage',
  body: z.object({ ...command, currency }),
  reply: z.object({ currency }),
});

const percent = z.number().min(0, 'A percentage is not below nothing.').max(100, 'At most 100 %.');
const ordered = ([low, likely, high]: readonly number[]): boolean => low! <= likely! && likely! <= high!;

export const moneyKinds = {
  'quote-line': kind<'quote-line'>(
    z.object({
      take: z.enum(['in', 'out']),
      why: text(300).optional(),
      who: z.enum(whoDoes).optional(),
      hours: z
        .array(z.number().min(0, 'Hours are not below nothing.').max(2000, 'That is more than a job takes.'))
        .length(3, 'Three figures: low, likely, high.')
        .refine(ordered, 'Low, likely and high go up.')
        .optional(),
      price: amountOfMoney.optional(),
      optional: z.boolean().optional(),
      tax: percent.optional(),
      title: text(120).min(3, 'Say in a few words what it is.').optional(),
      section: z.enum(quoteSections).optional(),
      holds: z.array(text(120)).max(20, 'At most 20.').optional(),
      due: isoDate.optional(),
      done: act,
    }),
    { acts: ['done'], money: 'price' },
  ),
};

/** What the shop counts with. What nobody set is null, never nought. */
export const terms = z.object({
  hourRate: amountOfMoney.nullable(),
  hourCost: amountOfMoney.nullable(),
  priceUnit: amountOfMoney.nullable(),
  markup: percent,
  sundries: percent,
  tax: percent,
  deposit: percent,
  validDays: z.number().int().min(1, 'At least a day.').max(365, 'At most a year.'),
});
export const readTerms = endpoint({
  method: 'get',
  path: '/api/shop/terms',
  summary: 'What the shop counts its quotes with',
  access: 'manage',
  reply: z.object({
    terms,
    /** What closed jobs took beside what was reckoned, by station. */
    history: z.partialRecord(z.enum(stationIds), z.object({ jobs: z.number(), ratio: z.number() })),
    revision: z.number(),
  }),
});
export const setTerms = endpoint({
  method: 'put',
  path: '/api/shop/terms',
  summary: 'What the shop counts its quotes with, from now on; quotes that were made stay as they are',
  access: 'manage',
  body: z.object({ ...command, terms, revision: z.number().int().min(0) }),
  reply: z.object({ terms, revision: z.number() }),
});

/** A line as it is offered. */
export const offeredLine = z.object({
  id: z.string(),
  section: z.string(),
  group: z.string(),
  title: z.string(),
  amount: z.number(),
  tax: z.number(),
  optional: z.boolean(),
  /** Hours on average, of work of the shop. */
  hours: z.number().optional(),
  /** Whose doing it is, where it is not the shop's. */
  who: z.enum(whoDoes),
});
export const quoteStates = ['open', 'accepted', 'declined', 'withdrawn', 'replaced'] as const;
/** A quote as it was made: it never changes but for its answer. */
export const quote = z.object({
  number: z.number(),
  lines: z.array(offeredLine),
  net: z.number(),
  taxes: z.array(z.object({ rate: z.number(), on: z.number(), amount: z.number() })),
  gross: z.number(),
  deposit: z.number(),
  exclusions: z.array(z.string()),
  /** What the job brings along and stands in no line. */
  foreseen: z.array(z.object({ title: z.string(), text: z.string() })),
  note: z.string(),
  /** What was open and is asked as extra work if it turns out to be wanted. */
  asExtra: z.array(z.string()),
  /** What is waited for, in words. */
  waits: z.array(z.string()),
  validUntil: z.string(),
  madeAt: z.string(),
  state: z.enum(quoteStates),
  answer: z
    .object({
      by: z.string(),
      at: z.string(),
      declined: z.array(z.string()),
      text: z.string(),
      net: z.number(),
      gross: z.number(),
    })
    .nullable(),
});
export type Quote = z.infer<typeof quote>;
export type OfferedQuoteLine = z.infer<typeof offeredLine>;
/** What only the shop sees of it. */
export const ownQuote = quote.extend({
  madeBy: z.string(),
  /** What was open when it went out, and why it went out all the same. */
  open: z.array(z.string()),
  despite: z.string().nullable(),
});
export type OwnQuote = z.infer<typeof ownQuote>;

const ofJob = z.object({ jobId: id });
const ofQuote = z.object({ jobId: id, number: z.coerce.number().int().min(1) });
export const listQuotes = endpoint({
  method: 'get',
  path: '/api/jobs/:jobId/quotes',
  summary: 'The quotes that were made for a job, the last first',
  access: 'manage',
  params: ofJob,
  reply: z.object({ quotes: z.array(ownQuote) }),
});
export const makeQuote = endpoint({
  method: 'post',
  path: '/api/jobs/:jobId/quotes',
  summary: 'A quote from the lines as they stand now; the one before is replaced by it',
  access: 'manage',
  params: ofJob,
  body: z.object({
    ...command,
    /** What is asked before tax, where it is more or less than the lines come to. */
    net: amountOfMoney.optional(),
    /** What the lines came to as they were shown; refused when they have moved since. */
    shown: z.number().int().optional(),
    exclusions: z.array(line(200)).max(40, 'At most 40.').default([]),
    note: text(1000).default(''),
    /** Why it goes out with lines of which nobody knows yet whether they are wanted. */
    despite: line(300).min(10, 'Say it in a sentence.').optional(),
    /** Open lines are asked as extra work once they turn out to be wanted; the shop carries them where this is not said. */
    openAsExtra: z.boolean().default(false),
    /** The last one that whoever makes it saw; 0 where there was none. */
    after: z.number().int().min(0),
  }),
  reply: z.object({ number: z.number() }),
});
export const withdrawQuote = endpoint({
  method: 'post',
  path: '/api/jobs/:jobId/quotes/:number/withdraw',
  summary: 'Takes a quote back that nobody answered yet',
  access: 'manage',
  params: ofQuote,
  body: z.object({ ...command }),
  reply: z.object({ number: z.number() }),
});
export const quotePdf = endpoint({
  method: 'get',
  path: '/api/jobs/:jobId/quotes/:number/pdf',
  summary: 'A quote as PDF in the name of the shop',
  access: 'manage',
  gives: ['application/pdf'],
  params: ofQuote,
  reply: fileReply,
});

export const paymentSorts = ['deposit', 'part', 'final', 'back'] as const;
export const payment = z.object({
  id,
  sort: z.enum(paymentSorts),
  amount: z.number(),
  on: z.string(),
  note: z.string(),
  by: z.string(),
});
/** Where the money of a job stands: asked, agreed, spent, paid. Amounts in the smallest unit. */
export const account = z.object({
  /** The quote that was accepted, with its gross; null where none was. */
  quoted: z.object({ number: z.number(), net: z.number(), gross: z.number(), deposit: z.number() }).nullable(),
  /** Extra work that was agreed to, and what is still asked. */
  extras: z.array(
    z.object({
      key: z.string(),
      what: z.string(),
      amount: z.number(),
      tax: z.number(),
      yes: z.boolean().nullable(),
      /** When it was answered, else when it was asked. */
      at: z.string(),
    }),
  ),
  /** What was agreed besides, with its taxes. */
  extraGross: z.number(),
  /** What it cost the shop so far: hours at their cost (null where that is not set), parts paid. */
  hours: z.number(),
  hoursCost: z.number().nullable(),
  parts: z.number(),
  payments: z.array(payment),
  /** Quoted and agreed extras, before tax. */
  agreed: z.number(),
  /** Agreed less spent; null where nothing was agreed or the cost of an hour is not set. */
  left: z.number().nullable(),
  /** Agreed less paid; null where nothing was agreed. */
  due: z.number().nullable(),
});
export type Account = z.infer<typeof account>;
export const readAccount = endpoint({
  method: 'get',
  path: '/api/jobs/:jobId/account',
  summary: 'Where the money of a job stands: quoted, agreed besides, spent, paid, left',
  access: 'manage',
  params: ofJob,
  reply: account,
});
export const addPayment = endpoint({
  method: 'post',
  path: '/api/jobs/:jobId/payments',
  summary: 'A deposit or a payment was received, or money given back',
  access: 'manage',
  params: ofJob,
  body: z.object({
    ...command,
    id,
    sort: z.enum(paymentSorts),
    amount: amountOfMoney.min(1, 'An amount is above nothing.'),
    on: isoDate,
    note: text(200).default(''),
  }),
  reply: z.object({ id }),
});
export const moneyLines = endpoint({
  method: 'get',
  path: '/api/jobs/:jobId/money.csv',
  summary: 'The money lines of a job for the bookkeeper, as CSV',
  access: 'manage',
  gives: ['text/csv'],
  params: ofJob,
  reply: fileReply,
});
const paper = (path: string, summary: string) =>
  endpoint({
    method: 'get',
    path,
    summary,
    access: 'manage',
    gives: ['application/pdf'],
    params: ofJob,
    reply: fileReply,
  });
export const extrasPdf = paper(
  '/api/jobs/:jobId/extras.pdf',
  'Extra work of a job against its quote, as PDF: each with its answer, and what it adds up to',
);
export const accountPdf = paper(
  '/api/jobs/:jobId/account.pdf',
  'The final account of a job as PDF in the name of the shop',
);
export const receiptPdf = endpoint({
  method: 'get',
  path: '/api/jobs/:jobId/payments/:paymentId/pdf',
  summary: 'A receipt for a payment as PDF in the name of the shop',
  access: 'manage',
  gives: ['application/pdf'],
  params: z.object({ jobId: id, paymentId: id }),
  reply: fileReply,
});
