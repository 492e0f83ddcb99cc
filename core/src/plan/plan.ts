import { isFactId } from '../facts/index.ts';
import type { FactBook } from '../facts/index.ts';
import { gatesOf } from '../commissioning/gates.ts';
import type { GateInputs, GateState } from '../commissioning/gates.ts';
import type { ProvisionalItem } from '../commissioning/provisional.ts';
import type { GateProof } from '../commissioning/types.ts';
import { harvestPlan } from '../donors/harvest.ts';
import type { HarvestLine } from '../donors/harvest.ts';
import { judgeAll } from '../fit/judge.ts';
import type { FitLine, FitRecord } from '../fit/judge.ts';
import { kitPlan } from '../kit/plan.ts';
import type { KitLine } from '../kit/plan.ts';
import type { KitRecord } from '../kit/types.ts';
import { pullPlan } from '../pull/plan.ts';
import type { PullPlan } from '../pull/plan.ts';
import { benchTests, usualCircuits } from '../systems/index.ts';
import type { BenchTest, CircuitDef } from '../systems/index.ts';
import { condition, evaluate } from './condition.ts';
import type { Scope } from './condition.ts';
import { chooseSchools, withSchools } from './school-effects.ts';
import type { SchoolChoice } from './school-types.ts';

/** All that a plan is computed from: facts by the unit they hang on, schools, and what people recorded. */
export interface PlanInput {
  /** Car, incoming engine, its gearbox, donor and choices of the job. */
  facts: FactBook;
  /** The car's own engine and gearbox, for pulling it. */
  outgoing: FactBook;
  /** The donor car and the engine still in it, for harvesting. */
  donor: FactBook;
  shopSchools: Readonly<Record<string, string>>;
  jobSchools: Readonly<Record<string, string>>;
  fits: Readonly<Record<string, FitRecord | undefined>>;
  kit: Readonly<Record<string, KitRecord | undefined>>;
  gates: Readonly<Record<string, GateProof | undefined>>;
  gateInputs: Omit<GateInputs, 'openClashes' | 'unresolvedAdapts'>;
  attempts: number;
}

export interface Applying<T> {
  def: T;
  waits: boolean;
  because: readonly string[];
}

export interface FitTask {
  id: string;
  fitId: string;
  title: string;
}

export interface Plan {
  schools: SchoolChoice;
  /** Facts with the choices that schools make. */
  facts: FactBook;
  scope: Scope;
  fits: readonly FitLine[];
  fitTasks: readonly FitTask[];
  kit: readonly KitLine[];
  pull: PullPlan;
  harvestSteps: PullPlan;
  harvest: readonly HarvestLine[];
  gates: readonly GateState[];
  circuits: readonly Applying<CircuitDef>[];
  benchTests: readonly Applying<BenchTest>[];
  /** What is not final now: loose, tacked, borrowed, capped. */
  provisional: readonly ProvisionalItem[];
  /** For each fact nobody knows: the verdicts and lines that wait for it. */
  waitingFor: ReadonlyMap<string, readonly string[]>;
}

function applying<T extends { when: string }>(defs: readonly T[], scope: Scope): Applying<T>[] {
  return defs.flatMap((def) => {
    const truth = evaluate(condition(def.when), scope);
    return truth.is === false ? [] : [{ def, waits: truth.is === 'waits', because: truth.because }];
  });
}

/** Tasks that a verdict brings: with Adapt, or with a Clash that somebody resolved. */
function tasksOf(fits: readonly FitLine[]): FitTask[] {
  return fits.flatMap((line) => {
    const wanted = line.verdict.word === 'adapt' || line.resolved;
    if (!wanted || !line.def.tasks) return [];
    return [{ id: line.def.id.replace('fit-', 'task-'), fitId: line.def.id, title: line.def.tasks }];
  });
}

