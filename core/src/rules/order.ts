/**
 * Puts steps in an order that respects what must come first and which states a step needs and ends; finds the orders
 * that contradict themselves. The result does not depend on the order in which the steps are given.
 */

export interface OrderStep {
  id: string;
  /** Lower comes first where nothing else decides; ties go by id. */
  rank: number;
  /** `~id` only saves work and gives way to binding edges. */
  after: readonly string[];
  before: readonly string[];
  needs: readonly string[];
}

export interface OrderState {
  id: string;
  atStart: boolean;
  lostBy: readonly string[];
  givenBy: readonly string[];
}

export interface Edge {
  from: string;
  to: string;
  /** Why this comes first: a named order, or a state. */
  why: { kind: 'order' } | { kind: 'state'; state: string; how: 'ends' | 'gives' };
  /** It only saves work: a hint, which holds nobody. */
  soft?: true;
}

export interface Contradiction {
  /** Steps in a ring, each before the next. */
  steps: readonly string[];
  edges: readonly Edge[];
}

export interface Ordered {
  ids: readonly string[];
  /** Edges into each step, the binding ones and the hints. */
  before: ReadonlyMap<string, readonly Edge[]>;
  contradictions: readonly Contradiction[];
  /** Steps that need a state which nothing in the plan gives. */
  unmet: readonly { step: string; state: string }[];
}

/** Edges with their closure kept up to date: a bit for every step that can be reached, so that asking is cheap. */
class Graph {
  readonly out = new Map<string, Map<string, Edge>>();
  private readonly index: ReadonlyMap<string, number>;
  private readonly reach: Uint32Array[];

  constructor(ids: readonly string[]) {
    for (const id of ids) this.out.set(id, new Map());
    this.index = new Map(ids.map((id, i) => [id, i]));
    this.reach = ids.map(() => new Uint32Array((ids.length >> 5) + 1));
  }

  add(edge: Edge): void {
    if (edge.from === edge.to) return;
    const row = this.out.get(edge.from)!;
    if (row.has(edge.to)) return;
    row.set(edge.to, edge);
    const from = this.index.get(edge.from)!;
    const to = this.index.get(edge.to)!;
    const beyond = this.reach[to]!;
    this.reach.forEach((bits, i) => {
      if (i !== from && !has(bits, from)) return;
      bits[to >> 5]! |= 1 << (to & 31);
      for (let word = 0; word < bits.length; word += 1) bits[word]! |= beyond[word]!;
    });
  }

  reaches(from: string, to: string): boolean {
    return has(this.reach[this.index.get(from)!]!, this.index.get(to)!);
  }
}

const has = (bits: Uint32Array, at: number): boolean => (bits[at >> 5]! & (1 << (at & 31))) !== 0;

/** A step id without the mark of a soft edge. */
export const bare = (id: string): string => (id.startsWith('~') ? id.slice(1) : id);

/** Orders the steps. Edges to steps that are not given fall away and are not inherited. */
export function orderSteps(given: readonly OrderStep[], states: readonly OrderState[]): Ordered {
  const steps = [...given].sort((a, b) => a.rank - b.rank || (a.id < b.id ? -1 : 1));
  const ids = steps.map((s) => s.id);
  const here = new Set(ids);
  const graph = new Graph(ids);
  const soft: Edge[] = [];
  const note = (from: string, to: string, isSoft: boolean): void => {
    if (!here.has(from) || !here.has(to)) return;
    const edge: Edge = { from, to, why: { kind: 'order' } };
    if (isSoft) soft.push({ ...edge, soft: true });
    else graph.add(edge);
  };
  for (const step of steps) {
    for (const id of step.after) note(bare(id), step.id, id.startsWith('~'));
    for (const id of step.before) note(step.id, bare(id), id.startsWith('~'));
  }
  const unmet: { step: string; state: string }[] = [];
  const stateById = new Map(states.map((s) => [s.id, s]));
  const pending: Edge[] = [];
  for (const step of steps) {
    for (const need of step.needs) {
      const state = stateById.get(need);
      if (!state) throw new Error(`Step "${step.id}" needs the unknown state "${need}"`);
      const losers = state.lostBy.filter((id) => here.has(id) && id !== step.id);
      const givers = state.givenBy.filter((id) => here.has(id) && id !== step.id);
      const gives = (from: string): void =>
        void pending.push({ from, to: step.id, why: { kind: 'state', state: need, how: 'gives' } });
      const endsAfter = (loser: string): void =>
        void pending.push({ from: step.id, to: loser, why: { kind: 'state', state: need, how: 'ends' } });
      if (!state.atStart) {
        if (givers.length === 0) unmet.push({ step: step.id, state: need });
        givers.forEach(gives);
        losers.filter((loser) => !givers.some((giver) => graph.reaches(loser, giver))).forEach(endsAfter);
        continue;
      }
      for (const loser of losers) {
        const givesBack = givers.filter((giver) => !graph.reaches(giver, loser));
        // Already behind the step that ends the state: somebody must give it back in between.
        if (graph.reaches(loser, step.id) && givesBack.length > 0) givesBack.forEach(gives);
        else endsAfter(loser);
      }
    }
  }
  for (const edge of pending) graph.add(edge);
  for (const edge of soft) if (!graph.reaches(edge.to, edge.from)) graph.add(edge);

  const before = new Map<string, Edge[]>(ids.map((id) => [id, []]));
  for (const row of graph.out.values()) for (const edge of row.values()) before.get(edge.to)!.push(edge);
  const waiting = new Map(ids.map((id) => [id, before.get(id)!.length]));
  const done: string[] = [];
  const left = new Set(ids);
  const contradictions: Contradiction[] = [];
  while (left.size > 0) {
    let next: string | undefined;
    for (const id of left) {
      if (waiting.get(id) === 0) {
        next = id;
        break;
      }
    }
    if (next === undefined) {
      const ring = findRing(left, before);
      contradictions.push(ring);
      // Go on with the rest, so that every contradiction is found and the list stays whole.
      next = ring.steps[0]!;
    }
    left.delete(next);
    done.push(next);
    for (const to of graph.out.get(next)!.keys()) waiting.set(to, waiting.get(to)! - 1);
    waiting.set(next, -1);
  }
  return { ids: done, before, contradictions, unmet };
}

function findRing(left: ReadonlySet<string>, before: ReadonlyMap<string, readonly Edge[]>): Contradiction {
  let at = [...left].sort()[0]!;
  const path: Edge[] = [];
  const seenAt = new Map<string, number>();
  for (;;) {
    const again = seenAt.get(at);
    if (again !== undefined) {
      const edges = path.slice(again).reverse();
      return { steps: edges.map((e) => e.from), edges };
    }
    seenAt.set(at, path.length);
    const edge = before.get(at)!.find((e) => left.has(e.from))!;
    path.push(edge);
    at = edge.from;
  }
}
