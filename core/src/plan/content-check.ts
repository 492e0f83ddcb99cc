import { benchTests, usualCircuits } from '../systems/index.ts';
import { buildSteps, measurementDefs, whileOut } from '../prep/index.ts';
import { faults } from '../diagnosis/data/faults.ts';
import { likelihoods } from '../diagnosis/data/matrix.ts';
import { observations } from '../diagnosis/data/observations.ts';
import { factCatalogue, factDef, isFactId } from '../facts/index.ts';
import { fitRules, interfaces } from '../fit/index.ts';
import { gateLines } from '../commissioning/data/gates.ts';
import { provisionalSources } from '../commissioning/data/provisional.ts';
import { harvestConditions, harvestParts } from '../donors/index.ts';
import { kitLines } from '../kit/data/lines.ts';
import { pullSteps } from '../pull/data/steps.ts';
import { workStates } from '../pull/data/states.ts';
import { units } from '../units/index.ts';
import { condition, factsIn, linesIn } from './condition.ts';
import { schoolQuestions, schoolSides } from './data/schools.ts';
import { orderSteps } from './order.ts';
import { schoolEffects } from './school-effects.ts';

/**
 * Looks over the whole content: ids that lead nowhere, ids given twice, orders that turn in a ring, facts nothing uses,
 * options a fact does not have, probabilities that do not add up. An empty list is good. Run at server start and in tests.
 */
export function contentFaults(): string[] {
  const found: string[] = [];
  const all: { id: string }[] = [
    ...factCatalogue,
    ...interfaces,
    ...kitLines,
    ...pullSteps,
    ...workStates,
    ...gateLines,
    ...faults,
    ...observations,
    ...buildSteps,
    ...usualCircuits,
    ...benchTests,
    ...schoolQuestions,
    ...schoolSides,
    ...harvestParts,
    ...whileOut,
    ...measurementDefs,
    ...provisionalSources,
  ];
  const seen = new Set<string>();
  for (const { id } of all) {
    if (seen.has(id)) found.push(`${id} is given twice`);
    seen.add(id);
  }
  const known = (from: string, id: string): void => {
    if (!seen.has(id)) found.push(`${from} speaks of ${id}, which does not exist`);
  };

  const used = new Set<string>();
  const check = (from: string, text: string): void => {
    try {
      const c = condition(text);
      for (const fact of factsIn(c)) {
        known(from, fact);
        used.add(fact);
      }
      for (const line of linesIn(c)) known(from, line);
      optionsOf(c).forEach(([fact, option]) => {
        if (isFactId(fact) && !factDef(fact).parts.some((p) => p.options === undefined || p.options.includes(option))) {
          found.push(`${from} compares ${fact} with "${option}", which is not one of its options`);
        }
      });
    } catch (error) {
      found.push(`${from}: ${(error as Error).message}`);
    }
  };
  for (const line of kitLines) {
    check(line.id, line.when);
    (line.optionsFrom ?? []).forEach((id) => {
      known(line.id, id);
      used.add(id);
    });
  }
  for (const line of [...gateLines, ...pullSteps, ...usualCircuits, ...benchTests]) check(line.id, line.when);
  for (const source of provisionalSources) {
    known(source.id, source.step);
    known(source.id, source.endedBy);
  }
  for (const fault of faults) {
    check(fault.id, fault.onlyWhen);
    fault.raisedBy.forEach((text) => check(fault.id, text));
  }
  harvestConditions.forEach(([id, text]) => check(id, text));
  for (const i of interfaces) {
    i.facts.forEach((id) => {
      known(i.id, id);
      used.add(id);
    });
    [...i.knockOn, ...i.kit].forEach((id) => known(i.id, id));
  }
  fitRules.forEach((r) => known('a fit rule', r.id));
  for (const effect of schoolEffects) {
    known('a school effect', effect.side);
    if (effect.assumes) {
      const [fact, value] = effect.assumes;
      known(effect.side, fact);
      used.add(fact);
      if (isFactId(fact) && !factDef(fact).parts[0]!.options?.includes(value)) found.push(`${effect.side} assumes "${value}", which is no option of ${fact}`);
    }
    [...(effect.drops ?? []), ...(effect.cutsOrder ?? []).flat()].forEach((id) => known(effect.side, id));
  }
  for (const q of schoolQuestions) {
    q.sides.forEach((s) => known(q.id, s.id));
    known(q.id, q.defaultSide);
  }
  const stateIds = new Set(workStates.map((s) => s.id));
  for (const step of pullSteps) {
    [...step.after, ...step.before].forEach((id) => known(step.id, id.replace('~', '')));
    step.needs.filter((id) => !stateIds.has(id)).forEach((id) => known(step.id, id));
  }
  workStates.forEach((s) => [...s.lostBy, ...s.givenBy].forEach((id) => known(s.id, id)));
  for (const fact of factCatalogue) {
    for (const part of fact.parts)
      if (part.unit !== undefined && !units.some((u) => u.symbol === part.unit)) found.push(`${fact.id} uses the unknown unit "${part.unit}"`);
    const wanted = fact.neededBy.some((id) => seen.has(id));
    if (!used.has(fact.id) && !wanted) found.push(`${fact.id} is a fact that nothing uses`);
  }
  for (const [fault, rows] of Object.entries(likelihoods)) {
    known('the likelihoods', fault);
    for (const [observation, chances] of Object.entries(rows)) {
      known(fault, observation);
      const outcomes = observations.find((o) => o.id === observation)?.outcomes.map((o) => o.id) ?? [];
      Object.keys(chances)
        .filter((o) => !outcomes.includes(o))
        .forEach((o) => found.push(`${fault}, ${observation}: no outcome "${o}"`));
      if (Object.values(chances).reduce((a, b) => a + b, 0) > 1 + 1e-9) found.push(`${fault}, ${observation}: chances over 1`);
    }
  }
  for (const o of observations) {
    const sum = o.outcomes.reduce((a, b) => a + b.base, 0);
    if (Math.abs(sum - 1) > 0.011) found.push(`${o.id}: base rates add to ${sum.toFixed(3)}`);
  }
  const build = orderSteps(
    buildSteps.map((s) => ({ id: s.id, rank: 0, after: s.after, before: [], needs: [] })),
    [],
  );
  build.contradictions.forEach((c) => found.push(`build-up turns in a ring: ${c.steps.join(', ')}`));
  buildSteps.forEach((s) => s.after.forEach((id) => known(s.id, id.replace('~', ''))));
  return found;
}

function optionsOf(c: ReturnType<typeof condition>): [string, string][] {
  if ('of' in c) return c.of.flatMap(optionsOf);
  if (c.op === 'in') return c.options.map((o) => [c.fact, o]);
  if (c.op === 'compare' && !isFactId(c.to) && (c.how === '=' || c.how === '!=') && Number.isNaN(Number(c.to))) return [[c.fact, c.to]];
  return [];
}
