import { writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { z } from 'zod';
import { factCatalogue } from '@bay/core/facts';
import { schoolQuestions } from '@bay/core/schools';
import { caseFile } from './diagnose.ts';
import { factsFile } from './facts-file.ts';
import { diagnosisShape, fitsShape, lineShape, planShape, readShape } from './shown.ts';
import { fitAnswer, fitProblem } from '@bay/contract/fit-problem';
import { kindSchema, recordKinds, storedSchemas } from '@bay/contract/records';

/** The JSON Schemas in docs/formats, made from the code; `node --import tsx tools/formats.ts` writes them anew. */

const typedFact = (fact: (typeof factCatalogue)[number]): object => {
  const part = (p: (typeof fact.parts)[number]): object => ({
    type: 'string',
    ...(p.options ? { enum: p.options } : {}),
    description: p.options
      ? p.label
      : p.text
        ? `${p.label} (words)`.trim()
        : `${p.label} as typed; kept in ${p.unit === '' ? 'plain numbers' : p.unit}`.trim(),
  });
  const parts = {
    type: 'object',
    additionalProperties: false,
    properties: Object.fromEntries(fact.parts.map((p) => [p.key, part(p)])),
  };
  return {
    description: `${fact.label}. ${fact.howTo}`,
    anyOf: fact.parts[0]!.key === 'value' ? [part(fact.parts[0]!), parts] : [parts],
  };
};

const factsDef = {
  type: 'object',
  additionalProperties: false,
  properties: Object.fromEntries(factCatalogue.map((f) => [f.id, typedFact(f)])),
};
const schoolsDef = {
  type: 'object',
  additionalProperties: false,
  properties: Object.fromEntries(
    schoolQuestions.map((q) => [q.id, { enum: q.sides.map((s) => s.id), description: q.question }]),
  ),
};

/** A file that a command reads: its fields from its schema, with every fact and school by name. */
function readSchema(title: string, file: z.ZodType): object {
  const made = z.toJSONSchema(file, { io: 'input' }) as { properties: Record<string, object> };
  const ref = { $ref: '#/$defs/facts' };
  const bySubject = {
    type: 'object',
    additionalProperties: false,
    description: 'The same by subject',
    properties: Object.fromEntries(['recipient', 'donor', 'engine', 'gearbox', 'choice'].map((s) => [s, ref])),
  };
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title,
    type: 'object',
    additionalProperties: false,
    $defs: { facts: factsDef, schools: schoolsDef },
    properties: {
      ...made.properties,
      facts: { anyOf: [ref, bySubject], description: 'Car, incoming engine, gearbox and choices of the job' },
      own: { ...ref, description: 'The engine and gearbox that leave the car' },
      outgoing: { ...ref, description: 'The name that own had before' },
      donor: { ...ref, description: 'The donor car and the engine still in it' },
      schools: { $ref: '#/$defs/schools' },
    },
  };
}

/** What a command prints. */
const printedSchema = (title: string, shape: z.ZodType): object => ({
  title,
  ...z.toJSONSchema(shape, { io: 'output' }),
});

/** Data of every kind of record: what is sent, and what is stored and shown, which carries the server's stamps. */
export const recordsSchema = (): object => ({
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: 'Data of records, by kind',
  type: 'object',
  properties: Object.fromEntries(
    recordKinds.map((kind) => [kind, z.toJSONSchema(kindSchema(kind).input, { io: 'input' })]),
  ),
  $defs: {
    stored: {
      type: 'object',
      properties: Object.fromEntries(
        recordKinds.map((kind) => [kind, z.toJSONSchema(storedSchemas[kind], { io: 'output' })]),
      ),
    },
  },
});

export const documents: readonly (readonly [file: string, make: () => object])[] = [
  [
    'docs/formats/facts.schema.json',
    () => readSchema('A file of facts, as ./bay plan and ./bay fit read it', factsFile),
  ],
  ['docs/formats/case.schema.json', () => readSchema('A case, as ./bay diagnose reads it', caseFile)],
  ['docs/formats/plan.schema.json', () => printedSchema('What ./bay plan prints', planShape)],
  ['docs/formats/fit.schema.json', () => printedSchema('What ./bay fit prints', fitsShape)],
  [
    'docs/formats/fit-problem.schema.json',
    () => ({
      $schema: 'https://json-schema.org/draft/2020-12/schema',
      title: 'A position problem, as ./bay fit and POST /api/fit/position take it',
      ...z.toJSONSchema(fitProblem, { io: 'input' }),
    }),
  ],
  ['docs/formats/fit-answer.schema.json', () => printedSchema('The answer to a position problem', fitAnswer)],
  ['docs/formats/read.schema.json', () => printedSchema('What ./bay read prints', readShape)],
  ['docs/formats/line.schema.json', () => printedSchema('What ./bay line prints', lineShape)],
  ['docs/formats/diagnosis.schema.json', () => printedSchema('What ./bay diagnose prints', diagnosisShape)],
  ['docs/formats/records.schema.json', recordsSchema],
];

export const written = (document: object): string => `${JSON.stringify(document, null, 1)}\n`;

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  for (const [file, make] of documents) writeFileSync(file, written(make()));
}
