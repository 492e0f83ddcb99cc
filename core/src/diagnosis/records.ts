import type { EngineState } from './types.ts';
import type { Act, Stamp } from '../rules/stamp.ts';

export interface CaseRecord extends Stamp {
  symptom: string;
  /** What the engine does. */
  state?: EngineState | undefined;
  /** Systems worked on since it last ran well. */
  touched: readonly string[];
  closed?: Act<{ faultId: string; reason: string }> | undefined;
}

export interface ObservationRecord extends Stamp {
  caseId: string;
  observationId: string;
  outcome: string;
  reading?: string | undefined;
  also?: string | undefined;
  withdrawn?: boolean | undefined;
}

export interface DiagnosisRecords {
  case: CaseRecord;
  observation: ObservationRecord;
}
