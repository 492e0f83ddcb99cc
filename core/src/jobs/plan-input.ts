import type { FactBook, FactValue } from '../facts/index.ts';
import type { FitRecord } from '../fit/judge.ts';
import type { GateProof } from '../commissioning/types.ts';
import { provisionalRegister } from '../commissioning/provisional.ts';
import type { ProvisionalRecord } from '../commissioning/provisional.ts';
import type { TaskRecord } from '../pull/types.ts';
import type { KitRecord } from '../kit/types.ts';
import type { TorqueRecord } from '../prep/sheets.ts';
import type { PlanInput } from '../plan/plan.ts';
import { doubleLabels } from '../systems/circuits.ts';
import type { CircuitRecord } from '../systems/circuits.ts';

import { stayingRoles } from './units.ts';
import type { UnitRole } from './units.ts';

/** What a plan is computed from, as server and web both hold it. */
export interface JobMaterial {
  jobId: string;
  units: readonly { id: string; role: string }[];
  facts: readonly ({ bearerId: string; factId: string } & FactValue)[];
  records: readonly { kind: string; key: string; data: Readonly<Record<string, unknown>>; on?: UnitRole | null | undefined }[];
  shopSchools: Readonly<Record<string, string>>;
}

/** Facts of the units in some roles, of some subjects. */
export function bookOf(material: Pick<JobMaterial, 'jobId' | 'units' | 'facts'>, wanted: readonly (readonly [role: string, prefix: string])[]): FactBook {
  const book = new Map<string, FactValue>();
  for (const [role, prefix] of wanted) {
    const bearers = role === 'job' ? [material.jobId] : material.units.filter((u) => u.role === role).map((u) => u.id);
    for (const fact of material.facts) if (bearers.includes(fact.bearerId) && fact.factId.startsWith(prefix)) book.set(fact.factId, fact);
  }
  return book;
}

/** Records of a kind by their key: those of the job itself and of the units that stay in the car. */
export function recordsOf<T>(material: Pick<JobMaterial, 'records'>, kind: string): Record<string, T> {
  return Object.fromEntries(material.records.filter((r) => r.kind === kind && (!r.on || stayingRoles.has(r.on))).map((r) => [r.key, r.data as T]));
}

/** Sorts a job's facts and records into what the plan reads. */
export function planInputOf(material: JobMaterial): PlanInput {
  const circuits = Object.entries(recordsOf<CircuitRecord>(material, 'circuit'));
  const double = doubleLabels(circuits.map(([id, circuit]) => ({ id, circuit }))).map((d) => d.label);
  const missing = circuits.filter(([, c]) => c.labelA.trim() === '' || c.labelB.trim() === '').map(([, c]) => c.title);
  const followUps = Object.values(recordsOf<{ what: string; on?: string; atKm?: number; done?: unknown }>(material, 'follow-up'));
  const primings = Object.values(recordsOf<{ bar: number; at?: string }>(material, 'priming')).sort((a, b) => ((a.at ?? '') < (b.at ?? '') ? 1 : -1));
  const torques = Object.values(recordsOf<TorqueRecord>(material, 'torque'));
  return {
    facts: bookOf(material, [
      ['car', 'rec-'],
      ['donor', 'don-'],
      ['engine', 'eng-'],
      ['gearbox', 'gbx-'],
      ['job', 'cho-'],
    ]),
    outgoing: bookOf(material, [
      ['own-engine', 'eng-'],
      ['own-gearbox', 'gbx-'],
    ]),
    donor: bookOf(material, [
      ['donor', 'rec-'],
      ['donor', 'don-'],
      ['engine', 'eng-'],
    ]),
    shopSchools: material.shopSchools,
    jobSchools: Object.fromEntries(Object.entries(recordsOf<{ side: string }>(material, 'school')).map(([q, r]) => [q, r.side])),
    fits: recordsOf<FitRecord>(material, 'fit'),
    kit: recordsOf<KitRecord>(material, 'kit'),
    gates: recordsOf<GateProof>(material, 'gate'),
    gateInputs: {
      provisional: provisionalRegister({
        provisional: recordsOf<ProvisionalRecord>(material, 'provisional'),
        tasks: recordsOf<TaskRecord>(material, 'task'),
        gates: recordsOf<GateProof>(material, 'gate'),
      }),
      loosened: torques.filter((t) => t.voided).map((t) => `${t.joint}, bolt ${t.bolt}`),
      unlabelled: [...double, ...missing],
      openEnds: followUps.filter((f) => !f.done && !f.on && !f.atKm).map((f) => f.what),
      primedBar: primings[0]?.bar,
    },
    attempts: Object.keys(recordsOf(material, 'attempt')).length,
  };
}
