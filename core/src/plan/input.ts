import { worksOpen } from '../arrival/index.ts';
import type { FactBook, FactValue } from '../facts/index.ts';
import type { OpenMatter } from '../commissioning/gates.ts';
import type { GateName } from '../commissioning/types.ts';
import { sinceOut } from '../commissioning/proof.ts';
import { provisionalKindOf, provisionalRegister } from '../commissioning/provisional.ts';
import type { ProvisionalItem } from '../commissioning/provisional.ts';
import type { ProvisionalKindId } from '../commissioning/types.ts';
import { lastOut, liftNow, liftsInOrder, sittingOf } from '../fit/lifts.ts';
import type { Lift } from '../fit/lifts.ts';
import { makingStates } from '../fit/making/state.ts';
import { dryByWords } from '../fluids/systems.ts';
import { itemsOf, liftSteps, soakWaits } from '../pull/index.ts';
import type { TaskRecord } from '../pull/records.ts';
import type { HeldFor } from '../pull/step-states.ts';
import type { UnitRole } from '../jobs/units.ts';
import { noSource } from '../prep/records.ts';
import type { BoltedRole, TorqueRecord } from '../prep/records.ts';
import { torquesSinceOut } from '../prep/undone.ts';
import { jointState } from '../prep/sheets.ts';
import { fullBagsAt, rollCall, stillOff } from '../parts/index.ts';
import { latest } from '../rules/stamp.ts';
import { notRunAfter } from '../handover/runs.ts';
import { recordsOf } from '../records/index.ts';
import type { Recorded } from '../records/index.ts';
import { doubleLabels } from '../systems/circuits.ts';
import type { ShopRule } from '../memory/index.ts';
import { awaitedFrom, awaitedOf } from './awaited.ts';
import type { PlanInput } from './plan.ts';

