import { evaluate } from '../rules/condition.ts';
import type { Scope } from '../rules/condition.ts';
import { faults } from './data/faults.ts';
import { likelihoods } from './data/matrix.ts';
import { observations } from './data/observations.ts';
import type { FaultDef, LikelihoodMatrix, ObservationDef } from './types.ts';

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

export const fullModel: DiagnosisModel = { faults, observations, likelihoods };

const observationById = new Map(observations.map((o) => [o.id, o]));

/** An observation by its id. Throws on an id that is not in the content. */
export function observationOf(id: string): ObservationDef {
  const found = observationById.get(id);
  if (!found) throw new Error(`Unknown observation "${id}"`);
  return found;
}

/** Observations that say nearly the same: the second one counts half. */
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
}

/** Start weights of the faults that can apply to this car. `touched` names systems worked on since the last good state. */
export function startWeights(scope: Scope, touched: readonly string[], model: DiagnosisModel = fullModel): Weighed[] {
  const applying = model.faults.flatMap((fault): Weighed[] => {
    // Only a certain "no" excludes a fault: a fact nobody knows leaves it in.
    if (evaluate(fault.onlyWhen, scope).is === false) return [];
    const raising = fault.raisedBy.map((c) => evaluate(c, scope)).filter((truth) => truth.is === true);
    const raisedBy = [...new Set(raising.flatMap((truth) => truth.because))];
    const raise = Math.min(10, 3 ** raising.length);
    const handled = touched.includes(fault.system) ? 2 : 1;
    return [{ id: fault.id, weight: (fault.prior / (1 - fault.prior)) * raise * handled, raisedBy }];
  });
  return [...applying, { id: noneOfThese, weight: noneWeight, raisedBy: [] }];
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
}

function strength(answer: Answer, earlier: readonly Answer[]): number {
  const echo = echoes.some(([a, b]) => {
    const other = a === answer.observationId ? b : b === answer.observationId ? a : undefined;
    return other !== undefined && earlier.some((e) => e.observationId === other);
  });
  return echo ? 0.5 : 1;
}

/** Suspects with their probability before and after the answers; sums to 1, the most probable first. */
export function rankSuspects(
  weights: readonly Weighed[],
  answers: readonly Answer[],
  model: DiagnosisModel = fullModel,
): Suspect[] {
  const byId = new Map(model.observations.map((o) => [o.id, o]));
  // The last answer to a question counts.
  const last = [...new Map(answers.map((a) => [a.observationId, a])).values()];
  const heard = last.flatMap((answer, i) => {
    const observation = byId.get(answer.observationId);
    return observation ? [{ ...answer, observation, strength: strength(answer, last.slice(0, i)) }] : [];
  });
  const total = weights.reduce((s, w) => s + w.weight, 0);
  const now = weights.map((w) =>
    heard.reduce((weight, { observation, outcome, strength: by }) => {
      const chance = outcomeChances(w.id, observation, model).get(outcome) ?? 0;
      return weight * Math.max(chance, 1e-6) ** by;
    }, w.weight),
  );
  const sum = now.reduce((a, b) => a + b, 0);
  return weights
    .map((w, i) => ({ id: w.id, before: w.weight / total, now: now[i]! / sum, raisedBy: w.raisedBy }))
    .sort((a, b) => b.now - a.now || (a.id < b.id ? -1 : 1));
}

export interface NextTest {
  observation: ObservationDef;
  /** Expected information, bits. */
  bits: number;
  /** Minutes, doubled for each step of risk above 1. */
  cost: number;
  bitsPerMinute: number;
}

/** p log2 p, which is nothing where p is. */
const bitsOf = (p: number): number => (p > 0 ? p * Math.log2(p) : 0);
const entropy = (chances: readonly number[]): number => -chances.reduce((sum, p) => sum + bitsOf(p), 0);

/** Open tests by information per minute, best first. Tests already answered or ruled out are left out. */
export function nextTests(
  suspects: readonly Suspect[],
  done: readonly string[],
  model: DiagnosisModel = fullModel,
): NextTest[] {
  const prior = entropy(suspects.map((s) => s.now));
  return model.observations
    .filter((o) => !done.includes(o.id))
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
      return { observation, bits, cost, bitsPerMinute: bits / cost };
    })
    .sort((a, b) => b.bitsPerMinute - a.bitsPerMinute || (a.observation.id < b.observation.id ? -1 : 1));
}
