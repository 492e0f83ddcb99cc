import { factDef, isFactId } from '../facts/index.ts';
import { gateLines } from '../commissioning/index.ts';
import { interfaces } from '../fit/index.ts';
import { kitLines } from '../kit/index.ts';
import { everyState, goingInSteps, pullSteps } from '../pull/index.ts';
import { returnDefs } from '../parts/index.ts';
import { isOwn, ownTitle } from '../memory/index.ts';
import { buildSteps } from '../prep/data/build-up.ts';
import { benchTests, usualCircuits } from '../systems/index.ts';
import { schoolEffects } from '../schools/effects.ts';

const titles = new Map<string, string>([
  ...interfaces.map((i) => [i.id, i.title] as const),
  ...kitLines.map((k) => [k.id, k.title] as const),
  ...[...pullSteps, ...goingInSteps].map((s) => [s.id, s.title] as const),
  ...schoolEffects.flatMap((e) => (e.addsSteps ?? []).map((s) => [s.id, s.title] as const)),
  ...everyState.map((s) => [s.id, s.title] as const),
  ...returnDefs.map((r) => [r.id, r.title] as const),
  ...buildSteps.map((s) => [s.id, s.title] as const),
  ...benchTests.map((t) => [t.id, t.test] as const),
  ...gateLines.map((g) => [g.id, g.mustBe] as const),
  ...usualCircuits.map((c) => [c.id, c.title] as const),
  ...interfaces.flatMap((i) => (i.tasks ? [[i.id.replace('fit-', 'task-'), i.tasks] as const] : [])),
]);

/** What a task record speaks of; a step of taking a donor apart has the title of the step it is. */
export const taskTitle = (key: string): string => titleOf(key.replace(/^donor-/, ''));

const shorts = new Map<string, string>(
  [...pullSteps, ...goingInSteps, ...buildSteps].flatMap((s) =>
    s.short === undefined ? [] : [[s.id, s.short] as const],
  ),
);

/** The few words of a line of the plan where it has some, for a strip or a list; its whole title otherwise. */
export const shortTitleOf = (id: string): string => shorts.get(id.replace(/^donor-/, '')) ?? taskTitle(id);

/** What a line of the plan is called, for screens that show an id's name. */
export function titleOf(id: string): string {
  if (isFactId(id)) return factDef(id).label;
  return titles.get(id) ?? (isOwn(id) ? ownTitle(id) : id);
}