/** What a plan is computed from, as server and web both hold it. */
export interface JobMaterial {
  jobId: string;
  units: readonly { id: string; role: UnitRole }[];
  facts: readonly ({ bearerId: string; factId: string } & FactValue)[];
  records: readonly Recorded[];
  shopSchools: Readonly<Record<string, string>>;
  shopRules: readonly ShopRule[];
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

/** The first gate at which a finding on a unit may no longer be open. */
const findingGate = (on: UnitRole): GateName =>
  on === 'engine' || on === 'gearbox' ? 'Engine closed up' : 'First drive';

/** What people wrote down and nobody settled: findings, holds, approvals that were asked for. Common practice for the gates, no source. */
function openMatters(material: JobMaterial): OpenMatter[] {
  const findings = Object.values(recordsOf(material, 'finding')).filter((f) => !f.settled);
  const holds = Object.values(recordsOf(material, 'hold')).filter((h) => !h.released);
  const made = makingStates(recordsOf(material, 'making'), recordsOf(material, 'making-step')).filter((m) => m.next);
  const approvals = Object.values(recordsOf(material, 'ask')).filter((a) => a.ask === 'approval' && !a.answer);
  return [
    ...findings.map((f) => ({ gate: f.forbiddenAt ?? findingGate(f.on), what: `finding, ${f.what}` })),
    ...holds.map((h) => ({ gate: h.forbiddenAt ?? ('First crank' as const), what: `held, ${h.waitsFor}` })),
    ...made.map((m) => ({
      gate: 'First crank' as const,
      what: `being made, ${m.making.title}: ${m.next!.step.title.toLowerCase()}`,
    })),
    ...approvals.map((a) => ({ gate: 'First drive' as const, what: `approval asked for, ${a.what}` })),
    ...rollCall(recordsOf(material, 'link')).unmated.map((what) => ({
      gate: 'First crank' as const,
      what: `not mated, ${what}`,
    })),
    ...Object.values(recordsOf(material, 'claim'))
      .filter((c) => !c.looked)
      .map((c) => ({
        gate: c.on === 'engine' ? ('Engine closed up' as const) : ('Engine in' as const),
        what: `only said by ${c.saidBy}, ${c.what}`,
      })),
    ...Object.values(recordsOf(material, 'bag'))
      .filter((b) => !b.back)
      .map(({ label, what }) => ({ gate: 'Hand over' as const, what: `bag ${label} is still full, ${what}` })),
    ...stillOff(recordsOf(material, 'task')),
    ...worksOpen(recordsOf(material, 'works')).map((what) => ({ gate: 'Hand over' as const, what })),
  ];
}

/** What was tightened, and still is after the engine came out. */
export const torquesNow = (material: Pick<JobMaterial, 'records'>): TorqueRecord[] =>
  Object.values(
    torquesSinceOut(
      recordsOf(material, 'torque'),
      Object.values(recordsOf(material, 'joint')),
      lastOut(liftsInOrder(recordsOf(material, 'lift')))?.out,
    ),
  );

/** Joints of which not every bolt is written as tight. */
function untightenedJoints(material: JobMaterial): { on: BoltedRole; what: string }[] {
  const torques = torquesNow(material);
  return Object.values(recordsOf(material, 'joint')).flatMap(({ name, on, bolts }) => {
    const own = torques.filter((t) => t.on === on && t.joint.toLowerCase() === name.toLowerCase());
    const { done, said } = jointState(own, bolts);
    return done ? [] : [{ on, what: `${name}, ${said}` }];
  });
}

/** What steps wait for, by the key of the step's record. */
function waitsOf(material: JobMaterial): Record<string, HeldFor[]> {
  // Keys are what people sent: one that is called like a property of every object is a key like the others.
  const waits = new Map<string, HeldFor[]>();
  const hold = (key: string, held: HeldFor): void => void waits.set(key, [...(waits.get(key) ?? []), held]);
  for (const { about, waitsFor, due, released } of Object.values(recordsOf(material, 'hold')))
    if (about !== undefined && !released) hold(about, { waitsFor, ...(due ? { due } : {}) });
  // What was asked and not agreed to is not worked on: no answer is no yes.
  for (const { what, holds, answer } of Object.values(recordsOf(material, 'ask'))) {
    if (answer?.yes === true) continue;
    const waitsFor = answer ? `a yes to "${what}", to which the answer was no` : `an answer to "${what}"`;
    for (const key of holds ?? []) hold(key, { waitsFor });
  }
  // What was cut on a stand-in is cut on the real unit before that is painted.
  for (const { kind, what, ended } of Object.values(recordsOf(material, 'provisional')))
    if (kind === 'on-stand-in' && !ended) hold('bld-paint', { waitsFor: `the real unit too: ${what}` });
  for (const { step, held } of soakWaits(recordsOf(material, 'snag'))) hold(step, held);
  const { holding } = rollCall(recordsOf(material, 'link'));
  for (const what of holding)
    for (const key of liftSteps) hold(key, { waitsFor: `${what}, which still holds the engine` });
  for (const { who, title, due, holds } of awaitedOf(recordsOf(material, 'quote-line'), recordsOf(material, 'kit')))
    for (const step of holds)
      hold(step, {
        waitsFor: `${awaitedFrom[who]}: ${title}`,
        ...(due === undefined ? {} : { due }),
      });
  return Object.fromEntries(waits);
}

/** What is in the bay and not there for good: how it sits, and that it is only a stand-in. */
function notFinal(lifts: readonly Lift[]): ProvisionalItem[] {
  const now = liftNow(lifts);
  if (!now) return [];
  const { by, at: since } = now.sits ?? now;
  const item = (kind: ProvisionalKindId, title: string): ProvisionalItem => {
    const { endsWith, forbiddenAt } = provisionalKindOf(kind);
    return { key: `${now.key}:${kind}`, kind, title, from: 'lift', endsWith, forbiddenAt, by, since };
  };
  const sits = sittingOf(now);
  const unit = now.unit === 'stand-in' ? 'Stand-in' : 'Engine';
  return [
    ...(sits === 'final' ? [] : [item(sits, `${unit} ${provisionalKindOf(sits).title} in the bay`)]),
    ...(now.unit === 'stand-in' ? [item('stand-in', 'Stand-in unit in the bay')] : []),
  ];
}

/** An engine that came out and is not in again. */
function engineOut(lifts: readonly Lift[]): OpenMatter[] {
  const last = lifts.at(-1);
  return last?.out ? [{ gate: 'First crank', what: `the engine is out again, ${last.out.why}` }] : [];
}

/** Where the slings hold, and the things of one lift, for the engine that it is now. */
function riggedOf(material: JobMaterial, lift: 'out' | 'in'): PlanInput['rigged']['out'] {
  const unitId = material.units.find((u) => u.role === (lift === 'out' ? 'own-engine' : 'engine'))?.id;
  return {
    rig: recordsOf(material, 'rig')[lift],
    items: itemsOf(recordsOf(material, 'lift-item'), lift, unitId),
    unitId,
  };
}

/** What is known of the car, of what goes in, and what was chosen. */
export const jobBook = (material: Pick<JobMaterial, 'jobId' | 'units' | 'facts'>): FactBook =>
  bookOf(material, [
    ['car', 'rec-'],
    ['donor', 'don-'],
    ['engine', 'eng-'],
    ['gearbox', 'gbx-'],
    ['job', 'cho-'],
  ]);

/** Sorts a job's facts and records into what the plan reads. */
export function planInputOf(material: JobMaterial): PlanInput {
  const circuits = Object.entries(recordsOf(material, 'circuit'));
  const double = doubleLabels(circuits.map(([id, circuit]) => ({ id, circuit }))).map((d) => d.label);
  const missing = circuits.filter(([, c]) => c.labelA.trim() === '' || c.labelB.trim() === '').map(([, c]) => c.title);
  const followUps = Object.values(recordsOf(material, 'follow-up'));
  const undated = followUps.filter((f) => !f.done && !f.on && !f.atKm && !f.occasion);
  const fluids = Object.values(recordsOf(material, 'fluid'));
  const torques = torquesNow(material);
  const lifts = liftsInOrder(recordsOf(material, 'lift'));
  const gates = sinceOut(recordsOf(material, 'gate'), lastOut(lifts)?.out);
  return {
    facts: jobBook(material),
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
    shopRules: material.shopRules,
    ownLines: recordsOf(material, 'own-line'),
    jobSchools: Object.fromEntries(Object.entries(recordsOf(material, 'school')).map(([q, r]) => [q, r.side])),
    fits: recordsOf(material, 'fit'),
    gaps: Object.values(recordsOf(material, 'gap')),
    lifts,
    rigged: { out: riggedOf(material, 'out'), in: riggedOf(material, 'in') },
    foreign: recordsOf(material, 'foreign-part'),
    kit: recordsOf(material, 'kit'),
    gates,
    gateInputs: {
      open: [...openMatters(material), ...engineOut(lifts)],
      photoIds: new Set(Object.keys(recordsOf(material, 'photo'))),
      provisional: provisionalRegister({
        provisional: recordsOf(material, 'provisional'),
        tasks: recordsOf(material, 'task'),
        gates,
        inBay: notFinal(lifts),
      }),
      loosened: torques.filter((t) => t.voided).map((t) => `${t.joint}, bolt ${t.bolt}`),
      unsourced: torques.filter((t) => !t.voided && t.source === noSource).map((t) => `${t.joint}, bolt ${t.bolt}`),
      unlabelled: [...double, ...missing],
      untightened: untightenedJoints(material),
      records: {
        dryByWords: dryByWords(fluids),
        tasks: recordsOf(material, 'task'),
        notRunAfter: notRunAfter(recordsOf(material, 'run')),
        lash: Object.values(recordsOf(material, 'sheet')).filter((s) => s.sheet === 'lash'),
        lashLimits: recordsOf(material, 'limits')['lash'],
        followUps: { dated: followUps.filter((f) => !undated.includes(f)).length, undated: undated.map((f) => f.what) },
      },
      openEnds: undated.map((f) => f.what),
      primedBar: latest(Object.values(recordsOf(material, 'priming')))?.bar,
      plugOutAt: {
        own: plugOut(recordsOf(material, 'task')['rm-hv-make-safe']),
        donor: plugOut(recordsOf(material, 'task')['donor-rm-hv-make-safe']),
      },
    },
    fluids,
    waits: waitsOf(material),
    fullBags: fullBagsAt(recordsOf(material, 'bag')),
    snags: recordsOf(material, 'snag'),
    attempts: Object.keys(recordsOf(material, 'attempt')).length,
    withDonor: material.units.some((u) => u.role === 'donor'),
    withEngine: material.units.some((u) => u.role === 'engine'),
  };
}

/** A plan input with nothing known, over which what is known is laid. */
export const emptyInput = (over: Partial<PlanInput> = {}): PlanInput => ({
  facts: new Map(),
  outgoing: new Map(),
  donor: new Map(),
  shopSchools: {},
  shopRules: [],
  ownLines: {},
  jobSchools: {},
  fits: {},
  gaps: [],
  lifts: [],
  rigged: { out: { rig: undefined }, in: { rig: undefined } },
  foreign: {},
  kit: {},
  gates: {},
  gateInputs: {
    open: [],
    photoIds: new Set(),
    provisional: [],
    loosened: [],
    unsourced: [],
    unlabelled: [],
    untightened: [],
    records: {
      dryByWords: [],
      tasks: {},
      notRunAfter: [],
      lash: [],
      followUps: { dated: 0, undated: [] },
    },
    openEnds: [],
    plugOutAt: {},
  },
  fluids: [],
  waits: {},
  fullBags: new Map(),
  snags: {},
  attempts: 0,
  withDonor: false,
  withEngine: true,
  ...over,
});