/** Computes the whole plan of a job. Pure: the same input gives the same plan. */
export function computePlan(input: PlanInput): Plan {
  const schools = chooseSchools(input.shopSchools, input.jobSchools);
  const facts = withSchools(input.facts, schools);
  const fits = judgeAll({ job: facts, outgoing: input.outgoing }, input.fits);
  const fitById = new Map(fits.map((line) => [line.def.id, line]));
  const scope: Scope = {
    facts,
    fitOf: (id) => {
      const line = fitById.get(id);
      return line && { word: line.verdict.word, resolved: line.resolved };
    },
    kitFitted: (id) => input.kit[id]?.status === 'fitted',
    attempts: input.attempts,
    approvalOpen: false,
  };
  const chosen = new Map<string, string[]>();
  const usual = new Map<string, string[]>();
  for (const line of fits) {
    const asks = (askers: Map<string, string[]>, kit: readonly string[]): void => kit.forEach((id) => askers.set(id, [...(askers.get(id) ?? []), line.def.id]));
    if (line.resolved) asks(chosen, input.fits[line.def.id]!.resolution!.kit);
    else if (line.verdict.word === 'adapt') asks(usual, line.def.kit);
  }
  const kit = kitPlan(scope, { chosen, usual });
  const title = (line: FitLine): string => line.def.title;
  const gates = gatesOf(scope, input.gates, {
    ...input.gateInputs,
    openClashes: fits.filter((l) => l.verdict.word === 'clash' && !l.resolved).map(title),
    unresolvedAdapts: fits.filter((l) => l.verdict.word === 'adapt' && !l.resolved).map(title),
  });
  const outScope: Scope = { ...scope, facts: merged(facts, input.outgoing, ['eng-', 'gbx-']) };
  const donorScope: Scope = { ...scope, facts: merged(facts, input.donor, ['rec-', 'eng-']) };
  const pull = pullPlan('own', outScope, schools);
  const circuits = applying(usualCircuits, scope);

  const waiting = new Map<string, Set<string>>();
  const wait = (facts: readonly string[], line: string): void => {
    for (const id of facts) if (isFactId(id)) waiting.set(id, (waiting.get(id) ?? new Set()).add(line));
  };
  for (const line of fits)
    wait(
      line.verdict.needs.map((n) => n.factId),
      line.def.id,
    );
  for (const line of kit) wait([...line.needs, ...line.blanks], line.def.id);
  for (const gate of gates) for (const line of gate.lines) wait(line.needs, line.def.id);
  return {
    schools,
    facts,
    scope,
    fits,
    fitTasks: tasksOf(fits),
    kit,
    pull,
    harvestSteps: pullPlan('donor', donorScope, schools),
    harvest: harvestPlan(donorScope),
    gates,
    circuits,
    benchTests: applying(benchTests, scope),
    provisional: input.gateInputs.provisional,
    waitingFor: new Map([...waiting].map(([id, lines]) => [id, [...lines].sort()])),
  };
}

/** One book, with some subjects taken from another: facts of those subjects in the first are left out. */
function merged(base: FactBook, over: FactBook, prefixes: readonly string[]): FactBook {
  const kept = [...base].filter(([id]) => !prefixes.some((p) => id.startsWith(p)));
  return new Map([...kept, ...over]);
}

export interface PlanDifference {
  added: string[];
  dropped: string[];
  verdicts: { id: string; from: string; to: string }[];
}

/** Ids of every line in a plan, steps, kit, gates, circuits and tasks. */
function lineIds(plan: Plan): Set<string> {
  return new Set([
    ...plan.kit.filter((l) => l.state === 'needed').map((l) => l.def.id),
    ...plan.pull.lines.map((l) => l.def.id),
    ...plan.gates.flatMap((g) => g.lines.map((l) => l.def.id)),
    ...plan.circuits.filter((l) => !l.waits).map((l) => l.def.id),
    ...plan.fitTasks.map((t) => t.id),
  ]);
}

/** What changed between two plans. */
export function planDifference(before: Plan, after: Plan): PlanDifference {
  const a = lineIds(before);
  const b = lineIds(after);
  const was = new Map(before.fits.map((l) => [l.def.id, l.verdict.word]));
  return {
    added: [...b].filter((id) => !a.has(id)).sort(),
    dropped: [...a].filter((id) => !b.has(id)).sort(),
    verdicts: after.fits.flatMap((l) => {
      const from = was.get(l.def.id)!;
      return from === l.verdict.word ? [] : [{ id: l.def.id, from, to: l.verdict.word }];
    }),
  };
}

export const hasDifference = (d: PlanDifference): boolean => d.added.length + d.dropped.length + d.verdicts.length > 0;
