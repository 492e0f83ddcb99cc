import type { Plan } from './plan.ts';
import { taskTitle, titleOf } from './title.ts';
import { schoolEffects } from '../schools/effects.ts';
import { goingInSteps, pullSteps } from '../pull/index.ts';
import { returnsOf } from '../parts/index.ts';
import { holdsReturn, stepList } from './step-lists.ts';
import type { StepListId } from './step-lists.ts';
import type { TaskRecord } from '../pull/records.ts';
import type { StationId } from '../jobs/stations.ts';
import type { WorkStep } from '../jobs/work-step.ts';

type Tasks = Readonly<Record<string, TaskRecord | undefined>>;

const ownStation = (plan: Plan, id: string): StationId => plan.ownLines.find((l) => l.id === id)!.line.station;

function ofList(plan: Plan, id: StepListId, tasks: Tasks): WorkStep[] {
  const list = stepList(plan, id, tasks);
  return list.plan.lines.map(({ def }): WorkStep => {
    const state = list.states.get(def.id)!;
    const record = list.own[def.id];
    const minutes = list.minutesOf(def.id);
    return {
      key: list.keyOf(def.id),
      title: def.title,
      station: id === 'own' ? ownStation(plan, def.id) : id,
      status: state.status,
      ...(minutes ? { minutes } : {}),
      ...(def.caution ? { caution: def.caution } : {}),
      ...(def.thenWait ? { thenWait: def.thenWait } : {}),
      heldBy: state.heldBy.map(taskTitle),
      ...(state.waits.length > 0 ? { waits: state.waits.map((w) => w.waitsFor) } : {}),
      ...(state.unmet.length > 0 ? { unmet: state.unmet.map((u) => titleOf(u.state)) } : {}),
      ...(record ? { record } : {}),
    };
  });
}

/** Every step of a job in the order of the stations, with where each stands. `donor` tells whether one is on the job. */
export function workSteps(plan: Plan, tasks: Tasks, donor: boolean): WorkStep[] {
  const simple = (key: string, title: string, station: StationId): WorkStep => {
    const record = tasks[key];
    const status = record?.status ?? 'open';
    return {
      key,
      title,
      station,
      status: status === 'open' ? 'free' : status,
      heldBy: [],
      ...(record ? { record } : {}),
    };
  };
  return [
    ...(donor ? ofList(plan, 'donor', tasks) : []),
    ...ofList(plan, 'pull', tasks),
    ...ofList(plan, 'prep', tasks),
    ...returnsOf(tasks).map(({ def, done }) => {
      const first = holdsReturn(plan, tasks, def.id);
      const step = { ...simple(def.id, def.title, 'connect'), heldBy: first.map(taskTitle) };
      if (first.length > 0 && !done && step.status !== 'on-it') return { ...step, status: 'held' as const };
      // Off once more after it was back: what was written then says nothing of now.
      return done ? step : { ...step, status: step.status === 'on-it' ? ('on-it' as const) : ('free' as const) };
    }),
    ...ofList(plan, 'fit', tasks),
    ...plan.fitTasks.map((t) => simple(t.id, t.title, 'fit')),
    ...plan.benchTests.map((t) => simple(t.def.id, taskTitle(t.def.id), 'connect')),
    ...ofList(plan, 'own', tasks),
  ];
}

const stationOfPrefix: readonly (readonly [prefix: string, station: StationId])[] = [
  ['donor-', 'donor'],
  ['rm-', 'pull'],
  ['bld-', 'prep'],
  ['ein-', 'fit'],
  ['task-', 'fit'],
];

/** Where a step belongs and how long it is estimated to take, by its key alone: what its clock is started with. */
export function stepBasis(key: string): { station: StationId; minutes?: readonly number[] } {
  const station = stationOfPrefix.find(([prefix]) => key.startsWith(prefix))?.[1] ?? 'connect';
  const id = key.replace(/^donor-/, '');
  const minutes = (
    [...pullSteps, ...goingInSteps].find((s) => s.id === id) ??
    schoolEffects.flatMap((e) => e.addsSteps ?? []).find((s) => s.id === id)
  )?.minutes;
  return { station, ...(minutes ? { minutes } : {}) };
}
