import { evaluate } from '../rules/condition.ts';
import type { Scope } from '../rules/condition.ts';
import { isFactId } from '../facts/catalogue.ts';
import { defaultSchool } from '../rules/book.ts';
import { faults } from './data/faults.ts';
import { likelihoods } from './data/matrix.ts';
import { observations } from './data/observations.ts';
import { provedAgainst, starterTests, swaps, testWants } from './data/practice.ts';
import type { EngineState, FaultDef, LikelihoodMatrix, ObservationDef } from './types.ts';

/**
 * Finding the fault. Each fault that can apply has a weight (its odds, raised by facts of this car); what was observed
 * multiplies the weights by the chance of that outcome; the share of each weight is its probability. One fault at a time:
 * after a cure, the symptoms that are left start a new ranking. All numbers are estimates that the shop's closed cases
 * replace.
 */

/** The weight of "none of these". */
export const noneWeight = 0.15;
export const noneOfThese = 'none-of-these';

export interface Answer {
  observationId: string;
  outcome: string;
}

export interface DiagnosisModel {
  faults: readonly FaultDef[];
  observations: readonly ObservationDef[];
  likelihoods: LikelihoodMatrix;
}

/** Putting in a part that is known to be good is a test like any other: it cures what it was about, and hardly anything else. */
const swapTests: readonly ObservationDef[] = swaps.map(({ id, part, minutes, risk }) => ({
  id,
  question: `Put in a known-good ${part}: is it cured`,
  kind: 'yes/no',
  outcomes: [
    { id: 'no-change', base: 0.98 },
    { id: 'cured', base: 0.02 },
  ],
  minutes,
  risk,
  needs: `a ${part} that is known to be good`,
}));

const withSwaps: LikelihoodMatrix = Object.fromEntries(
  faults.map((fault) => [
    fault.id,
    {
      ...likelihoods[fault.id],
      ...Object.fromEntries(swaps.filter((s) => s.faults.includes(fault.id)).map((s) => [s.id, { cured: 0.93 }])),
    },
  ]),
);

/** Every observation there is, swaps of parts included. */
export const allObservations: readonly ObservationDef[] = [...observations, ...swapTests];

export const fullModel: DiagnosisModel = { faults, observations: allObservations, likelihoods: withSwaps };

const observationById = new Map(allObservations.map((o) => [o.id, o]));

/** An observation by its id. Throws on an id that is not in the content. */
export function observationOf(id: string): ObservationDef {
  const found = observationById.get(id);
  if (!found) throw new Error(`Unknown observation "${id}"`);
  return found;
}

/** Observations that say nearly the same: where both are answered each counts for less, whichever came first. */
const echoes: readonly (readonly [string, string])[] = [
  ['o-oil-lamp', 'o-oil-gauge'],
  ['o-trim', 'o-lambda'],
  ['o-plugs-look', 'o-fires'],
  ['o-codes', 'o-sync'],
  ['o-codes', 'o-ecu-talks'],
  ['o-codes', 'o-throttle-look'],
];

export interface Weighed {
  id: string;
  weight: number;
  /** Facts and kit lines that raised it. */
  raisedBy: readonly string[];
  /** Lines of gates that are proved and speak against it. */
  loweredBy: readonly string[];
}

/** What is known of a case besides its facts and its answers. */
export interface CaseBasis {
  /** Systems worked on since the last good state. */
  touched?: readonly string[];
  /** Lines of gates that are proved. */
  proved?: ReadonlySet<string>;
  /** Faults that were found and cured on this job: what is left is looked for among the others. */
  cured?: readonly string[];
}

/** A line that was proved leaves its faults a fifth of their weight: it was looked at, and a look can miss. Common practice. */
const afterProof = 0.2;
/** What was found and cured before may have come back, and rarely has. Common practice. */
const afterCure = 0.05;

/** Did somebody type this, or is it a way out, a part, a count of the job? What the application took on its own raises nothing. */
function somebodySaid(scope: Scope, id: string): boolean {
  const fact = scope.facts.get(id);
  if (!fact) return !isFactId(id);
  return fact.source !== 'inferred' && fact.by !== defaultSchool;
}

