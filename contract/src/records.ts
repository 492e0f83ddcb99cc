import { z } from 'zod';
import { unitRoles } from '@bay/core/jobs';
import { taskStatuses } from '@bay/core/pull';
import { kitStatuses } from '@bay/core/kit';
import { partConditions } from '@bay/core/donors';
import { provisionalKindIds } from '@bay/core/commissioning';
import { dropLimits } from '@bay/core/sums';
import type { LoadKind } from '@bay/core/sums';
import { command, endpoint, id, isoDate } from './endpoint.ts';

/**
 * What people record on a job. One mechanism for all kinds: a row has a kind, a key that is unique within job and kind,
 * data of that kind's schema, and a revision. Names and times inside the data are stamped by the server.
 */
const text = (max: number): z.ZodString => z.string().trim().max(max, `At most ${max} characters.`);
const stamp = { by: z.string().optional(), at: z.string().optional() };
const amount = z.number().finite();
/** What a bolted joint belongs to. */
export const boltedRoles = ['engine', 'gearbox', 'car'] as const;
export const askSorts = ['question', 'approval', 'signature', 'reading'] as const;
export const pinSorts = ['bag', 'part', 'finding', 'measurement', 'note'] as const;
const share = amount.min(0).max(1);
const verdictWord = z.enum(['bolts-up', 'adapt', 'clash']);

