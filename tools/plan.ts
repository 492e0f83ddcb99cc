import { pointsOf, readingsOf, wantedWords } from '@bay/core/commissioning';
import { showFact } from '@bay/core/facts';
import { computePlan, holdWords, stepList } from '@bay/core/plan';
import type { Plan, StepListId } from '@bay/core/plan';
import { factsFile, inputOf, readFile, stop, tasksOf } from './facts-file.ts';
import type { FactsFile } from './facts-file.ts';
import { planShape, print } from './shown.ts';

/**
 * `./bay plan FACTS.json`: the whole judgement of a file of facts, as JSON (docs/formats/plan.schema.json; what it reads:
 * docs/formats/facts.schema.json).
 */

const idsOf = (lines: readonly { def: { id: string } }[]): string[] => lines.map((l) => l.def.id);

/** What was done, of steps that are in the plan. */
function doneIn(known: ReadonlySet<string>, tasks: FactsFile['tasks']): ReturnType<typeof tasksOf> {
  const records = tasksOf(tasks);
  const strange = Object.keys(records).find((id) => !known.has(id));
  if (strange !== undefined) stop(`"${strange}" is not a step of this plan.`);
  return records;
}

/** The steps of a list with where each stands; `records` by step, as a file of facts names them. */
function stepsOf(plan: Plan, id: StepListId, records: ReturnType<typeof tasksOf>): object[] {
  const { keyOf } = stepList(plan, id, {});
  const byKey = Object.fromEntries(Object.entries(records).map(([step, record]) => [keyOf(step), record]));
  const { plan: pull, states } = stepList(plan, id, byKey);
  return pull.lines.map((line) => {
    const state = states.get(line.def.id)!;
    const way = pull.ways.find((w) => w.steps.includes(line.def.id));
    return {
      id: line.def.id,
      title: line.def.title,
      status: state.status,
      after: line.before.filter((e) => !e.soft).map((e) => e.from),
      betterAfter: line.before.filter((e) => e.soft).map((e) => e.from),
      needs: line.states,
      heldBy: state.heldBy,
      ended: state.ended,
      unmet: state.unmet,
      gates: state.gates,
      ...(way ? { wayOf: way.id } : {}),
      ...(state.instead ? { instead: state.instead } : {}),
      against: holdWords(state, true),
      dependsOn: line.needs,
      because: line.because,
      ...(line.def.onlyIf ? { onlyIf: line.def.onlyIf } : {}),
      ...(line.def.caution ? { caution: line.def.caution } : {}),
      harm: line.def.harm ?? false,
      minutes: line.def.minutes ?? [],
    };
  });
}

/** The plan as it is printed. */
export function planShown(file: FactsFile): object {
  const plan = computePlan(inputOf(file));
  const tasks = doneIn(
    new Set([
      ...idsOf(plan.pull.lines),
      ...idsOf(plan.build.lines),
      ...idsOf(plan.goingIn.lines),
      ...idsOf(plan.benchTests),
    ]),
    file.tasks,
  );
  const inferred = [...plan.facts].filter(([, v]) => v.source === 'inferred');
  return {
    inferred: inferred.map(([id, v]) => ({ id, value: showFact(id, v), because: v.note })),
    schools: Object.fromEntries([...plan.schools].map(([id, { side, from }]) => [id, { side, from }])),
    fits: plan.fits.map((l) => ({ id: l.def.id, title: l.def.title, ...l.verdict })),
    kit: plan.kit.map((l) => ({
      id: l.def.id,
      title: l.def.title,
      state: l.state,
      because: l.because,
      needs: l.needs,
      blanks: l.blanks,
    })),
    pull: {
      steps: plan.pull.lines.map((l) => l.def.id),
      contradictions: plan.pull.contradictions,
      unmet: plan.pull.unmet,
    },
    steps: stepsOf(plan, 'pull', tasks),
    buildSteps: stepsOf(plan, 'prep', tasks),
    goingIn: stepsOf(plan, 'fit', tasks),
    ways: plan.pull.ways,
    ...(file.donor === undefined
      ? {}
      : {
          donorSteps: stepsOf(plan, 'donor', doneIn(new Set(idsOf(plan.harvestSteps.lines)), file.donorTasks)),
          harvest: plan.harvest.map((l) => l.part.id),
        }),
    gates: plan.gates.map((g) => ({
      gate: g.gate,
      opens: g.opens,
      lines: g.lines.map((l) => ({
        id: l.def.id,
        mustBe: l.def.mustBe,
        state: l.state,
        applies: l.applies,
        harm: l.def.harm ?? false,
        readings: pointsOf(l.def).map((p) => ({
          key: p.key,
          label: p.label,
          bands: p.bands,
          wanted: wantedWords(p, plan.facts),
        })),
        taken: l.proof
          ? readingsOf(l.def, l.proof, plan.facts).map(({ point, ...r }) => ({ key: point.key, ...r }))
          : [],
        ...(l.record ? { byRecord: l.record.missing.length === 0 } : {}),
        blockers: l.blockers.map((b) => b.sentence),
      })),
    })),
    tests: idsOf(plan.benchTests),
    fills: plan.fills.map(({ system, state, grade, rows, missing, holds, putIn }) => ({
      system,
      state,
      ...(grade === undefined ? {} : { grade }),
      rows,
      missing,
      ...(holds === undefined ? {} : { holds }),
      ...(putIn === undefined ? {} : { putIn }),
    })),
    circuits: plan.circuits.map((c) => c.def.id),
    waitingFor: Object.fromEntries(plan.waitingFor),
  };
}

if (process.argv[1]?.endsWith('plan.ts')) {
  const file = readFile(process.argv[2], factsFile, './bay plan FACTS.json');
  print(planShape, planShown(file));
}