/** Start weights of the faults that can apply to this car. */
export function startWeights(scope: Scope, basis: CaseBasis = {}, model: DiagnosisModel = fullModel): Weighed[] {
  const { touched = [], proved = new Set<string>(), cured = [] } = basis;
  const applying = model.faults.flatMap((fault): Weighed[] => {
    // Only a certain "no" excludes a fault: a fact nobody knows leaves it in.
    if (evaluate(fault.onlyWhen, scope).is === false) return [];
    const raising = fault.raisedBy
      .map((c) => evaluate(c, scope))
      .filter((truth) => truth.is === true && truth.because.every((id) => somebodySaid(scope, id)));
    const raisedBy = [...new Set(raising.flatMap((truth) => truth.because))];
    const raise = Math.min(10, 3 ** raising.length);
    const handled = touched.includes(fault.system) ? 2 : 1;
    const loweredBy = Object.keys(provedAgainst).filter(
      (line) => proved.has(line) && provedAgainst[line]!.includes(fault.id),
    );
    const lower = (loweredBy.length > 0 ? afterProof : 1) * (cured.includes(fault.id) ? afterCure : 1);
    return [{ id: fault.id, weight: (fault.prior / (1 - fault.prior)) * raise * handled * lower, raisedBy, loweredBy }];
  });
  return [...applying, { id: noneOfThese, weight: noneWeight, raisedBy: [], loweredBy: [] }];
}

/** What the engine does, as the person said it of the case, or as the answers show it. */
export function engineState(said: EngineState | undefined, answers: readonly Answer[]): EngineState | undefined {
  const of = (id: string): string | undefined => answers.findLast((a) => a.observationId === id)?.outcome;
  if (of('o-fires') === 'runs') return 'runs';
  if (said !== undefined) return said;
  if (of('o-fires') !== undefined || of('o-crank') === 'normal') return 'turns';
  return of('o-crank') === undefined ? undefined : 'still';
}

/** What a symptom answers by itself: an engine that runs was turned by its starter and has fired. */
function impliedBy(state: EngineState | undefined, answers: readonly Answer[]): Answer[] {
  const implied: Answer[] =
    state === 'runs'
      ? [
          { observationId: 'o-crank', outcome: 'normal' },
          { observationId: 'o-fires', outcome: 'runs' },
        ]
      : state === 'turns'
        ? [{ observationId: 'o-crank', outcome: 'normal' }]
        : [];
  return implied.filter((i) => !answers.some((a) => a.observationId === i.observationId));
}

const reach: Readonly<Record<EngineState, readonly EngineState[]>> = {
  still: [],
  turns: ['turns'],
  runs: ['turns', 'runs'],
};

/** Can this be looked at while the engine does what it does? */
function canBeMade(id: string, state: EngineState | undefined): boolean {
  if (state === undefined) return true;
  if (state === 'runs' && starterTests.has(id)) return false;
  const wants = testWants[id];
  return wants === undefined || reach[state].includes(wants);
}

type Chances = ReadonlyMap<string, number>;

/** A model does not change: what was computed of it once is kept with it, by observation and fault. */
const computed = new WeakMap<DiagnosisModel, Map<ObservationDef, Map<string, Chances>>>();

function knownChances(observation: ObservationDef, model: DiagnosisModel): Map<string, Chances> {
  let ofModel = computed.get(model);
  if (!ofModel) computed.set(model, (ofModel = new Map()));
  let known = ofModel.get(observation);
  if (!known) ofModel.set(observation, (known = new Map()));
  return known;
}

/** Chance of each outcome of an observation if the fault is there; what the matrix leaves out shares the rest by base rate. */
export function outcomeChances(
  faultId: string,
  observation: ObservationDef,
  model: DiagnosisModel = fullModel,
): Chances {
  const known = knownChances(observation, model);
  let chances = known.get(faultId);
  if (!chances) known.set(faultId, (chances = chancesOf(faultId, observation, model)));
  return chances;
}

function chancesOf(faultId: string, observation: ObservationDef, model: DiagnosisModel): Chances {
  const given = model.likelihoods[faultId]?.[observation.id];
  const baseSum = observation.outcomes.reduce((s, o) => s + o.base, 0);
  if (!given) return new Map(observation.outcomes.map((o) => [o.id, o.base / baseSum]));
  const stated = Object.values(given).reduce((s, p) => s + p, 0);
  const restBase = observation.outcomes.filter((o) => given[o.id] === undefined).reduce((s, o) => s + o.base, 0);
  const rest = Math.max(0, 1 - stated);
  return new Map(
    observation.outcomes.map((o) => {
      const known = given[o.id];
      if (known !== undefined) return [o.id, restBase === 0 ? known / stated : known];
      return [o.id, (rest * o.base) / restBase];
    }),
  );
}

export interface Suspect {
  id: string;
  before: number;
  now: number;
  raisedBy: readonly string[];
  loweredBy: readonly string[];
}

/** How much an answer counts beside the others: less for each that says nearly the same. Does not ask which came first. */
function strength(id: string, answered: ReadonlySet<string>): number {
  const echoing = echoes.filter(([a, b]) => (a === id && answered.has(b)) || (b === id && answered.has(a))).length;
  return Math.max(0.5, 1 - 0.25 * echoing);
}