export const recordSchemas = {
  task: z.object({ status: z.enum(taskStatuses), note: text(500).optional(), handedTo: text(60).optional(), ...stamp }),
  kit: z.object({ status: z.enum(kitStatuses), options: text(300).optional(), note: text(500).optional(), price: amount.min(0).optional(), ...stamp }),
  fit: z.object({
    judged: z.object({ word: verdictWord, why: text(300).min(3, 'Say why.'), by: z.string().default(''), at: z.string().default('') }).optional(),
    trial: z
      .object({
        word: verdictWord,
        gapMm: amount.optional(),
        place: text(120).min(2, 'Say where it was read.'),
        condition: z.enum(['cold', 'hot']),
        by: z.string().default(''),
        at: z.string().default(''),
      })
      .optional(),
    resolution: z
      .object({
        text: text(500).min(3, 'Say what is done.'),
        kit: z.array(z.string()).max(20),
        asked: z.array(z.string()).max(30),
        by: z.string().default(''),
        at: z.string().default(''),
      })
      .optional(),
  }),
  gate: z.object({
    text: text(500),
    reading: text(80).optional(),
    signedBy: z.string().optional(),
    secondBy: text(60).optional(),
    override: z.object({ by: z.string().default(''), second: text(60).optional(), reason: text(500) }).optional(),
    voided: z.object({ why: text(200) }).optional(),
    ...stamp,
  }),
  circuit: z.object({
    title: text(120).min(2, 'Say what the circuit is.'),
    from: text(120),
    to: text(120),
    signal: text(60),
    load: z.enum(Object.keys(dropLimits) as [LoadKind, ...LoadKind[]]),
    currentA: amount.positive().max(2000).optional(),
    lengthM: amount.positive().max(50).optional(),
    areaMm2: amount.positive().max(200).optional(),
    fuseA: amount.positive().max(500).optional(),
    labelA: text(20),
    labelB: text(20),
    testedBy: z.string().optional(),
    testedAt: z.string().optional(),
  }),
  sheet: z.object({ sheet: text(20), place: text(10), readings: z.record(z.string(), amount), typed: z.record(z.string(), z.string()), ...stamp }),
  limits: z.object({ limits: z.record(z.string(), amount), source: text(200), ...stamp }),
  joint: z.object({ name: text(80).min(2, 'Name the joint.'), on: z.enum(boltedRoles).default('engine'), bolts: z.number().int().min(1).max(60), ...stamp }),
  torque: z.object({
    joint: text(80),
    on: z.enum(boltedRoles).default('engine'),
    bolt: text(10),
    stagesNm: z.array(amount.positive().max(2000)).max(6),
    angleDeg: amount.positive().max(720).optional(),
    source: text(200),
    voided: z.object({ by: z.string().default(''), at: z.string().default(''), why: text(200) }).optional(),
    ...stamp,
  }),
  /** Something seen on a unit, with what follows from it; it stays with the unit. */
  finding: z.object({
    on: z.enum(unitRoles),
    what: text(300).min(3, 'Say what was found.'),
    lookedAt: text(40).optional(),
    follows: text(300).optional(),
    settled: z.object({ how: text(300).min(3, 'Say how it was settled.'), by: z.string().default(''), at: z.string().default('') }).optional(),
    ...stamp,
  }),
  /** Bolts in a bag: what, how many, where it lies, and whether they went back. */
  bag: z.object({
    what: text(200).min(2, 'Say what is in the bag.'),
    label: text(20).min(1, 'Give the bag its number.'),
    place: text(80).optional(),
    back: z.object({ by: z.string().default(''), at: z.string().default('') }).optional(),
    ...stamp,
  }),
  fluid: z.object({
    way: z.enum(['drained', 'filled']),
    litres: amount.positive().max(1000),
    what: text(120).min(2, 'Say which fluid.'),
    note: text(300).optional(),
    ...stamp,
  }),
  decision: z.object({
    chosen: text(200).min(2, 'Say what was chosen.'),
    over: z.array(text(200)).max(10),
    because: text(500).min(3, 'A decision says why.'),
    ...stamp,
  }),
  /** Offered up and failed: kept with what it was tried on, so that nobody tries it again unknowing. */
  tried: z.object({
    part: text(160).min(2, 'Name the part.'),
    how: text(400).min(3, 'Say how it fitted.'),
    alsoNotStandard: text(300).optional(),
    interfaceId: text(60).optional(),
    back: z.boolean(),
    ...stamp,
  }),
  photo: z.object({
    caption: text(200),
    about: text(120).optional(),
    width: z.number().int().positive(),
    height: z.number().int().positive(),
    ...stamp,
  }),
  /** A numbered place on a photo, in shares of its width and height; with a second point it is an arrow. */
  pin: z.object({
    photoId: id,
    number: z.number().int().min(1).max(999),
    x: share,
    y: share,
    toX: share.optional(),
    toY: share.optional(),
    sort: z.enum(pinSorts),
    text: text(200),
    removed: z.boolean().optional(),
    ...stamp,
  }),
  /** Something one person wants of another: an answer, an approval, a signature, a reading. */
  ask: z.object({
    ask: z.enum(askSorts),
    to: z.union([z.literal('manager'), z.literal('customer'), id]),
    /** Of whom it is asked, as people say it. */
    toName: text(60).optional(),
    what: text(400).min(2, 'Say what is asked.'),
    about: text(120).optional(),
    amount: amount.min(0).optional(),
    answer: z.object({ yes: z.boolean().optional(), text: text(400).default(''), by: z.string().default(''), at: z.string().default('') }).optional(),
    ...stamp,
  }),
  part: z.object({
    takeId: text(60),
    title: text(120).min(2, 'Name the part.'),
    condition: z.enum(partConditions),
    label: text(20),
    place: text(60),
    note: text(300).optional(),
    ...stamp,
  }),
  hold: z.object({
    waitsFor: text(200).min(2, 'Say what it waits for.'),
    due: isoDate.optional(),
    released: z.object({ by: z.string().default(''), at: z.string().default('') }).optional(),
    ...stamp,
  }),
  provisional: z.object({
    what: text(200).min(2, 'Say what is provisional.'),
    kind: z.enum(provisionalKindIds).optional(),
    /** What ends it, where it is not what usually ends its kind. */
    ends: text(200).optional(),
    ended: z.object({ by: z.string().default(''), at: z.string().default('') }).optional(),
    ...stamp,
  }),
  priming: z.object({ way: text(60), bar: amount.min(0).max(20), seconds: amount.min(0).max(3600), note: text(300).optional(), ...stamp }),
  attempt: z.object({
    number: z.number().int().min(1),
    seconds: amount.min(0).max(60),
    result: z.enum(['no-crank', 'cranks-no-fire', 'fires-and-dies', 'runs']),
    volts: amount.min(0).max(40).optional(),
    rpm: amount.min(0).max(10000).optional(),
    heard: text(300).optional(),
    change: text(300).optional(),
    ...stamp,
  }),
  case: z.object({
    symptom: text(200).min(3, 'Say what it does.'),
    touched: z.array(text(40)).max(20),
    closed: z.object({ faultId: text(60), reason: text(500).min(3, 'Say what was found.'), by: z.string().default(''), at: z.string().default('') }).optional(),
    ...stamp,
  }),
  observation: z.object({
    caseId: id,
    observationId: text(60),
    outcome: text(60),
    reading: text(60).optional(),
    also: text(60).optional(),
    withdrawn: z.boolean().optional(),
    ...stamp,
  }),
  'follow-up': z.object({
    what: text(200).min(2, 'Say what is to be done.'),
    on: isoDate.optional(),
    atKm: amount.positive().optional(),
    done: z.object({ by: z.string().default(''), at: z.string().default(''), note: text(300).optional() }).optional(),
    ...stamp,
  }),
  school: z.object({ side: text(60), reason: text(300).min(3, 'A job that differs from the shop says why.'), ...stamp }),
  signature: z.object({ what: text(80), statement: text(500), ...stamp }),
  candidate: z.object({ cost: amount.min(0).optional(), note: text(300).optional(), ...stamp }),
} as const;

/** What only those see who may see money. */
export const moneyFields: Partial<Record<keyof typeof recordSchemas, readonly string[]>> = { kit: ['price'], candidate: ['cost'], ask: ['amount'] };

export type RecordKind = keyof typeof recordSchemas;
export const recordKinds = Object.keys(recordSchemas) as [RecordKind, ...RecordKind[]];
export type RecordData<K extends RecordKind> = z.infer<(typeof recordSchemas)[K]>;

export const recordRow = z.object({
  kind: z.enum(recordKinds),
  key: z.string(),
  data: z.record(z.string(), z.unknown()),
  revision: z.number(),
  /** Role of the unit it hangs on; none where it hangs on the job. */
  on: z.enum(unitRoles).nullish(),
  by: z.string(),
  at: z.string(),
});
export type RecordRow = z.infer<typeof recordRow>;

export const putRecord = endpoint({
  method: 'put',
  path: '/api/jobs/:jobId/records/:kind/:key',
  summary: 'Write a record; an old revision is refused with the row as it is now',
  access: 'work',
  params: z.object({ jobId: id, kind: z.enum(recordKinds), key: z.string().min(1).max(120) }),
  body: z.object({ ...command, data: z.record(z.string(), z.unknown()), revision: z.number().int().min(0) }),
  reply: z.object({ record: recordRow }),
});
