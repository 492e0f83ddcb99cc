import type { RecordKind } from '@bay/contract/records';
import { commissioningKinds } from '../commissioning/kinds.ts';
import { diagnosisKinds } from '../diagnosis/kinds.ts';
import { donorKinds } from '../donors/kinds.ts';
import { fitKinds } from '../fit/kinds.ts';
import { handoverKinds } from '../handover/kinds.ts';
import { kitKinds } from '../kit/kinds.ts';
import { logbookKinds } from '../logbook/kinds.ts';
import { planKinds } from '../plan/kinds.ts';
import { prepKinds } from '../prep/kinds.ts';
import { pullKinds } from '../pull/kinds.ts';
import { systemsKinds } from '../systems/kinds.ts';
import type { KindRule } from './kind.ts';

const all: readonly KindRule[] = [
  ...pullKinds,
  ...kitKinds,
  ...fitKinds,
  ...commissioningKinds,
  ...diagnosisKinds,
  ...systemsKinds,
  ...prepKinds,
  ...donorKinds,
  ...handoverKinds,
  ...logbookKinds,
  ...planKinds,
];
const byKind = new Map(all.map((r) => [r.kind, r]));

/** The rule of a kind; every kind of the contract has one (a test walks them). */
export function ruleOf(kind: RecordKind): KindRule {
  const rule = byKind.get(kind);
  if (!rule) throw new Error(`No rule for records of kind "${kind}"`);
  return rule;
}