/**
 * Suspects with their probability before and after the answers; sums to 1, the most probable first. The order of the answers does
 * not matter, but that the last answer to a question counts. `state` is what the engine does.
 */
export function rankSuspects(
  weights: readonly Weighed[],
  answers: readonly Answer[],
  model: DiagnosisModel = fullModel,
  state?: EngineState,
): Suspect[] {
  const byId = new Map(model.observations.map((o) => [o.id, o]));
  const known = answers.filter((a) => byId.has(a.observationId));
  const implied = impliedBy(state, known).filter((a) => byId.has(a.observationId));
  const last = [...new Map([...implied, ...known].map((a) => [a.observationId, a])).values()].sort((a, b) =>
    a.observationId < b.observationId ? -1 : 1,
  );
  const answered = new Set(last.map((a) => a.observationId));
  const heard = last.map((answer) => ({
    ...answer,
    observation: byId.get(answer.observationId)!,
    strength: strength(answer.observationId, answered),
  }));
  const total = weights.reduce((s, w) => s + w.weight, 0);
  const now = weights.map((w) =>
    heard.reduce((weight, { observation, outcome, strength: by }) => {
      const chance = outcomeChances(w.id, observation, model).get(outcome) ?? 0;
      return weight * Math.max(chance, 1e-6) ** by;
    }, w.weight),
  );
  const sum = now.reduce((a, b) => a + b, 0);
  return weights
    .map((w, i) => ({
      id: w.id,
      before: w.weight / total,
      now: now[i]! / sum,
      raisedBy: w.raisedBy,
      loweredBy: w.loweredBy,
    }))
    .sort((a, b) => b.now - a.now || (a.id < b.id ? -1 : 1));
}

export interface NextTest {
  observation: ObservationDef;
  /** Expected information, bits. */
  bits: number;
  /** Minutes, doubled for each step of risk above 1. */
  cost: number;
  bitsPerMinute: number;
  /** How much of the doubt it is expected to take away, 0 to 1. */
  share: number;
}

/** How much of the doubt a test takes away, as one would say it. */
export function shareWords(share: number): string {
  const said: readonly (readonly [least: number, words: string])[] = [
    [0.85, 'nearly all the doubt'],
    [0.6, 'about two thirds of the doubt'],
    [0.42, 'about half the doubt'],
    [0.29, 'about a third of the doubt'],
    [0.2, 'about a quarter of the doubt'],
    [0.12, 'about a sixth of the doubt'],
    [0.06, 'about a tenth of the doubt'],
  ];
  return said.find(([least]) => share >= least)?.[1] ?? 'little of the doubt';
}

/** p log2 p, which is nothing where p is. */
const bitsOf = (p: number): number => (p > 0 ? p * Math.log2(p) : 0);
const entropy = (chances: readonly number[]): number => -chances.reduce((sum, p) => sum + bitsOf(p), 0);

/** The least that a test must tell to be worth its minutes, bits. Common practice, no source. */
export const leastBits = 0.05;

/** The tests that are worth their minutes; none left is a reason to stop and to think again. */
export const worthwhile = (tests: readonly NextTest[]): NextTest[] => tests.filter((t) => t.bits >= leastBits);

/**
 * Open tests by information per minute, best first. Tests already answered or ruled out are left out, and those that cannot be
 * made while the engine does what it does.
 */
export function nextTests(
  suspects: readonly Suspect[],
  done: readonly string[],
  model: DiagnosisModel = fullModel,
  state?: EngineState,
): NextTest[] {
  const prior = entropy(suspects.map((s) => s.now));
  return model.observations
    .filter((o) => !done.includes(o.id) && canBeMade(o.id, state))
    .map((observation): NextTest => {
      const perFault = suspects.map((s) => outcomeChances(s.id, observation, model));
      let after = 0;
      for (const outcome of observation.outcomes) {
        // The doubt left by an outcome, times its chance c: c log c less the sum of j log j over the joint chances j.
        let chance = 0;
        let joints = 0;
        for (let i = 0; i < suspects.length; i += 1) {
          const joint = suspects[i]!.now * perFault[i]!.get(outcome.id)!;
          chance += joint;
          joints += bitsOf(joint);
        }
        after += bitsOf(chance) - joints;
      }
      const bits = Math.max(0, prior - after);
      const cost = Math.max(0.5, observation.minutes) * 2 ** Math.max(0, observation.risk - 1);
      return { observation, bits, cost, bitsPerMinute: bits / cost, share: prior > 0 ? Math.min(1, bits / prior) : 0 };
    })
    .sort((a, b) => b.bitsPerMinute - a.bitsPerMinute || (a.observation.id < b.observation.id ? -1 : 1));
}
