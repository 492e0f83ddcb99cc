import { z } from 'zod';
import { command, endpoint } from './endpoint.ts';

export const readSchools = endpoint({
  method: 'get',
  path: '/api/schools',
  summary: "The shop's schools: chosen side by question",
  access: 'look',
  reply: z.object({ chosen: z.record(z.string(), z.string()) }),
});
export const chooseSchool = endpoint({
  method: 'put',
  path: '/api/schools/:question',
  summary: 'Choose a side for the shop; an empty side goes back to the default',
  access: 'manage',
  params: z.object({ question: z.string() }),
  body: z.object({ ...command, side: z.string() }),
  reply: z.object({ chosen: z.record(z.string(), z.string()) }),
});

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
    results: z.array(z.object({ label: z.string(), value: z.union([z.number(), z.string()]), unit: z.string(), shown: z.string() })),
    because: z.string(),
    source: z.string(),
  }),
});
