import type { LoadKind } from '../sums/index.ts';
import type { Act } from '../rules/stamp.ts';

/** One circuit as the shop builds it. */
export interface CircuitRecord {
  title: string;
  from: string;
  to: string;
  signal: string;
  load: LoadKind;
  currentA?: number | undefined;
  lengthM?: number | undefined;
  areaMm2?: number | undefined;
  fuseA?: number | undefined;
  labelA: string;
  labelB: string;
  tested?: Act | undefined;
}

export interface SystemsRecords {
  circuit: CircuitRecord;
}
