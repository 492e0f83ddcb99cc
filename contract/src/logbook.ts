import { z } from 'zod';
import { logKinds } from '@bay/core/logbook';
import { command, endpoint, id, line } from './endpoint.ts';

export const logEntry = z.object({
  id: z.number(),
  kind: z.enum(logKinds),
  station: z.string().nullable(),
  text: z.string(),
  /** The line of the plan it speaks of. */
  about: z.string().nullable(),
  data: z.record(z.string(), z.unknown()),
  by: z.string(),
  initials: z.string(),
  at: z.string(),
});
export type LogEntry = z.infer<typeof logEntry>;

export const readLog = endpoint({
  method: 'get',
  path: '/api/jobs/:jobId/log',
  summary: 'The logbook, newest page first, each page oldest line first',
  access: 'look',
  params: z.object({ jobId: id }),
  query: z.object({ before: z.coerce.number().int().positive().optional(), limit: z.coerce.number().int().min(1).max(200).default(100) }),
  reply: z.object({ entries: z.array(logEntry), more: z.boolean() }),
});

export const writeLog = endpoint({
  method: 'post',
  path: '/api/jobs/:jobId/log',
  summary: 'Write one line in plain words or shorthand',
  access: 'work',
  params: z.object({ jobId: id }),
  body: z.object({ ...command, line: line(1000), today: z.iso.date() }),
  reply: z.object({ entry: logEntry }),
});
