import { z } from 'zod';
import {
  bagReuses,
  labelPapers,
  linkFates,
  linkSorts,
  mapSide,
  partConditions,
  partFates,
  partSources,
  placeSorts,
} from '@bay/core/parts';
import type { LabelPaper } from '@bay/core/parts';
import { command, endpoint, fileReply, id, line } from './endpoint.ts';
import { act, amount, kind, text } from './kind.ts';
import { amountOfMoney } from './money.ts';
import { recordRow } from './record-row.ts';

export const partsKinds = {
  part: kind<'part'>(
    z.object({
      takeId: text(60),
      title: text(120).min(2, 'Name the part.'),
      condition: z.enum(partConditions),
      label: text(20),
      place: text(60),
      note: text(300).optional(),
      variant: text(80).optional(),
      number: text(60).optional(),
      fate: z.enum(partFates).optional(),
      forJob: id.optional(),
      goneTo: text(80).optional(),
      cameFrom: z.enum(partSources).optional(),
      cameOf: text(80).optional(),
      notOriginal: text(200).optional(),
      photoId: id.optional(),
      value: amountOfMoney.optional(),
    }),
    { money: 'value' },
  ),
  bag: kind<'bag'>(
    z.object({
      what: text(200).min(2, 'Say what is in the bag.'),
      label: text(20).min(1, 'Give the bag its number.'),
      place: text(80).optional(),
      count: z.number('A count is a whole number.').int('Counted whole.').min(0).max(999, 'At most 999.').optional(),
      thread: text(40).optional(),
      lengthMm: amount.positive('A length is above nothing.').max(1000, 'At most a metre.').optional(),
      head: text(40).optional(),
      reuse: z.enum(bagReuses).optional(),
      step: text(120).optional(),
      goesAt: text(120).optional(),
      leftOver: z.number('A count is a whole number.').int('Counted whole.').min(0).max(999, 'At most 999.').optional(),
      leftWhy: text(200).optional(),
      back: act,
    }),
    { acts: ['back'], signed: 'once' },
  ),
  link: kind<'link'>(
    z.object({
      what: z.enum(linkSorts),
      name: text(80).min(2, 'Say what it is.'),
      from: text(80).optional(),
      to: text(80).optional(),
      label: text(20).optional(),
      fate: z.enum(linkFates),
      capped: z.boolean().optional(),
      cut: z.boolean().optional(),
      step: text(120).optional(),
      photoId: id.optional(),
      off: act,
      on: act,
      dropped: z.object({ why: text(200).min(3, 'Say why it counts no more.') }).optional(),
    }),
    { acts: ['off', 'on', 'dropped'] },
  ),
};

export const readPart = endpoint({
  method: 'get',
  path: '/api/parts/:partId',
  summary: 'One harvested part: what its label opens',
  access: 'look',
  params: z.object({ partId: id }),
  reply: z.object({ jobId: id, number: z.string(), carName: z.string(), record: recordRow }),
});

/** Something that lies in the shop: a part, a bag, a unit. */
export const stored = z.object({
  sort: z.enum(['part', 'bag', 'unit']),
  id,
  title: z.string(),
  label: z.string(),
  place: z.string(),
  /** Condition of a part, count of a bag, kind of a unit. */
  detail: z.string(),
  /** The job that it came from; of a unit the one that it serves. */
  jobId: id.nullable(),
  jobNumber: z.string().nullable(),
  carName: z.string().nullable(),
  /** Of a part: the open job that it is kept for. */
  forJobId: id.nullable(),
  forJobNumber: z.string().nullable(),
  fate: z.enum(partFates),
  since: z.string(),
  key: z.string(),
  revision: z.number(),
});
export type Stored = z.infer<typeof stored>;
export const listStore = endpoint({
  method: 'get',
  path: '/api/store',
  summary: 'What lies in the shop: found by words, by place, by job; a page by title, units last',
  access: 'look',
  query: z.object({
    q: z.string().trim().max(80).default(''),
    place: z.string().trim().max(80).optional(),
    jobId: id.optional(),
    /** Also what is gone, built in or went back on. */
    all: z.stringbool().default(false),
    /** The last thing of the page before: whether it was a unit, its title and its id. */
    afterSort: z.enum(['part', 'bag', 'unit']).optional(),
    afterTitle: z.string().max(300).optional(),
    afterId: id.optional(),
  }),
  reply: z.object({ things: z.array(stored), more: z.boolean() }),
});

