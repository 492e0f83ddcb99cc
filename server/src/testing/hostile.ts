import { randomUUID } from 'node:crypto';
import { z } from 'zod';
import { endpoints } from '@bay/contract/all';
import type { Endpoint } from '@bay/contract/endpoint';
import { kindSchema } from '@bay/contract/records';
import type { RecordKind } from '@bay/contract/records';
import { commandId, formOf } from './harness.ts';
import type { Client } from './harness.ts';

/** For tests and benchmarks only: every field of every endpoint and of every kind, with values that somebody sends to see what breaks. */

type Schema = z.core.JSONSchema.BaseSchema;
/** Names of fields and places in lists that lead to a field. */
type Path = readonly (string | number)[];

const nested = (depth: number): unknown => (depth === 0 ? 1 : { a: nested(depth - 1) });

export const hostileValues: readonly unknown[] = [
  'a\u0000b',
  'half \uD83D of a pair',
  '',
  ' ',
  'x'.repeat(5000),
  '__proto__',
  'constructor',
  '0000-01-01',
  '9999-12-31',
  '-000001-01-01',
  '2026-02-30',
  '2026-13-01T99:00:00.000Z',
  '%00%ff',
  '../../etc/passwd',
  "'; drop table job; --",
  '{"a":1}',
  '\u202Eright to left',
  '00000000-0000-0000-0000-000000000000',
  randomUUID(),
  -1,
  0,
  0.1,
  1e308,
  -1e308,
  2 ** 31,
  2 ** 53,
  null,
  true,
  [],
  ['a\u0000b', null, {}],
  {},
  { length: 1e9 },
  { toString: 1, constructor: 2, then: 'x' },
  nested(40),
];

const jsonOf = (schema: z.ZodType): Schema => z.toJSONSchema(schema, { unrepresentable: 'any', io: 'input' });
/** A schema that is one of several is each of them. */
const variants = (schema: Schema): Schema[] => {
  const several = schema.anyOf ?? schema.oneOf;
  return several ? several.flatMap((s) => variants(s)) : [schema];
};

/** A plain good value, so that only one field at a time is hostile. */
function plainOf(schema: Schema): unknown {
  const [first] = variants(schema);
  if (first !== schema) return plainOf(first!);
  if (schema.const !== undefined) return schema.const;
  if (schema.enum) return schema.enum[0];
  if (schema.format === 'uuid') return randomUUID();
  if (schema.format === 'date') return '2026-11-26';
  if (schema.format === 'date-time') return '2026-11-26T09:00:00.000Z';
  if (schema.format === 'email') return 'a@b.example';
  if (schema.type === 'string') return 'plain words 1234'.slice(0, schema.maxLength ?? 16);
  if (schema.type === 'integer' || schema.type === 'number') return Math.max(1, schema.minimum ?? 1);
  if (schema.type === 'boolean') return false;
  if (schema.type === 'array') return [];
  return Object.fromEntries(
    Object.entries(schema.properties ?? {})
      .filter(([name]) => (schema.required ?? []).includes(name))
      .map(([name, s]) => [name, plainOf(s as Schema)]),
  );
}

/** Every field, also those within lists and within other fields. */
function* pathsOf(schema: Schema, before: Path = []): Generator<Path> {
  for (const one of variants(schema)) {
    for (const [name, inner] of Object.entries(one.properties ?? {})) {
      yield [...before, name];
      yield* pathsOf(inner as Schema, [...before, name]);
    }
    if (typeof one.items === 'object' && !Array.isArray(one.items)) {
      yield [...before, 0];
      yield* pathsOf(one.items, [...before, 0]);
    }
  }
}

/** The plain value with another at one place; what leads there is made where it is not wanted otherwise. */
function withAt(schema: Schema, plain: unknown, [at, ...rest]: Path, value: unknown): unknown {
  if (at === undefined) return value;
  if (typeof at === 'number') {
    const items = variants(schema).find((s) => s.items)!.items as Schema;
    return [withAt(items, plainOf(items), rest, value)];
  }
  const holder = variants(schema).find((s) => s.properties?.[at] !== undefined)!;
  const inner = holder.properties![at] as Schema;
  const object = (typeof plain === 'object' && plain !== null ? plain : plainOf(holder)) as Record<string, unknown>;
  const was = Object.hasOwn(object, at) ? object[at] : plainOf(inner);
  return { ...object, [at]: withAt(inner, was, rest, value) };
}

export interface Attempt {
  /** What was sent where, for people. */
  what: string;
  status: number;
}

const shown = (value: unknown): string => (JSON.stringify(value) ?? 'nothing').slice(0, 60);

/** Those that end the session of whoever asks, or belong to somebody without one. */
const apart = new Set(['signOut', 'lockTablet', 'switchPerson', 'signIn', 'setUpShop', 'endSession']);
export const attacked = endpoints.filter(([name]) => !apart.has(name));

/** Sends hostile values to a server as somebody who may do everything there. */
export class Attacker {
  private readonly who: Client;
  private readonly jobId: string;

