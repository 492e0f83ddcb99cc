import { z } from 'zod';
import type { RecordKind } from '@bay/core/records';
import { id } from './endpoint.ts';

/** One thing that changed: small, because a notification carries little; a device fetches what it shows of it. */
export const change = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('record'),
    record: z.custom<RecordKind>((v) => typeof v === 'string'),
    key: z.string(),
    revision: z.number(),
  }),
  z.object({ kind: z.literal('fact'), factId: z.string(), revision: z.number() }),
  z.object({ kind: z.literal('log'), entryId: z.number() }),
  /** The job's own row, or which units serve it. */
  z.object({ kind: z.literal('job') }),
  z.object({ kind: z.literal('clock'), personId: id }),
  z.object({ kind: z.literal('unit'), unitId: id }),
  z.object({ kind: z.literal('links') }),
  z.object({ kind: z.literal('schools') }),
  /** Lines that the shop keeps. */
  z.object({ kind: z.literal('rules') }),
  z.object({ kind: z.literal('crew') }),
  z.object({ kind: z.literal('suppliers') }),
  /** Places of the store, and what moved with them. */
  z.object({ kind: z.literal('store') }),
  /** Orders of the shop. */
  z.object({ kind: z.literal('orders') }),
  /** Quotes, payments, the account of a job. */
  z.object({ kind: z.literal('money') }),
  /** What is set for the whole shop. */
  z.object({ kind: z.literal('shop') }),
  z.object({ kind: z.literal('sessions') }),
  /** More than can be named: everything on the job is read again. */
  z.object({ kind: z.literal('all') }),
]);
export type Change = z.infer<typeof change>;

/** What a command changed, told to every device of the shop at its commit. */
export const liveEvent = z.object({
  shopId: id,
  jobId: id.optional(),
  by: z.string(),
  /** The command that did it. */
  id: id.optional(),
  changes: z.array(change),
});
export type LiveEvent = z.infer<typeof liveEvent>;