const square = z
  .number('Whole squares of the floor.')
  .int('Whole squares of the floor.')
  .min(0, 'On the floor.')
  .max(mapSide, `The floor has ${mapSide} squares each way.`);
/** A place of the store as it is drawn. */
const drawnPlace = z.object({
  name: line(60),
  sort: z.enum(placeSorts),
  left: square,
  top: square,
  wide: square.min(1, 'At least one square.'),
  high: square.min(1, 'At least one square.'),
  dry: z.boolean(),
  holds: z
    .number('A whole number.')
    .int('Counted whole.')
    .min(1, 'At least one.')
    .max(9999, 'At most 9999.')
    .nullable(),
});
export const storePlace = drawnPlace.extend({ id, revision: z.number() });
export type StorePlace = z.infer<typeof storePlace>;
export const listPlaces = endpoint({
  method: 'get',
  path: '/api/store/places',
  summary: 'The places of the shop with how many things lie in each, and the store as it is drawn',
  access: 'look',
  reply: z.object({
    places: z.array(z.object({ place: z.string(), things: z.number(), oldest: z.string() })),
    drawn: z.array(storePlace),
  }),
});
export const drawPlace = endpoint({
  method: 'put',
  path: '/api/store/map/:placeId',
  summary: 'Draws a place of the store, moves or renames it; what lies in it is renamed with it',
  access: 'work',
  params: z.object({ placeId: id }),
  body: drawnPlace.extend({ ...command, revision: z.number().int().min(0) }),
  reply: z.object({ place: storePlace, moved: z.number() }),
});
export const erasePlace = endpoint({
  method: 'delete',
  path: '/api/store/map/:placeId',
  summary: 'Takes a place off the drawing; what lies there keeps its place',
  access: 'work',
  params: z.object({ placeId: id }),
  body: z.object({ ...command, revision: z.number().int().min(1) }),
  reply: z.object({ erased: z.boolean() }),
});
export const movePlace = endpoint({
  method: 'post',
  path: '/api/store/move',
  summary: 'Everything that lies in one place lies in another now',
  access: 'work',
  body: z.object({ ...command, from: line(80), to: line(80) }),
  reply: z.object({ moved: z.number() }),
});
export const labelsPdf = endpoint({
  method: 'get',
  path: '/api/jobs/:jobId/labels.pdf',
  summary: 'Labels of the parts, bags and links of a job, with their code, on a common paper, as PDF',
  access: 'look',
  gives: ['application/pdf'],
  params: z.object({ jobId: id }),
  query: z.object({
    paper: z.enum(labelPapers.map((p) => p.id) as [LabelPaper['id'], ...LabelPaper['id'][]]).default('sheet-24'),
    /** The first label that is still free on a begun sheet. */
    first: z.coerce.number().int().min(1, 'The first label is 1.').max(200, 'No sheet has so many.').default(1),
    /** Keys of the things that get one, with commas between; all of them where nothing is said. */
    keys: z.string().max(20_000).optional(),
  }),
  reply: fileReply,
});
export const changeStored = endpoint({
  method: 'post',
  path: '/api/store/:sort/:thingId',
  summary: 'A part or a bag lies elsewhere, is kept for a job, or is gone; what is not named stays as it is',
  access: 'work',
  params: z.object({ sort: z.enum(['part', 'bag']), thingId: id }),
  body: z.object({
    ...command,
    revision: z.number().int().min(1),
    place: line(60).optional(),
    /** Null lets it go free. */
    forJob: id.nullable().optional(),
    fate: z.enum(partFates).optional(),
    goneTo: text(80).optional(),
    note: text(300).optional(),
  }),
  reply: z.object({ revision: z.number() }),
});
