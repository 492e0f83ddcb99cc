import { z } from 'zod';
import { command, endpoint } from './endpoint.ts';
import { kind, text } from './kind.ts';

export const schoolKinds = {
  school: kind<'school'>(
    z.object({ side: text(60), reason: text(300).min(3, 'A job that differs from the shop says why.') }),
  ),
};

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
