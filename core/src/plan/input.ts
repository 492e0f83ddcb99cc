import type { FactBook, FactValue } from '../facts/index.ts';
import { provisionalRegister } from '../commissioning/provisional.ts';
import type { TaskRecord } from '../pull/records.ts';
import type { UnitRole } from '../jobs/units.ts';
import { noSource } from '../prep/records.ts';
import { recordsOf } from '../records/index.ts';
import type { Recorded } from '../records/index.ts';
import { doubleLabels } from '../systems/circuits.ts';
import type { PlanInput } from './plan.ts';

/** What a plan is computed from, as server and web both hold it. */
export interface JobMaterial {
  jobId: string;
  units: readonly { id: string; role: UnitRole }[];
  facts: readonly ({ bearerId: string; factId: string } & FactValue)[];
  records: readonly Recorded[];
  shopSchools: Readonly<Record<string, string>>;
}

/** Facts of the units in some roles, of some subjects. */
export function bookOf(
  material: Pick<JobMaterial, 'jobId' | 'units' | 'facts'>,
  wanted: readonly (readonly [role: string, prefix: string])[],
): FactBook {
  const book = new Map<string, FactValue>();
  for (const [role, prefix] of wanted) {
    const bearers = role === 'job' ? [material.jobId] : material.units.filter((u) => u.role === role).map((u) => u.id);
    for (const fact of material.facts)
      if (bearers.includes(fact.bearerId) && fact.factId.startsWith(prefix)) book.set(fact.factId, fact);
  }
  return book;
}

/** When the plug was written out; a signature that is missing still leaves it out. */
const plugOut = (task: TaskRecord | undefined): string | undefined => (task?.status === 'done' ? task.at : undefined);

/** Sorts a job's facts and records into what the plan reads. */
export function planInputOf(material: JobMaterial): PlanInput {
  const circuits = Object.entries(recordsOf(material, 'circuit'));
  const double = doubleLabels(circuits.map(([id, circuit]) => ({ id, circuit }))).map((d) => d.label);
  const missing = circuits.filter(([, c]) => c.labelA.trim() === '' || c.labelB.trim() === '').map(([, c]) => c.title);
  const followUps = Object.values(recordsOf(material, 'follow-up'));
  const primings = Object.values(recordsOf(material, 'priming')).sort((a, b) => ((a.at ?? '') < (b.at ?? '') ? 1 : -1));
  const torques = Object.values(recordsOf(material, 'torque'));
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
    jobSchools: Object.fromEntries(Object.entries(recordsOf(material, 'school')).map(([q, r]) => [q, r.side])),
    fits: recordsOf(material, 'fit'),
    kit: recordsOf(material, 'kit'),
    gates: recordsOf(material, 'gate'),
    gateInputs: {
      provisional: provisionalRegister({
        provisional: recordsOf(material, 'provisional'),
        tasks: recordsOf(material, 'task'),
        gates: recordsOf(material, 'gate'),
      }),
      loosened: torques.filter((t) => t.voided).map((t) => `${t.joint}, bolt ${t.bolt}`),
      unsourced: torques.filter((t) => !t.voided && t.source === noSource).map((t) => `${t.joint}, bolt ${t.bolt}`),
      unlabelled: [...double, ...missing],
      openEnds: followUps.filter((f) => !f.done && !f.on && !f.atKm).map((f) => f.what),
      primedBar: primings[0]?.bar,
      plugOutAt: {
        own: plugOut(recordsOf(material, 'task')['rm-hv-make-safe']),
        donor: plugOut(recordsOf(material, 'task')['donor-rm-hv-make-safe']),
      },
    },
    attempts: Object.keys(recordsOf(material, 'attempt')).length,
    withDonor: material.units.some((u) => u.role === 'donor'),
  };
}

/** A plan input with nothing known, over which what is known is laid. */
export const emptyInput = (over: Partial<PlanInput> = {}): PlanInput => ({
  facts: new Map(),
  outgoing: new Map(),
  donor: new Map(),
  shopSchools: {},
  jobSchools: {},
  fits: {},
  kit: {},
  gates: {},
  gateInputs: { provisional: [], loosened: [], unsourced: [], unlabelled: [], openEnds: [], plugOutAt: {} },
  attempts: 0,
  withDonor: false,
  ...over,
});
