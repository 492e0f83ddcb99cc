import type { StationId } from '../jobs/stations.ts';
import type { TruthOf } from '../rules/truths.ts';
import { factors } from './data/factors.ts';
import { tasks } from './data/tasks.ts';
import { waits } from './data/waits.ts';
import type { EitherOr, FactorDef, Range, TaskDef, WaitDef, WorkSort } from './types.ts';

/** Mean of a task by its three figures: (low + 4 likely + high) / 6. Common practice, no source. */
export const meanOf = ([low, likely, high]: Range): number => (low + 4 * likely + high) / 6;

/** One standard deviation by the same practice: (high - low) / 6. */
export const spreadOf = ([low, , high]: Range): number => (high - low) / 6;

/** A task of a job: counted, or open while nobody knows whether it is done. */
export interface TaskLine {
  id: string;
  title: string;
  station: StationId;
  state: 'counted' | 'open' | 'offered';
  /** Hours of all people together, all times it is done, without common causes. */
  hours: Range;
  times: number;
  people: number;
  /** Common causes that touch it, by id. */
  causes: readonly string[];
  because: readonly string[];
  /** Facts that nobody knows, where it is open or of several only one is done. */
  needs: readonly string[];
  skill: string;
  leftOut: string;
}

export interface CauseLine {
  def: FactorDef;
  /** Whether it holds; open where nobody said. */
  state: 'counted' | 'open';
  needs: readonly string[];
  because: readonly string[];
}

export interface WaitLine {
  def: WaitDef;
  state: 'counted' | 'open';
  needs: readonly string[];
}

export interface Estimate {
  tasks: readonly TaskLine[];
  causes: readonly CauseLine[];
  waits: readonly WaitLine[];
}

const touches = (def: FactorDef, sorts: readonly WorkSort[]): boolean =>
  def.touches === 'all' || def.touches.some((sort) => sorts.includes(sort));

const scaled = (range: Range, by: number): Range => [range[0] * by, range[1] * by, range[2] * by];

/** How a group of which one is done is called while nobody knows which. */
const eitherTitle: Readonly<Record<EitherOr, string>> = {
  'unit-out': 'Unit out of the car, which way is not chosen',
  mounts: 'Mounts, from a kit or made',
  'gearbox-crossmember': 'Gearbox crossmember, bolted or made',
  joining: 'Engine and gearbox joined',
  'unit-in': 'Unit in for good, from above or below',
  headers: 'Manifolds, made or bought',
  loom: 'Engine loom, new or trimmed',
};

/** What stands of one task. */
function lineOf(def: TaskDef, truthOf: TruthOf, causes: readonly CauseLine[]): TaskLine | undefined {
  const truth = truthOf(def.when);
  if (truth.is === false) return undefined;
  const times = def.fewer && truthOf(def.fewer.when).is === true ? def.fewer.times : (def.times ?? 1);
  const people = def.people[0];
  return {
    id: def.id,
    title: times > 1 ? `${def.title}, ${times} times` : def.title,
    station: def.station,
    state: def.offered ? 'offered' : truth.is === true ? 'counted' : 'open',
    hours: scaled(def.hours, times * people),
    times,
    people,
    causes: causes.filter((c) => touches(c.def, def.sorts)).map((c) => c.def.id),
    because: truth.is === true ? truth.because : [],
    needs: truth.is === 'waits' ? truth.needs : [],
    skill: def.skill,
    leftOut: def.leftOut,
  };
}

/** Of these none may be done at all: while nothing is known of them they are open. */
const maybeNone: ReadonlySet<EitherOr> = new Set(['loom']);

/** Several of which one is done: as long as the shortest may be at the least, as the longest at the most. */
function either(group: EitherOr, lines: readonly TaskLine[]): TaskLine {
  const [first] = lines as [TaskLine];
  const likely = lines.reduce((sum, l) => sum + l.hours[1], 0) / lines.length;
  return {
    ...first,
    id: `either-${group}`,
    title: eitherTitle[group],
    state: maybeNone.has(group) ? 'open' : 'counted',
    hours: [Math.min(...lines.map((l) => l.hours[0])), likely, Math.max(...lines.map((l) => l.hours[2]))],
    causes: [...new Set(lines.flatMap((l) => l.causes))],
    because: [],
    needs: [...new Set(lines.flatMap((l) => l.needs))],
    leftOut: '',
  };
}

/**
 * What a job takes: its tasks, the common causes that make more or less of them, and what it waits for. What hangs on a fact that
 * nobody knows is open, and of tasks of which one is done the group stands for them until it is known which.
 */
export function estimateOf(truthOf: TruthOf, { withDonor }: { withDonor: boolean }): Estimate {
  const causes = factors.flatMap((def): CauseLine[] => {
    const truth = truthOf(def.when);
    if (truth.is === false) return [];
    return [
      {
        def,
        state: truth.is === true ? 'counted' : 'open',
        needs: truth.is === 'waits' ? truth.needs : [],
        because: truth.is === true ? truth.because : [],
      },
    ];
  });
  const made = tasks
    .filter((def) => withDonor || !def.donor)
    .flatMap((def) => {
      const line = lineOf(def, truthOf, causes);
      return line ? [{ def, line }] : [];
    });
  const lines: TaskLine[] = [];
  const grouped = new Set<EitherOr>();
  for (const { def, line } of made) {
    if (!def.either) {
      lines.push(line);
      continue;
    }
    if (grouped.has(def.either)) continue;
    grouped.add(def.either);
    const all = made.filter((m) => m.def.either === def.either).map((m) => m.line);
    const sure = all.filter((l) => l.state === 'counted');
    lines.push(...(sure.length > 0 ? sure : [either(def.either, all)]));
  }
  return {
    tasks: lines,
    causes,
    waits: waits.flatMap((def) => {
      const truth = truthOf(def.when);
      if (truth.is === false) return [];
      return [
        {
          def,
          state: truth.is === true ? ('counted' as const) : ('open' as const),
          needs: truth.is === 'waits' ? truth.needs : [],
        },
      ];
    }),
  };
}

/** What a line of work is called by its id: a task, a group of which one is done, what is learnt; nothing for an id that is none. */
export function lineTitle(id: string): string | undefined {
  if (id.startsWith('either-')) return eitherTitle[id.slice('either-'.length) as EitherOr];
  return taskDef(id)?.title ?? factors.find((f) => f.id === id)?.title;
}

/** A task by its id; nothing where the content has none. */
export const taskDef = (id: string): TaskDef | undefined => tasks.find((t) => t.id === id);
