import { z } from 'zod';
import { workKinds } from '@bay/core/clock';
import { stationIds } from '@bay/core/jobs';
import { command, endpoint, id, isoMoment } from './endpoint.ts';

const moment = isoMoment;

export const clockRow = z.object({
  id,
  jobId: id,
  personId: id,
  person: z.string(),
  initials: z.string(),
  about: z.string().nullable(),
  title: z.string(),
  station: z.enum(stationIds),
  work: z.enum(workKinds),
  redoes: z.string().nullable(),
  /** Least and most minutes that were estimated when it began. */
  estimate: z.array(z.number()).nullable(),
  startedAt: z.string(),
  endedAt: z.string().nullable(),
  corrections: z.array(
    z.object({
      reason: z.string(),
      by: z.string(),
      at: z.string(),
      startedAt: z.string(),
      endedAt: z.string().nullable(),
    }),
  ),
  revision: z.number(),
});
export type ClockRow = z.infer<typeof clockRow>;

export const startClock = endpoint({
  method: 'post',
  path: '/api/jobs/:jobId/clock',
  summary: 'Clock yourself on; what ran before ends',
  access: 'work',
  params: z.object({ jobId: id }),
  body: z
    .object({
      ...command,
      about: z.string().max(120).optional(),
      title: z.string().trim().min(2, 'Say what you work on.').max(160),
      station: z.enum(stationIds),
      work: z.enum(workKinds),
      redoes: z.string().trim().max(300).optional(),
    })
    .refine((b) => b.work !== 'rework' || (b.redoes ?? '').length >= 3, {
      path: ['redoes'],
      message: 'Rework names what it redoes.',
    }),
  reply: z.object({ clock: clockRow }),
});
export const stopClock = endpoint({
  method: 'post',
  path: '/api/clock/stop',
  summary: 'Clock yourself off',
  access: 'work',
  body: z.object({ ...command }),
  reply: z.object({ clock: clockRow.nullable() }),
});
export const correctClock = endpoint({
  method: 'put',
  path: '/api/clock/:clockId',
  summary: "Correct when a clock began or ended, with a reason; your own, or anyone's for the manager",
  access: 'work',
  params: z.object({ clockId: id }),
  body: z.object({
    ...command,
    revision: z.number().int().min(1),
    startedAt: moment,
    endedAt: moment.nullable(),
    reason: z.string().trim().min(3, 'Say why.').max(300),
  }),
  reply: z.object({ clock: clockRow }),
});
export const readClocks = endpoint({
  method: 'get',
  path: '/api/jobs/:jobId/clock',
  summary: 'Every clock of a job',
  access: 'look',
  params: z.object({ jobId: id }),
  reply: z.object({ clocks: z.array(clockRow) }),
});
