import { z } from 'zod';
import { unitRoles } from '@bay/core/jobs';
import type { UnitRole } from '@bay/core/jobs';
import type { RecordData, RecordKind } from '@bay/core/records';

/** A record with who wrote it last: the kind tells what its data are. */
export type RowOf<K extends RecordKind> = {
  kind: K;
  key: string;
  data: RecordData<K>;
  revision: number;
  /** Role of the unit it hangs on; none where it hangs on the job. */
  on?: UnitRole | null | undefined;
  by: string;
  at: string;
};
export type RecordRow = { [K in RecordKind]: RowOf<K> }[RecordKind];

/** The frame of a row; what the data of each kind are is held to its schema in records.ts. */
export const recordRow = z.object({
  kind: z.string(),
  key: z.string(),
  data: z.record(z.string(), z.unknown()),
  revision: z.number(),
  on: z.enum(unitRoles).nullish(),
  by: z.string(),
  at: z.string(),
}) as unknown as z.ZodType<RecordRow>;
