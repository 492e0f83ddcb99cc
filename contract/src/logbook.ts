import { z } from 'zod';
import { askSorts, logKinds, pinSorts, triedFits } from '@bay/core/logbook';
import { gateNames } from '@bay/core/commissioning';
import { stationIds } from '@bay/core/jobs';
import { command, endpoint, fileReply, id, isoDate, line, longestAgoMs } from './endpoint.ts';
import type { RecordData } from '@bay/core/records';
import { act, amount, kind, storedSchema, text } from './kind.ts';
import { amountOfMoney } from './money.ts';
import { recordRow } from './record-row.ts';

const share = amount.min(0).max(1);

export const logbookKinds = {
  hold: kind<'hold'>(
    z.object({
      waitsFor: text(200).min(2, 'Say what it waits for.'),
      due: isoDate.optional(),
      about: text(120).optional(),
      forbiddenAt: z.enum(gateNames).optional(),
      released: act,
    }),
    {
      acts: ['released'],
      signed: 'once',
    },
  ),
  decision: kind<'decision'>(
    z.object({
      chosen: text(200).min(2, 'Say what was chosen.'),
      over: z.array(text(200)).max(10),
      because: text(500).min(3, 'A decision says why.'),
    }),
  ),
  tried: kind<'tried'>(
    z.object({
      part: text(160).min(2, 'Name the part.'),
      variant: text(160).optional(),
      how: text(400).min(3, 'Say how it fitted.'),
      fits: z.enum(triedFits, 'Choose one.').optional(),
      gapMm: amount.min(-500, 'At most 500 mm.').max(500, 'At most 500 mm.').optional(),
      alsoNotStandard: text(300).optional(),
      interfaceId: text(60).optional(),
      kitLine: text(60).optional(),
      back: z.boolean('Say whether it went back.'),
      moneyBack: z.boolean().optional(),
    }),
  ),
  photo: kind<'photo'>(
    z.object({
      caption: text(200),
      about: text(120).optional(),
      width: z.number().int().positive(),
      height: z.number().int().positive(),
    }),
  ),
  pin: kind<'pin'>(
    z.object({
      photoId: id,
      number: z.number().int().min(1).max(999),
      x: share,
      y: share,
      toX: share.optional(),
      toY: share.optional(),
      sort: z.enum(pinSorts),
      text: text(200),
      removed: z.boolean().optional(),
    }),
  ),
  ask: kind<'ask'>(
    z.object({
      ask: z.enum(askSorts),
      to: z.union([z.literal('manager'), z.literal('customer'), id]),
      what: text(400).min(2, 'Say what is asked.'),
      about: text(120).optional(),
      amount: amountOfMoney.optional(),
      tax: z
        .number('A percentage is a number.')
        .min(0, 'A percentage is not below nothing.')
        .max(100, 'At most 100 %.')
        .optional(),
      why: text(400).optional(),
      otherwise: text(400).optional(),
      photoId: id.optional(),
      holds: z.array(text(120)).max(20, 'At most 20.').optional(),
      answer: z.object({ yes: z.boolean().optional(), text: text(400).default('') }).optional(),
    }),
    { acts: ['answer'], signed: 'once', people: { to: 'toName' }, money: 'amount' },
  ),
};

export const markKinds = ['corrected', 'struck', 'undone'] as const;
export const logMark = z.object({ kind: z.enum(markKinds), text: z.string(), by: z.string(), at: z.string() });

export const logEntry = z.object({
  id: z.number(),
  kind: z.enum(logKinds),
  station: z.string().nullable(),
  text: z.string(),
  /** The line of the plan it speaks of. */
  about: z.string().nullable(),
  data: z.record(z.string(), z.unknown()),
  byId: id,
  by: z.string(),
  initials: z.string(),
  at: z.string(),
  /** When the server had it, where that is later than when it was done. */
  receivedAt: z.string().nullable(),
  commandId: id.nullable(),
  /** Corrections and strikes, the oldest first; the wording before stays readable. */
  marks: z.array(logMark),
});
export type LogEntry = z.infer<typeof logEntry>;

const count = (most: number, usual: number) => z.coerce.number().int().min(1).max(most).default(usual);
const listOf = <T extends string>(of: readonly [T, ...T[]]) =>
  z
    .string()
    .transform((s) => s.split(','))
    .pipe(z.array(z.enum(of)));

/** What a page of the book may be narrowed to. Several kinds are joined by commas. */
const filters = {
  kind: listOf(logKinds).optional(),
  station: z.enum(stationIds).optional(),
  by: id.optional(),
  /** First and last day, and the minutes the reader's clock is ahead of UTC. */
  from: isoDate.optional(),
  to: isoDate.optional(),
  offset: z.coerce.number().int().min(-900).max(900).default(0),
  about: z.string().max(120).optional(),
};

export const readLog = endpoint({
  method: 'get',
  path: '/api/jobs/:jobId/log',
  summary: 'The logbook, newest page first, each page oldest line first',
  access: 'look',
  params: z.object({ jobId: id }),
  query: z.object({ before: z.coerce.number().int().positive().optional(), limit: count(200, 100), ...filters }),
  reply: z.object({ entries: z.array(logEntry), more: z.boolean() }),
});

