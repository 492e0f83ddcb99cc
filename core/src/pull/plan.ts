import type { Condition } from '../rules/condition.ts';
import { Kept } from '../rules/kept.ts';
import type { TruthOf } from '../rules/truths.ts';
import { when } from '../facts/when.ts';
import { bare, orderSteps } from '../rules/order.ts';
import type { Contradiction, Edge, Ordered } from '../rules/order.ts';
import { pullSteps } from './data/steps.ts';
import { workStates } from './data/states.ts';
import { wayChoices } from './data/ways.ts';
import type { StepDef, StepChanges, WayChoice, WorkState } from './types.ts';

export interface StepLine {
  def: StepDef;
  because: readonly string[];
  /** Facts that would decide whether the step applies; until then it stays in the list. */
  needs: readonly string[];
  /** Order into this step: what binds, and hints that only save work. */
  before: readonly Edge[];
  /** States it needs: its own, and those that this car asks of every step. */
  states: readonly string[];
  /** Lines of a gate that must be proved before it may be called done. */
  gates: readonly string[];
}

/** A state as it is in this plan: whether this car comes with it, and which of its steps end it or give it. */
export interface PlanState {
  id: string;
  title: string;
  harm: boolean;
  atStart: boolean;
  /** Facts that would tell whether the car comes with it. */
  needs: readonly string[];
  lostBy: readonly { step: string; unless?: string }[];
  givenBy: readonly string[];
  givenWords?: string;
}

export interface StepPlan {
  lines: readonly StepLine[];
  states: readonly PlanState[];
  /** Ways of doing one thing that are in this plan, the one to be tried first in front. */
  ways: readonly WayChoice[];
  contradictions: readonly Contradiction[];
  unmet: readonly { step: string; state: string }[];
}

// Most changes of facts leave the set of steps alone: the order of the last few sets is kept.
const orders = new Map<string, Ordered>();

function remember(key: string, make: () => Ordered): Ordered {
  const known = orders.get(key);
  if (known) return known;
  if (orders.size >= 16) orders.delete(orders.keys().next().value!);
  const made = make();
  orders.set(key, made);
  return made;
}

const none: readonly string[] = [];

/** What a step needs where the high voltage is to be proved dead first: made once for each step, since a plan asks for all of them. */
const withProvedDead = new Map<StepDef, readonly string[]>();
function provedDeadToo(def: StepDef): readonly string[] {
  const known = withProvedDead.get(def);
  if (known) return known;
  const needs = [...new Set([...def.needs, 'st-hv-dead'])];
  withProvedDead.set(def, needs);
  return needs;
}

const engineOut = when('rec-own-engine = out-of-the-car');
const noHighVoltage = when('rec-hv-system = no');

/**
 * What may be done before the high voltage is proved dead, in a car that has some or of which nobody knows: who it is, its
 * papers, what wants its power, the chocks, and the way to the proof itself. Common practice, no source; the maker's manual and
 * local law go first.
 */
const beforeProvedDead: ReadonlySet<string> = new Set([
  'rm-identify',
  'rm-photo-tour',
  'rm-fate-list',
  'rm-baseline-run',
  'rm-baseline-drive',
  'rm-module-scan',
  'rm-seats-move',
  'rm-glass-roof',
  'rm-latches',
  'rm-chock',
  'rm-battery-reach',
  'rm-fuel-run-dry',
  'rm-fuel-hp-wait',
  'rm-feed-by-leads',
  'rm-hv-authorise',
  'rm-battery-off',
  'rm-hv-make-safe',
  'rm-hv-prove-dead',
]);

/** The line of the donor's own gate that asks the same. */
const donorLine = (id: string): string => id.replace(/^gate-hv-/, 'gate-hvd-');

/** A state as it is among these steps. */
export function stateOf(
  def: WorkState,
  truthOf: TruthOf,
  steps: ReadonlySet<string>,
  given: readonly string[],
): PlanState {
  const start = typeof def.atStart === 'boolean' ? undefined : truthOf(def.atStart);
  return {
    id: def.id,
    title: def.title,
    harm: def.harm ?? false,
    atStart: start ? start.is === true : (def.atStart as boolean),
    needs: start?.needs ?? [],
    lostBy: def.lostBy
      .filter((loss) => steps.has(loss.step) && (loss.when === undefined || truthOf(loss.when).is !== false))
      .map(({ step, unless }) => ({ step, ...(unless !== undefined && steps.has(unless) ? { unless } : {}) })),
    givenBy: [...def.givenBy, ...given].filter((id) => steps.has(id)),
    ...(def.givenWords ? { givenWords: def.givenWords } : {}),
  };
}

