import { writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { z } from 'zod';
import { factCatalogue } from '@bay/core/facts';
import { schoolQuestions } from '@bay/core/schools';
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

/** What `./bay plan` reads. */
export function factsSchema(): object {
  const facts = {
    type: 'object',
    additionalProperties: false,
    properties: Object.fromEntries(factCatalogue.map((f) => [f.id, typedFact(f)])),
  };
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'Facts of a job, as ./bay plan reads them',
    type: 'object',
    additionalProperties: false,
    $defs: { facts },
    properties: {
      facts: { $ref: '#/$defs/facts' },
      outgoing: { $ref: '#/$defs/facts', description: 'The engine and gearbox that leave the car' },
      schools: {
        type: 'object',
        additionalProperties: false,
        properties: Object.fromEntries(
          schoolQuestions.map((q) => [q.id, { enum: q.sides.map((s) => s.id), description: q.question }]),
        ),
      },
    },
  };
}

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
  ['docs/formats/facts.schema.json', factsSchema],
  ['docs/formats/records.schema.json', recordsSchema],
];

export const written = (document: object): string => `${JSON.stringify(document, null, 1)}\n`;

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  for (const [file, make] of documents) writeFileSync(file, written(make()));
}
