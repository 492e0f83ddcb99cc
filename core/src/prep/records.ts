import type { UnitRole } from '../jobs/units.ts';
import type { GateName } from '../jobs/gates.ts';
import type { BoltLayout } from './bolt-field.ts';
import type { Act, Stamp } from '../rules/stamp.ts';

/** What a bolted joint belongs to. */
export const boltedRoles = ['engine', 'gearbox', 'car'] as const;
export type BoltedRole = (typeof boltedRoles)[number];

export interface SheetRecord extends Stamp {
  sheet: string;
  place: string;
  readings: Record<string, number>;
  typed: Record<string, string>;
  certain?: boolean | undefined;
}

export interface LimitsRecord extends Stamp {
  limits: Record<string, number>;
  source: string;
}

export interface JointRecord extends Stamp {
  name: string;
  on: BoltedRole;
  bolts: number;
  /** How its bolts lie, for the drawing and the usual order. */
  layout?: BoltLayout | undefined;
  /** Where each bolt lies, in the order of their numbers, as somebody measured or sketched it: any unit, y downwards. */
  places?: readonly { x: number; y: number }[] | undefined;
  /** In which bag each bolt lies that is out, by its number. */
  bags?: Readonly<Record<string, string>> | undefined;
  /** Its bolts come out when the engine does: mounts, bell, converter. */
  undoneByLift?: boolean | undefined;
  /** The order of tightening as the manual has it; every bolt once. */
  order?: readonly string[] | undefined;
}

export interface TorqueRecord extends Stamp {
  joint: string;
  on: BoltedRole;
  bolt: string;
  stagesNm: readonly number[];
  angleDeg?: number | undefined;
  source: string;
  /** The part came off again: what was tightened does not count any more. */
  voided?: Act<{ why: string }> | undefined;
}

/** Something seen on a unit, with what follows from it; it stays with the unit. */
export interface FindingRecord extends Stamp {
  on: UnitRole;
  what: string;
  lookedAt?: string | undefined;
  follows?: string | undefined;
  /** The first gate at which it may not be open any more, where it is not the usual one of its unit. */
  forbiddenAt?: GateName | undefined;
  settled?: Act<{ how: string }> | undefined;
}

export interface PrepRecords {
  sheet: SheetRecord;
  limits: LimitsRecord;
  joint: JointRecord;
  torque: TorqueRecord;
  finding: FindingRecord;
}

/** What stands for the source of a torque of which nobody said where its value is from: it is not proved by it. */
export const noSource = 'not said';
