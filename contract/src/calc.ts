import { z } from 'zod';
import { endpoint } from './endpoint.ts';

export const listCalculators = endpoint({
  method: 'get',
  path: '/api/calc',
  summary: 'Every calculator with its inputs and units',
  access: 'open',
  reply: z.object({
    calculators: z.array(
      z.object({
        name: z.string(),
        title: z.string(),
        source: z.string(),
        inputs: z.array(
          z.object({
            key: z.string(),
            label: z.string(),
            unit: z.string().optional(),
            options: z.array(z.string()).optional(),
            text: z.boolean().optional(),
            optional: z.boolean().optional(),
            range: z.object({ least: z.number(), most: z.number(), whole: z.boolean().optional() }).optional(),
            example: z.string(),
          }),
        ),
      }),
    ),
  }),
});
export const runCalculator = endpoint({
  method: 'post',
  path: '/api/calc/:name',
  summary: 'Run a calculator on what was typed',
  access: 'open',
  params: z.object({ name: z.string() }),
  body: z.object({ inputs: z.record(z.string(), z.string().max(200)) }),
  reply: z.object({
    results: z.array(
      z.object({ label: z.string(), value: z.union([z.number(), z.string()]), unit: z.string(), shown: z.string() }),
    ),
    because: z.string(),
    source: z.string(),
  }),
});