/** A line that was found, with the words that hit between `\u0001` and `\u0002`. */
export const logHit = logEntry.extend({ jobId: id, number: z.string(), carName: z.string(), hit: z.string() });
export type LogHit = z.infer<typeof logHit>;
export const searchLog = endpoint({
  method: 'get',
  path: '/api/log',
  summary: 'Search the words of every logbook of the shop, or of one job',
  access: 'look',
  query: z.object({
    q: z.string().trim().min(2, 'Two letters or more.').max(120),
    jobId: id.optional(),
    limit: count(100, 40),
  }),
  reply: z.object({ hits: z.array(logHit) }),
});

/** A part that was tried in this shop, with the car and the engine it was tried for. */
export const triedPart = z.object({
  jobId: id,
  number: z.string(),
  carName: z.string(),
  engineName: z.string().nullable(),
  key: z.string(),
  tried: storedSchema(logbookKinds.tried) as unknown as z.ZodType<RecordData<'tried'>>,
});
export type TriedPart = z.infer<typeof triedPart>;
export const findTried = endpoint({
  method: 'get',
  path: '/api/tried',
  summary:
    'Parts that were tried on any job of the shop, the newest first: by words, or by the line of the kit they were bought for',
  access: 'look',
  query: z.object({
    q: z.string().trim().max(120).optional(),
    kitLine: z.string().max(60).optional(),
    limit: count(200, 100),
  }),
  reply: z.object({ parts: z.array(triedPart) }),
});

export const writeLog = endpoint({
  method: 'post',
  path: '/api/jobs/:jobId/log',
  summary: 'Write one line in plain words or shorthand',
  access: 'work',
  params: z.object({ jobId: id }),
  body: z.object({ ...command, line: line(1000), today: isoDate, about: z.string().max(120).optional() }),
  reply: z.object({ entry: logEntry }),
});

export const markEntry = endpoint({
  method: 'post',
  path: '/api/jobs/:jobId/log/:entryId/mark',
  summary: 'Correct or strike a line; its author or the manager may. The earlier wording stays',
  access: 'work',
  params: z.object({ jobId: id, entryId: z.coerce.number().int().positive() }),
  body: z
    .object({ ...command, kind: z.enum(['corrected', 'struck']), text: z.string().trim().max(1000) })
    .superRefine(({ kind, text }, at) => {
      if (text.length < 2)
        at.addIssue({
          code: 'custom',
          path: ['text'],
          message: kind === 'corrected' ? 'Write how it should read.' : 'Say why it is struck.',
        });
    }),
  reply: z.object({ entry: logEntry }),
});

export const undoCommand = endpoint({
  method: 'post',
  path: '/api/commands/:target/undo',
  summary: 'Undo a command of your own within 30 seconds',
  access: 'work',
  params: z.object({ target: id }),
  body: z.object({
    ...command,
    /** It may be on its way still: where it is not here yet, it is refused when it comes. */
    orRefuseIt: z.literal(true).optional(),
  }),
  reply: z.object({ undone: z.array(z.string()) }),
});
export const undoSeconds = 30;

export const photoSizes = ['original', 'screen', 'thumb'] as const;
export const photoPath = (photoId: string, size: (typeof photoSizes)[number]): string =>
  `/api/photos/${photoId}/${size}`;
export const readPhoto = endpoint({
  method: 'get',
  path: '/api/photos/:photoId/:size',
  summary: 'A photo in one of its sizes; the original comes as a file to keep',
  access: 'look',
  params: z.object({
    photoId: id,
    size: z
      .string()
      .max(20)
      .meta({ description: `One of ${photoSizes.join(', ')}` }),
  }),
  gives: ['image/jpeg', 'image/png', 'image/webp', 'image/avif', 'image/gif', 'image/tiff'],
  reply: fileReply,
});
export const readLogTable = endpoint({
  method: 'get',
  path: '/api/jobs/:jobId/log.csv',
  summary: 'The whole logbook of a job as a table (CSV, RFC 4180), oldest line first',
  access: 'look',
  params: z.object({ jobId: id }),
  gives: ['text/csv'],
  reply: fileReply,
});
export const mostPhotoBytes = 20 * 1024 * 1024;

export const addPhoto = endpoint({
  method: 'post',
  path: '/api/jobs/:jobId/photos',
  summary: 'Add a photo as a form with the file in the field "file", 20 MB at most; location data is taken out',
  access: 'work',
  params: z.object({ jobId: id }),
  form: true,
  body: z.object({
    commandId: id,
    agoMs: z.coerce.number().int().min(0).max(longestAgoMs, 'Done longer ago than two months.').optional(),
    writtenBy: id.optional(),
    photoId: id,
    caption: z.string().trim().max(200).default(''),
    about: z.string().max(120).optional(),
  }),
  reply: z.object({ record: recordRow }),
});