/** The ways that are in the plan, those a school prefers in front. */
const waysOf = (steps: ReadonlySet<string>, preferred: ReadonlySet<string>): WayChoice[] =>
  wayChoices.flatMap((way) => {
    const own = way.steps.filter((id) => steps.has(id));
    const ranked = [...own.filter((id) => preferred.has(id)), ...own.filter((id) => !preferred.has(id))];
    return own.length > 1 ? [{ ...way, steps: ranked }] : [];
  });

/** Every condition that a plan of steps stands on. */
const conditionsOf = (effects: readonly StepChanges[]): readonly Condition[] => [
  engineOut,
  noHighVoltage,
  ...[...pullSteps, ...effects.flatMap((e) => e.addsSteps ?? [])].map((s) => s.when),
  ...workStates.flatMap((s) => [
    ...(typeof s.atStart === 'boolean' ? [] : [s.atStart]),
    ...s.lostBy.flatMap((loss) => loss.when ?? []),
  ]),
];

/** Plans of one role, one after the other: made again only when a truth or a way of working that it stands on is another. */
export class PullSlice {
  private readonly role: 'own' | 'donor';
  private readonly kept = new Kept<StepPlan>();

  constructor(role: 'own' | 'donor') {
    this.role = role;
  }

  compute(truthOf: TruthOf, effects: readonly StepChanges[]): StepPlan {
    return this.kept.get([...effects, ...conditionsOf(effects).map(truthOf)], () =>
      pullPlan(this.role, truthOf, effects),
    );
  }
}

/**
 * The steps of one role in a computed order. `own` pulls the car's engine, `donor` harvests another; the chosen ways of working
 * drop, add and turn steps round.
 */
export function pullPlan(role: 'own' | 'donor', truthOf: TruthOf, effects: readonly StepChanges[]): StepPlan {
  const dropped = new Set(effects.flatMap((e) => e.drops ?? []));
  const added = effects.flatMap((e) => e.addsSteps ?? []);
  const cutPairs = effects.flatMap((e) => e.cutsOrder ?? []);
  const isCut = (from: string, to: string): boolean => cutPairs.some(([a, b]) => a === from && b === to);
  const firstBefore = new Map<string, string[]>();
  for (const [first, then] of effects.flatMap((e) => e.addsOrder ?? []))
    firstBefore.set(then, [...(firstBefore.get(then) ?? []), first]);
  const given = effects.flatMap((e) => e.gives ?? []);
  const needed = new Map<string, string[]>();
  for (const [step, state] of effects.flatMap((e) => e.addsNeeds ?? []))
    needed.set(step, [...(needed.get(step) ?? []), state]);
  const noEngine = truthOf(engineOut).is === true;
  const mayBeLive = truthOf(noHighVoltage).is !== true;
  const applying = [...pullSteps, ...added].flatMap((def) => {
    if (def.role !== undefined && def.role !== role) return [];
    if (dropped.has(def.id) || (noEngine && !def.alsoWithoutEngine)) return [];
    if (mayBeLive && def.notWhereItMayBeLive) return [];
    const truth = truthOf(def.when);
    return truth.is === false ? [] : [{ def, because: truth.because, needs: truth.needs }];
  });
  const steps = new Set(applying.map((l) => l.def.id));
  const states = workStates.map((s) =>
    stateOf(
      s,
      truthOf,
      steps,
      given.filter((g) => g.state === s.id).map((g) => g.step),
    ),
  );
  const applyingById = new Map(applying.map((l) => [l.def.id, l]));
  const statesOf = (def: StepDef): readonly string[] => {
    const own = mayBeLive && !beforeProvedDead.has(def.id) ? provedDeadToo(def) : def.needs;
    const more = needed.get(def.id);
    return more ? [...new Set([...own, ...more])] : own;
  };
  const phases = [...new Set(pullSteps.map((s) => s.phase))];
  const key = JSON.stringify([role, [...steps], effects.map((e) => e.id), states]);
  const ordered: Ordered = remember(key, () =>
    orderSteps(
      applying.map(({ def }) => ({
        id: def.id,
        rank: phases.indexOf(def.phase),
        after: [...def.after.filter((id) => !isCut(bare(id), def.id)), ...(firstBefore.get(def.id) ?? [])],
        before: def.before.filter((id) => !isCut(def.id, bare(id))),
        needs: statesOf(def),
      })),
      states.map((s) => ({ ...s, lostBy: s.lostBy.filter((l) => l.unless === undefined).map((l) => l.step) })),
    ),
  );
  return {
    lines: ordered.ids.map((id): StepLine => {
      const { def, because, needs } = applyingById.get(id)!;
      const gates = def.gates ?? none;
      return {
        def,
        because,
        needs,
        before: ordered.before.get(id)!,
        gates: role === 'donor' ? gates.map(donorLine) : gates,
        states: statesOf(def),
      };
    }),
    states,
    ways: waysOf(steps, new Set(effects.flatMap((e) => e.prefers ?? []))),
    contradictions: ordered.contradictions,
    unmet: ordered.unmet,
  };
}
