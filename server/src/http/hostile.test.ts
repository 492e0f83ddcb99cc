import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { z } from 'zod';
import { endpoints } from '@bay/contract/all';
import { recordKinds, kindSchema } from '@bay/contract/records';
import { commandId, freshDatabase, startServer } from '../testing/harness.ts';
import type { TestServer } from '../testing/harness.ts';
import { bookedJob, shopWithCrew } from '../testing/shop.ts';
import type { TestShop } from '../testing/shop.ts';

/** Values that somebody sends to see what breaks, in every field of every endpoint and of every kind: never a 500. */

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: TestServer;
let shop: TestShop;
let jobId: string;

beforeAll(async () => {
  database = await freshDatabase();
  server = await startServer(database.url);
  shop = await shopWithCrew(server, 'hostile');
  jobId = await bookedJob(shop.manager);
});
afterAll(async () => {
  await server.stop();
  await database.drop();
});

const nested = (depth: number): unknown => (depth === 0 ? 1 : { a: nested(depth - 1) });
const hostile: readonly unknown[] = [
  'a\u0000b',
  'half \uD83D of a pair',
  '',
  'x'.repeat(5000),
  '__proto__',
  '0000-01-01',
  '9999-12-31',
  '-000001-01-01',
  '2026-02-30',
  -1,
  1e308,
  2 ** 53,
  0.1,
  null,
  true,
  [],
  {},
  nested(40),
  '00000000-0000-0000-0000-000000000000',
  randomUUID(),
  "'; drop table job; --",
];

/** All of them with HOSTILE=all; else a few for each test, drawn by a seed, so that a run is short and can be repeated. */
let seed = Number(process.env['HOSTILE_SEED'] ?? 20261126);
function some(): readonly unknown[] {
  if (process.env['HOSTILE'] === 'all') return hostile;
  return Array.from({ length: 4 }, () => {
    seed = (Math.imul(seed, 1664525) + 1013904223) >>> 0;
    return hostile[(seed >>> 8) % hostile.length];
  });
}

/** A plain good value for a field, so that only one field at a time is hostile. */
function plainOf(schema: z.core.JSONSchema.BaseSchema): unknown {
  if (schema.const !== undefined) return schema.const;
  if (schema.enum) return schema.enum[0];
  if (schema.anyOf) return plainOf(schema.anyOf[0] as z.core.JSONSchema.BaseSchema);
  if (schema.format === 'uuid') return randomUUID();
  if (schema.format === 'date') return '2026-11-26';
  if (schema.format === 'date-time') return '2026-11-26T09:00:00.000Z';
  if (schema.format === 'email') return 'a@b.example';
  if (schema.type === 'string') return 'plain words 1234'.slice(0, schema.maxLength ?? 16);
  if (schema.type === 'integer' || schema.type === 'number')
    return Math.max(1, schema.minimum ?? 1);
  if (schema.type === 'boolean') return false;
  if (schema.type === 'array') return [];
  return plainObject(schema);
}
const plainObject = (schema: z.core.JSONSchema.BaseSchema): Record<string, unknown> =>
  Object.fromEntries(
    Object.entries(schema.properties ?? {})
      .filter(([name]) => (schema.required ?? []).includes(name))
      .map(([name, s]) => [name, plainOf(s as z.core.JSONSchema.BaseSchema)]),
  );
const jsonOf = (schema: z.ZodType) =>
  z.toJSONSchema(schema, { unrepresentable: 'any', io: 'input' });

async function send(method: string, path: string, body: unknown): Promise<number> {
  const answer = await fetch(`${server.url}${path}`, {
    method: method.toUpperCase(),
    headers: {
      cookie: shop.manager.cookie,
      'x-bay-token': shop.manager.token,
      ...(method === 'get' ? {} : { 'content-type': 'application/json' }),
    },
    ...(method === 'get' ? {} : { body: JSON.stringify(body) }),
  });
  return answer.status;
}

/** Those that end the session of whoever asks, or belong to somebody without one. */
const apart = new Set([
  'signOut',
  'lockTablet',
  'switchPerson',
  'signIn',
  'setUpShop',
  'endSession',
]);

describe('hostile values', () => {
  it.each(endpoints.filter(([name, e]) => !apart.has(name) && !e.form))('%s', async (name, e) => {
    const json = jsonOf(e.body);
    const plain = plainObject(json);
    const path = (bad?: [string, string]) =>
      e.path.replace(/:(\w+)/g, (_, key: string) =>
        bad?.[0] === key ? encodeURIComponent(bad[1]) : key === 'jobId' ? jobId : randomUUID(),
      );
    for (const value of some()) {
      for (const field of Object.keys(json.properties ?? {})) {
        const status = await send(e.method, path(), {
          ...plain,
          commandId: commandId(),
          [field]: value,
        });
        expect(status, `${name}.${field} = ${JSON.stringify(value).slice(0, 60)}`).not.toBe(500);
      }
      for (const [, key] of e.path.matchAll(/:(\w+)/g))
        if (typeof value === 'string' && value !== '' && !value.includes('\uD83D')) {
          const status = await send(e.method, path([key!, value]), {
            ...plain,
            commandId: commandId(),
          });
          expect(status, `${name} :${key} = ${JSON.stringify(value).slice(0, 60)}`).not.toBe(500);
        }
    }
  });
  it.each(recordKinds)('a record of kind %s', async (kind) => {
    const json = jsonOf(kindSchema(kind).input);
    const plain = plainObject(json);
    for (const value of some())
      for (const field of Object.keys(json.properties ?? {})) {
        const status = await send('put', `/api/jobs/${jobId}/records/${kind}/${randomUUID()}`, {
          commandId: commandId(),
          data: { ...plain, [field]: value },
          revision: 0,
        });
        expect(status, `${kind}.${field} = ${JSON.stringify(value).slice(0, 60)}`).not.toBe(500);
      }
    for (const key of ['__proto__', 'a\u0000b', 'constructor', 'x'.repeat(500)]) {
      const status = await send(
        'put',
        `/api/jobs/${jobId}/records/${kind}/${encodeURIComponent(key)}`,
        {
          commandId: commandId(),
          data: plain,
          revision: 0,
        },
      );
      expect(status, `${kind} with the key ${key.slice(0, 20)}`).not.toBe(500);
    }
  });
  it('text is kept without what no database keeps', async () => {
    const { writeLog } = await import('@bay/contract/logbook');
    const { entry } = await shop.manager.good(writeLog, {
      params: { jobId },
      body: { commandId: commandId(), line: 'stud\u0000 sheared \uD83D here', today: '2026-11-26' },
    });
    expect(entry.text).toBe('stud sheared \uFFFD here');
  });
});