  constructor(who: Client, jobId: string) {
    this.who = who;
    this.jobId = jobId;
  }

  private async send(method: string, path: string, body: BodyInit | undefined, type?: string): Promise<number> {
    const answer = await fetch(`${this.who.url}${path}`, {
      method: method.toUpperCase(),
      headers: {
        cookie: this.who.cookie,
        'x-bay-token': this.who.token,
        ...(type ? { 'content-type': type } : {}),
      },
      ...(method === 'get' || body === undefined ? {} : { body }),
    });
    // What is not read holds up the next.
    await answer.arrayBuffer();
    return answer.status;
  }

  private sendBody(e: Endpoint, path: string, body: Record<string, unknown>): Promise<number> {
    if (e.form) {
      const words = Object.entries(body).map(([name, v]) => [name, typeof v === 'string' ? v : JSON.stringify(v)]);
      return this.send(e.method, path, formOf({ file: new Blob([new Uint8Array(9)]), ...Object.fromEntries(words) }));
    }
    return this.send(e.method, path, JSON.stringify(body), 'application/json');
  }

  /** Each field of the body and of the question, and each part of the path, with each of these values. */
  async *endpoint(name: string, e: Endpoint, values: readonly unknown[]): AsyncGenerator<Attempt> {
    const json = jsonOf(e.body);
    const plain = plainOf(json) as Record<string, unknown>;
    const path = (bad?: [string, string]): string =>
      e.path.replace(/:(\w+)/g, (_, key: string) =>
        bad?.[0] === key ? encodeURIComponent(bad[1]) : key === 'jobId' ? this.jobId : randomUUID(),
      );
    const query = Object.keys(jsonOf(e.query).properties ?? {});
    for (const value of values) {
      for (const at of pathsOf(json)) {
        const body = withAt(json, { ...plain, commandId: commandId() }, at, value) as Record<string, unknown>;
        yield { what: `${name} ${at.join('.')} = ${shown(value)}`, status: await this.sendBody(e, path(), body) };
      }
      if (typeof value !== 'string') continue;
      const words = value.replaceAll(/[\uD800-\uDFFF]/g, '?');
      for (const field of query) {
        const asked = `${path()}?${new URLSearchParams({ [field]: words }).toString()}`;
        yield { what: `${name} ?${field} = ${shown(value)}`, status: await this.sendBody(e, asked, plain) };
      }
      for (const [, key] of e.path.matchAll(/:(\w+)/g))
        if (words.trim() !== '')
          yield {
            what: `${name} :${key} = ${shown(value)}`,
            status: await this.sendBody(e, path([key!, words]), { ...plain, commandId: commandId() }),
          };
    }
  }

  /** Each field of a record of this kind with each of these values, and keys that are none. */
  async *kind(kind: RecordKind, values: readonly unknown[]): AsyncGenerator<Attempt> {
    const json = jsonOf(kindSchema(kind).input);
    const plain = plainOf(json);
    const put = (key: string, data: unknown): Promise<number> =>
      this.send(
        'put',
        `/api/jobs/${this.jobId}/records/${kind}/${encodeURIComponent(key)}`,
        JSON.stringify({ commandId: commandId(), data, revision: 0 }),
        'application/json',
      );
    for (const value of values)
      for (const at of pathsOf(json))
        yield {
          what: `${kind} ${at.join('.')} = ${shown(value)}`,
          status: await put(randomUUID(), withAt(json, plain, at, value)),
        };
    for (const key of ['__proto__', 'a\u0000b', 'constructor', 'x'.repeat(500)])
      yield { what: `${kind} with the key ${key.slice(0, 20)}`, status: await put(key, plain) };
  }

  /** Bodies that are no body: broken, empty, of another type, a file that says it is one. */
  async *bodies(name: string, e: Endpoint): AsyncGenerator<Attempt> {
    if (e.method === 'get') return;
    const path = e.path.replace(/:(\w+)/g, (_, key: string) => (key === 'jobId' ? this.jobId : randomUUID()));
    const sent: [string, BodyInit, string | undefined][] = [
      ['half of an object', '{"a":', 'application/json'],
      ['a list', '[]', 'application/json'],
      ['a word', '"word"', 'application/json'],
      ['nothing', '', 'application/json'],
      ['null', 'null', 'application/json'],
      ['bytes', new Uint8Array([0xff, 0xfe, 0x00]), 'application/json'],
      ['another charset', '{}', 'application/json; charset=utf-99'],
      ['a packed body that is none', 'plain', 'application/json'],
      ['a form without an end', '--x\r\nContent-Disposition: form-data; name="a"', 'multipart/form-data; boundary=x'],
      ['a form without a boundary', 'a=1', 'multipart/form-data'],
      ['a form of two files', formOf({ file: new Blob(['a']), other: new Blob(['b']) }), undefined],
      ['a picture that is none', formOf({ file: new Blob(['GIF89a']), commandId: commandId() }), undefined],
    ];
    for (const [what, body, type] of sent)
      yield { what: `${name} with ${what}`, status: await this.send(e.method, path, body, type) };
  }
}
