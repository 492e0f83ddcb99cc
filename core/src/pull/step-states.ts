import { everyState } from './states.ts';
import type { PlanState, StepLine, StepPlan } from './plan.ts';
import type { TaskRecord } from './records.ts';

/** Where steps stand, given what people have done: what is free, what holds the others, and what nothing brings about. */

export interface UnmetState {
  state: string;
  /** Steps of the plan that would give it and were called not needed, or that facts must first decide. */
  offers: readonly string[];
  /** Facts that would tell whether the car comes with it. */
  needs: readonly string[];
}

/** What a step waits for from outside the order of steps: a part, a helper, an answer. */
export interface HeldFor {
  waitsFor: string;
  /** An ISO date. */
  due?: string | undefined;
}

export const stepStatuses = ['done', 'waived', 'on-it', 'free', 'held', 'unmet', 'other-way'] as const;

/** Behind us, or done another way: nothing is to be done of it. */
export const isBehind = (status: StepState['status']): boolean =>
  status === 'done' || status === 'waived' || status === 'other-way';

export interface StepState {
  status: (typeof stepStatuses)[number];
  /** Steps that must come first and are open. */
  heldBy: readonly string[];
  /** Open steps that would save work if they came first; they hold nobody. */
  better: readonly string[];
  /** States the step needs that a done step has ended, with the step that ended it. */
  ended: readonly { state: string; by: string }[];
  /** States the step needs, that this car does not come with and that nothing brings about. */
  unmet: readonly UnmetState[];
  /** What somebody wrote that it waits for. */
  waits: readonly HeldFor[];
  /** Lines of a gate that must be proved before it may be called done. */
  gates: readonly string[];
  /** The step that is taken instead of this one. */
  instead?: string;
  /** Bags of bolts that it wants and that are still full: it is not done before they are empty. */
  bags?: readonly string[];
}

export type Tasks = Readonly<Record<string, TaskRecord | undefined>>;
/** What steps wait for, by step. */
export type Waits = Readonly<Record<string, readonly HeldFor[] | undefined>>;

const harmful = new Set(everyState.filter((s) => s.harm).map((s) => s.id));
const givers = new Map<string, string[]>();
for (const state of everyState)
  for (const step of state.givenBy) givers.set(step, [...(givers.get(step) ?? []), state.id]);

/** Titles of the states that a step gives, where somebody is hurt when they are missing. */
export const harmStatesOf = (step: string): string[] => (givers.get(step) ?? []).filter((s) => harmful.has(s));

/**
 * Does this wish for a second person's name? A step done although it was held does, where harm is near; and the word that a
 * state nobody brought about is there all the same.
 */
export function taskWantsSecond(step: string, record: TaskRecord): boolean {
  if (record.status === 'waived') return record.instead !== undefined && harmStatesOf(step).length > 0;
  return record.deviation?.stoodOn?.harm === true;
}

/** Is it said with all the names it wants? */
export const stands = (step: string, record: TaskRecord): boolean =>
  !taskWantsSecond(step, record) || record.second !== undefined;

class Standing {
  private readonly lines: ReadonlyMap<string, StepLine>;
  private readonly states: ReadonlyMap<string, PlanState>;
  /** For each step that has other ways: the one that is taken. */
  private readonly taken = new Map<string, string | undefined>();
  private readonly plan: StepPlan;
  private readonly records: Tasks;
  private readonly proved: ReadonlySet<string>;
  private readonly waits: Waits;

  constructor(plan: StepPlan, records: Tasks, proved: ReadonlySet<string>, waits: Waits) {
    this.plan = plan;
    this.records = records;
    this.proved = proved;
    this.waits = waits;
    this.lines = new Map(plan.lines.map((l) => [l.def.id, l]));
    this.states = new Map(plan.states.map((s) => [s.id, s]));
    for (const way of plan.ways) {
      const taken = this.takenOf(way.steps);
      for (const step of way.steps) this.taken.set(step, taken);
    }
  }

  private record = (id: string): TaskRecord | undefined => this.records[id];
  private status = (id: string): TaskRecord['status'] => this.record(id)?.status ?? 'open';

  /** Behind us: done or not needed, with all the names it wants. */
  private closed(id: string): boolean {
    const record = this.record(id);
    if (record === undefined || !['done', 'waived'].includes(record.status)) return false;
    return stands(id, record);
  }

  /** When it was done; what waits for a second name was done all the same. */
  private doneAt = (id: string): string | undefined =>
    this.status(id) === 'done' ? (this.record(id)!.at ?? '') : undefined;

  /** When it gave its states: done with all its names, or not needed because something named gives them instead. */
  private gaveAt(id: string): string | undefined {
    const record = this.record(id);
    if (record === undefined || !this.closed(id)) return undefined;
    if (record.status === 'waived' && record.instead === undefined) return undefined;
    return record.at ?? '';
  }

  /** The way that somebody took; else the first that is open. */
  private takenOf(steps: readonly string[]): string | undefined {
    const begun = steps
      .filter((id) => ['done', 'on-it'].includes(this.status(id)))
      .sort((a, b) => ((this.record(a)!.at ?? '') < (this.record(b)!.at ?? '') ? 1 : -1));
    if (begun.length > 0) return begun[0];
    const open = steps.filter((id) => this.status(id) === 'open');
    return open.find((id) => this.endedOf(this.lines.get(id)!).length === 0) ?? open[0];
  }

  private insteadOf(id: string): string | undefined {
    const taken = this.taken.get(id);
    return taken === undefined || taken === id ? undefined : taken;
  }

