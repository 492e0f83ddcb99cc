import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { endpoints } from './all.ts';
import { kinds, recordKinds } from './records.ts';

/** What somebody reads when something they typed is wrong is a sentence of ours, whatever is wrong and wherever. */

const first = (schema: z.ZodType, value: unknown): string =>
  schema.safeParse(value).error!.issues[0]!.message;

describe('the sentence of an ordinary rule', () => {
  it.each([
    ['nothing where words are wanted', z.string(), undefined, 'This is wanted.'],
    ['nothing where a number is wanted', z.number(), undefined, 'This is wanted.'],
    ['an empty field where a number is wanted', z.number(), '', 'This is wanted.'],
    ['words where a number is wanted', z.number(), 'plenty', 'A number is wanted.'],
    ['a number where words are wanted', z.string(), 3, 'Words are wanted.'],
    [
      'half a number where a whole one is wanted',
      z.number().int(),
      1.5,
      'A whole number is wanted.',
    ],
    ['an empty field', z.string().min(1), '', 'Nothing typed.'],
    ['too few signs', z.string().min(4), 'ab', 'At least 4 characters.'],
    ['too many signs', z.string().max(3), 'abcd', 'At most 3 characters.'],
    ['too little', z.number().min(1), 0, 'Not below 1.'],
    ['exactly the bound that is not in', z.number().positive(), 0, 'More than 0.'],
    ['too much', z.number().max(60), 61, 'Not above 60.'],
    ['no choice', z.enum(['a', 'b']), undefined, 'Choose one.'],
    ['an empty choice', z.enum(['a', 'b']), null, 'Choose one.'],
    ['a choice that is none', z.enum(['a', 'b']), 'c', 'This is none of the choices.'],
    ['what is no day', z.iso.date(), '26.11.', 'A day is wanted.'],
  ])('%s', (_what, schema, value, sentence) =>
    expect(first(schema as z.ZodType, value)).toBe(sentence),
  );
  it("a schema's own sentence goes before the ordinary one", () => {
    expect(first(z.string().min(2, 'Name the part.'), 'x')).toBe('Name the part.');
  });
});

describe('every rule of the contract speaks in sentences', () => {
  // The library's own English, which says what a program expected and not what a person is to do.
  const foreign = /invalid|expected|received|too (?:small|big)|unrecognized|must |regex|pattern/i;
  const anything = fc.oneof(
    fc.constantFrom<unknown>(
      undefined,
      null,
      '',
      '  ',
      'x'.repeat(6000),
      -1,
      0,
      0.5,
      1e12,
      Infinity,
      true,
      [],
      {},
      [1],
      '2026-13-40',
    ),
    fc.string(),
    fc.integer(),
  );
  const bodies: [string, z.ZodType][] = [
    ...endpoints.map(([name, e]): [string, z.ZodType] => [name, e.body]),
    ...recordKinds.map((kind): [string, z.ZodType] => [`a ${kind}`, kinds[kind].input]),
  ];
  it.each(
    bodies.filter(([, schema]) => Object.keys((schema as z.ZodObject).shape ?? {}).length > 0),
  )('%s', (_name, schema) => {
    const fields = Object.keys((schema as z.ZodObject).shape);
    fc.assert(
      fc.property(fc.constantFrom(...fields), anything, (field, value) => {
        const read = schema.safeParse({
          commandId: '00000000-0000-4000-8000-000000000000',
          [field]: value,
        });
        for (const issue of read.error?.issues ?? []) {
          expect(
            issue.message,
            `${issue.path.join('.')} = ${JSON.stringify(value)?.slice(0, 40)}`,
          ).toMatch(/^[A-Z].*\.$/s);
          expect(issue.message).not.toMatch(foreign);
        }
      }),
      { seed: 20261126, numRuns: 150 },
    );
  });
});
