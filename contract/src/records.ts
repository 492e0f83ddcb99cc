import { z } from 'zod';
import type { RecordData, RecordKind } from '@bay/core/records';
import { arrivalKinds } from './arrival.ts';
import { commissioningKinds } from './commissioning.ts';
import { diagnosisKinds } from './diagnosis.ts';
import { donorsKinds } from './donors.ts';
import { command, endpoint, id } from './endpoint.ts';
import { fitKinds } from './fit.ts';
import { fluidKinds } from './fluids.ts';
import { handoverKinds } from './handover.ts';
import { storedSchema } from './kind.ts';
import type { KindSchema, RecordInput } from './kind.ts';
import { kitKinds } from './kit.ts';
import { logbookKinds } from './logbook.ts';
import { memoryKinds } from './memory.ts';
import { moneyKinds } from './money.ts';
import { partsKinds } from './parts.ts';
import { prepKinds } from './prep.ts';
import { pullKinds } from './pull.ts';
import { recordRow } from './record-row.ts';
import { schoolKinds } from './schools.ts';
import { systemsKinds } from './systems.ts';

export type { RecordData, RecordKind } from '@bay/core/records';
export type { RecordRow, RowOf } from './record-row.ts';
export type { RecordInput } from './kind.ts';

/**
 * What people record on a job. One mechanism for all kinds: a row has a kind, a key that is unique within job and kind,
 * data of that kind's schema, and a revision. Each capability declares its kinds; here they are gathered.
 */
export const kinds: { readonly [K in RecordKind]: KindSchema<K> } = {
  ...arrivalKinds,
  ...commissioningKinds,
  ...diagnosisKinds,
  ...donorsKinds,
  ...fitKinds,
  ...fluidKinds,
  ...handoverKinds,
  ...kitKinds,
  ...logbookKinds,
  ...memoryKinds,
  ...moneyKinds,
  ...partsKinds,
  ...prepKinds,
  ...pullKinds,
  ...schoolKinds,
  ...systemsKinds,
};
export const recordKinds = Object.keys(kinds) as [RecordKind, ...RecordKind[]];
export const kindSchema = (kind: RecordKind): KindSchema => kinds[kind];

/** What is stored of a kind, by its schema; core holds the same as a type, and a test holds the two together. */
export const storedSchemas = Object.fromEntries(
  recordKinds.map((k) => [k, storedSchema(kindSchema(k))]),
) as unknown as {
  readonly [K in RecordKind]: z.ZodType<RecordData<K>>;
};

export type AnyInput = RecordInput<RecordKind>;

const target = z.object({ jobId: id, kind: z.enum(recordKinds), key: z.string().min(1).max(120) });
const revision = z.number().int().min(0);

export const putRecord = endpoint({
  method: 'put',
  path: '/api/jobs/:jobId/records/:kind/:key',
  summary: 'Write a record; an old revision is refused with the row as it is now',
  access: 'work',
  params: target,
  body: z.object({ ...command, data: z.record(z.string(), z.unknown()), revision }),
  reply: z.object({ record: recordRow }),
});

export const countersign = endpoint({
  method: 'post',
  path: '/api/jobs/:jobId/records/:kind/:key/second',
  summary:
    'The second person signs what wants two: in their own session, or at a shared tablet with their name and PIN',
  access: 'work',
  params: target,
  body: z.object({
    ...command,
    revision,
    /** Who signs, where it is not the person of the session. */
    person: z.object({ personId: id, pin: z.string().regex(/^\d{4,8}$/, 'A PIN has 4 to 8 figures.') }).optional(),
  }),
  reply: z.object({ record: recordRow }),
});