  /** The last step that ended a state, if nothing gave it back since. */
  private lostTo(state: PlanState, but: string): string | undefined {
    const losses = state.lostBy
      .filter(
        ({ step, unless }) => step !== but && this.doneAt(step) !== undefined && !(unless && this.keptBy(unless, step)),
      )
      .map(({ step }) => step)
      .sort((a, b) => (this.doneAt(a)! < this.doneAt(b)! ? 1 : -1));
    const lost = losses[0];
    if (lost === undefined) return undefined;
    return state.givenBy.some((id) => (this.gaveAt(id) ?? '') > this.doneAt(lost)!) ? undefined : lost;
  }

  private keptBy(keeper: string, loser: string): boolean {
    const at = this.doneAt(keeper);
    return at !== undefined && this.closed(keeper) && at <= this.doneAt(loser)!;
  }

  private endedOf(line: StepLine): { state: string; by: string }[] {
    return line.states.flatMap((id) => {
      const state = this.states.get(id)!;
      const came = state.atStart || state.givenBy.some((g) => this.gaveAt(g) !== undefined);
      const by = came ? this.lostTo(state, line.def.id) : undefined;
      return by === undefined ? [] : [{ state: id, by }];
    });
  }

  /** What a state that must be brought about waits for: open steps that give it, or nothing that does. */
  private missing(state: PlanState, step: string): { open: readonly string[] } | { unmet: UnmetState } | undefined {
    const own = state.givenBy.filter((id) => id !== step);
    const gave = own.filter((id) => this.gaveAt(id) !== undefined);
    // Of steps that facts have not decided, one that was called not needed without a word leaves the state open.
    const undecided = own.filter(
      (id) =>
        this.lines.get(id)!.needs.length > 0 &&
        this.status(id) === 'waived' &&
        this.gaveAt(id) === undefined &&
        !gave.some((g) => this.taken.has(g) && this.taken.get(g) === this.taken.get(id)),
    );
    if (gave.length > 0 && undecided.length === 0) return undefined;
    const open = own.filter((id) => !this.closed(id) && this.insteadOf(id) === undefined);
    if (open.length > 0) return { open };
    return { unmet: { state: state.id, offers: own, needs: state.needs } };
  }

  of(line: StepLine): StepState {
    const { def } = line;
    const held = new Set(
      line.before
        .filter((e) => !e.soft && !(e.why.kind === 'state' && e.why.how === 'gives'))
        .map((e) => e.from)
        .filter((from) => !this.closed(from) && this.insteadOf(from) === undefined && !this.idle(from)),
    );
    const unmet: UnmetState[] = [];
    for (const id of line.states) {
      const state = this.states.get(id)!;
      if (state.atStart) continue;
      const missing = this.missing(state, def.id);
      if (missing === undefined) continue;
      if ('open' in missing) missing.open.forEach((from) => held.add(from));
      else unmet.push(missing.unmet);
    }
    const ended = this.endedOf(line);
    const gates = line.gates.filter((id) => !this.proved.has(id));
    const waits = this.waits[def.id] ?? [];
    const instead = this.insteadOf(def.id);
    const written = this.status(def.id);
    const status: StepState['status'] =
      written !== 'open'
        ? written
        : instead !== undefined || this.idle(def.id)
          ? 'other-way'
          : unmet.length > 0
            ? 'unmet'
            : held.size > 0 || ended.length > 0 || waits.length > 0
              ? 'held'
              : 'free';
    const better = line.before
      .filter(
        (e) => e.soft && this.status(e.from) === 'open' && this.insteadOf(e.from) === undefined && !this.idle(e.from),
      )
      .map((e) => e.from);
    return {
      status,
      heldBy: [...held],
      better,
      ended,
      unmet,
      waits,
      gates,
      ...(instead === undefined ? {} : { instead }),
    };
  }

  /** A step that is there on demand, while nothing that is to be done asks for what it gives. */
  private idle(id: string): boolean {
    const wanted = this.lines.get(id)!.def.onDemand;
    if (wanted === undefined || this.status(id) !== 'open') return false;
    return !this.plan.lines.some(
      (l) => l.states.includes(wanted) && this.insteadOf(l.def.id) === undefined && !this.closed(l.def.id),
    );
  }
}

/** Where each step stands. `proved` holds the gate lines that are proved or overridden. */
export function stepStates(
  plan: StepPlan,
  records: Tasks,
  proved: ReadonlySet<string> = new Set(),
  waits: Waits = {},
): Map<string, StepState> {
  const standing = new Standing(plan, records, proved, waits);
  return new Map(plan.lines.map((line) => [line.def.id, standing.of(line)]));
}

/** Is harm near, should the step be done as it stands now? */
export const harmNear = (plan: StepPlan, step: string, state: StepState): boolean => {
  const line = plan.lines.find((l) => l.def.id === step);
  if (line?.def.harm) return true;
  const missing = [...state.unmet.map((u) => u.state), ...state.ended.map((e) => e.state)];
  const heldFor = line?.states.filter((s) =>
    everyState.find((w) => w.id === s)!.givenBy.some((g) => state.heldBy.includes(g)),
  );
  return [...missing, ...(heldFor ?? [])].some((s) => harmful.has(s)) || state.gates.length > 0;
};

/** Steps that are held by this one alone, and free once it is done. */
export const freedBy = (states: ReadonlyMap<string, StepState>, step: string): string[] =>
  [...states].flatMap(([id, s]) =>
    s.status === 'held' && s.ended.length === 0 && s.waits.length === 0 && s.heldBy.every((h) => h === step)
      ? [id]
      : [],
  );

/** How many steps are behind us, of those that are to be done: ways not taken do not count. */
export function countSteps(states: Iterable<StepState>): { closed: number; of: number } {
  const counted = [...states].filter((s) => s.status !== 'other-way');
  return { closed: counted.filter((s) => s.status === 'done' || s.status === 'waived').length, of: counted.length };
}
