import { z } from 'zod';
import './sentences.ts';

export type Method = 'get' | 'post' | 'put' | 'delete';

/** One endpoint: the server registers a handler for it, the web calls it, the OpenAPI document is made from it. */
export interface Endpoint<
  P extends z.ZodType = z.ZodType,
  Q extends z.ZodType = z.ZodType,
  B extends z.ZodType = z.ZodType,
  R extends z.ZodType = z.ZodType,
> {
  method: Method;
  /** Express form: `/api/jobs/:jobId`. */
  path: string;
  summary: string;
  /** Who may call it; nobody signed in where it says open. */
  access: 'open' | 'shop' | 'look' | 'work' | 'manage';
  /** The body is a form with a file, not JSON. */
  form?: true;
  /** The reply is a file of one of these media types, not JSON. */
  gives?: readonly string[];
  params: P;
  query: Q;
  body: B;
  reply: R;
}

const none = z.object({});

/** Declares an endpoint; what is left out is an empty object. */
export function endpoint<
  P extends z.ZodType = typeof none,
  Q extends z.ZodType = typeof none,
  B extends z.ZodType = typeof none,
  R extends z.ZodType = typeof none,
>(e: {
  method: Method;
  path: string;
  summary: string;
  access: Endpoint['access'];
  form?: true;
  gives?: readonly string[];
  params?: P;
  query?: Q;
  body?: B;
  reply?: R;
}): Endpoint<P, Q, B, R> {
  return {
    ...e,
    params: e.params ?? (none as unknown as P),
    query: e.query ?? (none as unknown as Q),
    body: e.body ?? (none as unknown as B),
    reply: e.reply ?? (none as unknown as R),
  };
}

/** A file as a reply: its name where it is to be kept, its media type, and how long a device may keep it. */
export interface FileReply {
  name?: string;
  type: string;
  bytes: Uint8Array | string;
  /** What has an id that never changes may be kept for good. */
  keep?: 'for-good' | 'never';
}
export const fileReply = z.custom<FileReply>((v) => typeof v === 'object' && v !== null && 'type' in v && 'bytes' in v);

export const id = z.uuid();
/** How long a command may have waited on a device, milliseconds. */
export const longestAgoMs = 60 * 24 * 3_600_000;
/**
 * A command carries an id made by the client: sent twice, it is done once and answers the same. `agoMs` is how long ago it was
 * done when it is sent, milliseconds by the device's own clock, for what waited on a device without a network.
 */
export const command = {
  commandId: id,
  agoMs: z.number().int().min(0).max(longestAgoMs, 'Done longer ago than two months.').optional(),
  /** Who did it: refused under the session of anybody else, so that nothing is written under a name that did not do it. */
  writtenBy: id.optional(),
};
export const line = (max: number): z.ZodString =>
  z.string().trim().min(1, 'Nothing typed.').max(max, `At most ${max} characters.`);
/** Days and moments of this trade: what lies outside was mistyped, or sent to do harm. */
const ofThisAge = (text: string): boolean => {
  const year = Number(text.slice(0, 4));
  return year >= 1900 && year <= 2200;
};
export const isoDate = z.iso.date().refine(ofThisAge, 'A day between 1900 and 2200 is wanted.');
export const isoMoment = z.iso.datetime().refine(ofThisAge, 'A moment between 1900 and 2200 is wanted.');

/** What a refusal is, for programs: stable, whatever its sentence says. */
export const problemCodes = [
  'bad-request',
  'signed-out',
  'not-allowed',
  'page-out-of-date',
  'somebody-else',
  'not-here',
  'conflict',
  'stale',
  'too-large',
  'unreadable',
  'bad-input',
  'too-many',
  'failed',
  'no-connection',
] as const;
export type ProblemCode = (typeof problemCodes)[number];

/** RFC 9457 problem details, with a sentence a technician understands and a code a program does. */
export const problem = z.object({
  type: z.string(),
  code: z.enum(problemCodes),
  title: z.string(),
  status: z.number(),
  detail: z.string().optional(),
  /** Sentences by field. */
  fields: z.record(z.string(), z.string()).optional(),
  /** At a stale write: the row as it is now, and who changed it. */
  current: z.unknown().optional(),
});
export type Problem = z.infer<typeof problem>;
