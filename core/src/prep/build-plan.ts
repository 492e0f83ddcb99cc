import { when } from '../facts/when.ts';
import type { StepLine, StepPlan } from '../pull/plan.ts';
import type { StepDef } from '../pull/types.ts';
import { orderSteps } from '../rules/order.ts';
import type { Truth } from '../rules/condition.ts';
import type { TruthOf } from '../rules/truths.ts';
import { buildSteps } from './data/build-up.ts';

const always = when('always');
const steps = buildSteps.map(({ afterWhere = [], ...step }): { def: StepDef; afterWhere: typeof afterWhere } => ({
  def: { when: always, ...step, phase: 'build-up', before: [], needs: [] },
  afterWhere,
}));

/** What a plan of building up stands on. */
export const buildStandsOn = (truthOf: TruthOf): Truth[] =>
  steps.flatMap(({ def, afterWhere }) => [def.when, ...afterWhere.map((a) => a.when)]).map(truthOf);

/**
 * The steps of building up an engine of this kind, opened so far, in their order. What nobody knows keeps a step. No
 * step of these gives or ends a state.
 */
export function buildPlan(truthOf: TruthOf): StepPlan {
  const applying = steps.flatMap(({ def, afterWhere }) => {
    const truth = truthOf(def.when);
    if (truth.is === false) return [];
    const first = afterWhere.filter((a) => truthOf(a.when).is === true).map((a) => a.step);
    return [{ def, after: [...def.after, ...first], because: truth.because, needs: truth.needs }];
  });
  const ordered = orderSteps(
    applying.map(({ def, after }, rank) => ({ id: def.id, rank, after, before: [], needs: [] })),
    [],
  );
  const lines = new Map(
    applying.map(({ def, because, needs }): [string, StepLine] => [
      def.id,
      { def, because, needs, before: ordered.before.get(def.id) ?? [], states: [], gates: [] },
    ]),
  );
  return {
    lines: ordered.ids.map((id) => lines.get(id)!),
    states: [],
    ways: [],
    contradictions: ordered.contradictions,
    unmet: [],
  };
}
