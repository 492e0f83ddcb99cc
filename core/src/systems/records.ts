import type { LoadKind } from '../sums/index.ts';
import type { Act } from '../rules/stamp.ts';

export const usualFields = ['currentA', 'areaMm2', 'fuseA'] as const;
export type UsualField = (typeof usualFields)[number];

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
  /** Sizes that stand as they usually are, and that nobody has measured or chosen yet. */
  usual?: readonly UsualField[] | undefined;
  labelA: string;
  labelB: string;
  tested?: Act | undefined;
}

export interface SystemsRecords {
  circuit: CircuitRecord;
}
