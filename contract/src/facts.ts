import { z } from 'zod';
import { factSources, typedSources } from '@bay/core/facts';
import { command, endpoint, id } from './endpoint.ts';

export const factRow = z.object({
  bearerId: id,
  factId: z.string(),
  parts: z.record(z.string(), z.union([z.number(), z.string(), z.array(z.array(z.number()).readonly()).readonly()])),
  typed: z.record(z.string(), z.string()),
  source: z.enum(factSources),
  note: z.string().nullable(),
  by: z.string(),
  at: z.string(),
  revision: z.number(),
});
export type FactRow = z.infer<typeof factRow>;

export const difference = z.object({
  added: z.array(z.string()),
  dropped: z.array(z.string()),
  verdicts: z.array(z.object({ id: z.string(), from: z.string(), to: z.string() })),
});

/** Role of a unit in a job; choices hang on the job itself. */
export const bearerRoles = ['job', 'car', 'engine', 'gearbox', 'own-engine', 'own-gearbox', 'donor'] as const;

export const putFact = endpoint({
  method: 'put',
  path: '/api/jobs/:jobId/facts/:bearer/:factId',
  summary: 'Write what is known of a fact; every part empty makes it not known again',
  access: 'work',
  params: z.object({ jobId: id, bearer: z.enum(bearerRoles), factId: z.string() }),
  body: z.object({
    ...command,
    typed: z.record(z.string(), z.string().max(2000)),
    source: z.enum(typedSources),
    note: z.string().max(300).optional(),
    /** It is so, however unlikely: what would be asked about is kept. */
    certain: z.boolean().optional(),
    /** Revision the writer saw; 0 for a fact nobody knew. */
    revision: z.number().int().min(0),
  }),
  reply: z.object({ fact: factRow.nullable(), difference }),
});

export const factHistory = endpoint({
  method: 'get',
  path: '/api/jobs/:jobId/facts/:bearer/:factId/history',
  summary: 'Every version of a fact, newest first',
  access: 'look',
  params: z.object({ jobId: id, bearer: z.enum(bearerRoles), factId: z.string() }),
  reply: z.object({ versions: z.array(factRow) }),
});
