import type { ArrivalRecords } from '../arrival/records.ts';
import type { CommissioningRecords } from '../commissioning/records.ts';
import type { DiagnosisRecords } from '../diagnosis/records.ts';
import type { DonorsRecords } from '../donors/records.ts';
import type { FitRecords } from '../fit/records.ts';
import type { FluidRecords } from '../fluids/records.ts';
import type { HandoverRecords } from '../handover/records.ts';
import type { UnitRole } from '../jobs/units.ts';
import { stayingRoles } from '../jobs/units.ts';
import type { KitRecords } from '../kit/records.ts';
import type { LogbookRecords } from '../logbook/records.ts';
import type { MemoryRecords } from '../memory/records.ts';
import type { MoneyRecords } from '../money/records.ts';
import type { PartsRecords } from '../parts/records.ts';
import type { PrepRecords } from '../prep/records.ts';
import type { PullRecords } from '../pull/records.ts';
import type { SchoolRecords } from '../schools/records.ts';
import type { SystemsRecords } from '../systems/records.ts';

/** From the kind of a record to what is stored of it: the one map that contract, server and web refer to. */
export interface StoredRecords
  extends
    ArrivalRecords,
    CommissioningRecords,
    DiagnosisRecords,
    DonorsRecords,
    FitRecords,
    FluidRecords,
    HandoverRecords,
    KitRecords,
    LogbookRecords,
    MemoryRecords,
    MoneyRecords,
    PartsRecords,
    PrepRecords,
    PullRecords,
    SchoolRecords,
    SystemsRecords {}

export type RecordKind = keyof StoredRecords;
export type RecordData<K extends RecordKind> = StoredRecords[K];

/** A record as server and web hold it: the kind tells what its data are. */
export type Recorded = {
  [K in RecordKind]: { kind: K; key: string; data: StoredRecords[K]; on?: UnitRole | null | undefined };
}[RecordKind];

/** Records of a kind by their key: those of the job itself and of the units that stay in the car. */
export function recordsOf<K extends RecordKind>(
  material: { records: readonly Recorded[] },
  kind: K,
): Record<string, StoredRecords[K]> {
  const own = material.records.filter(
    (r): r is Extract<Recorded, { kind: K }> => r.kind === kind && (!r.on || stayingRoles.has(r.on)),
  );
  return Object.fromEntries(own.map((r) => [r.key, r.data as StoredRecords[K]]));
}
