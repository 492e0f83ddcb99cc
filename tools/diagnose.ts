import { z } from 'zod';
import { allObservations, bandReading, engineStates, faults, isRead } from '@bay/core/diagnosis';
import type { Answer } from '@bay/core/diagnosis';
import { caseStanding, computePlan } from '@bay/core/plan';
import { factsFile, inputOf, readFile, stop } from './facts-file.ts';
import { diagnosisShape, print } from './shown.ts';

/**
 * `./bay diagnose CASE.json`: suspects and next tests of a case, or "stop" where no test is worth its minutes
 * (docs/formats/case.schema.json, diagnosis.schema.json).
 */

const answer = z.strictObject({
  observation: z.string(),
  outcome: z.string().optional(),
  /** A reading falls into its outcome by itself; some want a second one beside it. */
  reading: z.string().optional(),
  also: z.string().optional(),
});

export const caseFile = factsFile.safeExtend({
  symptom: z.string().optional(),
  state: z.enum(engineStates).optional(),
  touched: z.array(z.string()).optional(),
  cured: z.array(z.string()).optional(),
  attempts: z.number().int().min(0).optional(),
  answers: z.array(answer).optional(),
});
export type CaseFile = z.infer<typeof caseFile>;

/** The standing of a case as it is printed. */
export function diagnosisShown(file: CaseFile): object {
  const plan = computePlan({ ...inputOf(file), attempts: file.attempts ?? 0 });
  const systems = new Set(faults.map((f) => f.system));
  const strangeSystem = (file.touched ?? []).find((s) => !systems.has(s));
  if (strangeSystem !== undefined) stop(`"${strangeSystem}" is not a system: ${[...systems].join(', ')}.`);
  const strangeFault = (file.cured ?? []).find((id) => !faults.some((f) => f.id === id));
  if (strangeFault !== undefined) stop(`"${strangeFault}" is not a fault.`);
  const answers = (file.answers ?? []).map(({ observation, outcome, reading, also }): Answer => {
    const def = allObservations.find((o) => o.id === observation);
    if (!def) return stop(`"${observation}" is not an observation.`);
    if (reading !== undefined && isRead(observation)) {
      const banded = bandReading(observation, reading, plan.facts, also);
      return banded.ok
        ? { observationId: observation, outcome: banded.outcome }
        : stop(`${observation}: ${banded.sentence}`);
    }
    if (outcome === undefined || !def.outcomes.some((o) => o.id === outcome))
      return stop(
        `${observation}: "${outcome ?? reading ?? ''}" is none of ${def.outcomes.map((o) => o.id).join(', ')}.`,
      );
    return { observationId: observation, outcome };
  });
  const standing = caseStanding(plan, { touched: file.touched ?? [], state: file.state }, answers, {
    cured: file.cured ?? [],
  });
  return {
    state: standing.state ?? null,
    stop: standing.stop ? 'no test is worth its minutes' : null,
    suspects: standing.suspects.map((s) => ({
      ...s,
      title: faults.find((f) => f.id === s.id)?.title ?? 'none of these',
    })),
    tests: standing.tests.map(({ observation, bits, cost, bitsPerMinute }) => ({
      id: observation.id,
      question: observation.question,
      outcomes: observation.outcomes.map((o) => o.id),
      minutes: observation.minutes,
      risk: observation.risk,
      bits,
      cost,
      bitsPerMinute,
    })),
  };
}

if (process.argv[1]?.endsWith('diagnose.ts')) {
  const file = readFile(process.argv[2], caseFile, './bay diagnose CASE.json');
  print(diagnosisShape, diagnosisShown(file));
}
