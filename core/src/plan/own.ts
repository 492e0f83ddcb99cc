import type { OpenMatter } from '../commissioning/gates.ts';
import { when } from '../facts/when.ts';
import { stationIds, stationName } from '../jobs/stations.ts';
import type { KitLine } from '../kit/plan.ts';
import type { KitRecord } from '../kit/records.ts';
import { isOwn, ruleCondition } from '../memory/index.ts';
import type { OwnLine, OwnLineRecord, ShopRule } from '../memory/index.ts';
import { stands } from '../pull/step-states.ts';
import type { HeldFor, Tasks, Waits } from '../pull/step-states.ts';
import type { StepPlan } from '../pull/plan.ts';
import type { Truth } from '../rules/condition.ts';
import type { TruthOf } from '../rules/truths.ts';
import type { CircuitDef } from '../systems/types.ts';

/** Lines of people's own on a job, and those that the shop keeps, as parts of the plan. */

export interface OwnInPlan {
  id: string;
  line: OwnLine;
  /** Written on this job, or kept by the shop for all that are like it. */
  from: 'job' | 'shop';
  because: readonly string[];
  /** Facts that would decide whether the rule of the shop holds here; until then it stays in the list. */
  needs: readonly string[];
  /** Nobody knows whether it is wanted here: for want of facts, or since its condition is not understood any more. */
  waits: boolean;
}

const always = when('always');

/** Own lines of the job, and the rules of the shop that hold here or of which nobody knows yet. */
export function ownLines(
  own: Readonly<Record<string, OwnLineRecord>>,
  rules: readonly ShopRule[],
  truthOf: TruthOf,
): OwnInPlan[] {
  const written = Object.entries(own).map(([id, line]): OwnInPlan[] =>
    line.removed ? [] : [{ id, line, from: 'job', because: [], needs: [], waits: false }],
  );
  const kept = rules.map((rule): OwnInPlan[] => {
    // The line that the rule was made from stands on its job already, or was taken back there by name.
    if (own[rule.id]) return [];
    const condition = ruleCondition(rule);
    const truth: Truth = condition ? truthOf(condition) : { is: 'waits', because: [], needs: [] };
    const { is, because, needs } = truth;
    return is === false ? [] : [{ id: rule.id, line: rule.line, from: 'shop', because, needs, waits: is === 'waits' }];
  });
  return [...written, ...kept].flat();
}

/** Own parts as lines of the kit. */
export function ownKit(lines: readonly OwnInPlan[]): KitLine[] {
  return lines.flatMap(({ id, line, because, needs, waits }): KitLine[] =>
    line.sort === 'part'
      ? [
          {
            def: {
              id,
              system: line.system!,
              title: line.title,
              when: always,
              options: line.options || 'the exact part',
              leftOut: line.why || 'nobody said',
              price: line.price!,
            },
            state: waits ? 'waits' : 'needed',
            because,
            needs,
            filled: [],
            blanks: [],
            blankParts: {},
            addedBy: [],
          },
        ]
      : [],
  );
}

/** Own circuits; what they draw is an estimate to start from. */
export const ownCircuits = (
  lines: readonly OwnInPlan[],
): { def: CircuitDef; waits: boolean; because: readonly string[] }[] =>
  lines.flatMap(({ id, line, because, waits }) =>
    line.sort === 'circuit'
      ? [
          {
            def: {
              id,
              title: line.title,
              from: line.from!,
              to: line.to!,
              kind: 'power',
              load: line.load!,
              amps: line.amps === undefined ? { words: 'not said' } : { least: line.amps, most: line.amps },
              fuse: { words: 'by the wire' },
              mm2: { words: 'by current and length' },
              when: always,
              proof: 'voltage at the far end under load',
            },
            waits,
            because,
          },
        ]
      : [],
  );

const isStep = ({ line }: OwnInPlan): boolean => line.sort === 'step' || line.sort === 'check';

/** Own lines so that each stands behind those that it waits for. */
function inOrder(lines: readonly OwnInPlan[]): OwnInPlan[] {
  const left = new Map(lines.map((l) => [l.id, l]));
  const done: OwnInPlan[] = [];
  const rank = (l: OwnInPlan): number => stationIds.indexOf(l.line.station);
  const sorted = [...lines].sort((a, b) => rank(a) - rank(b));
  const take = (l: OwnInPlan): void => {
    if (!left.delete(l.id)) return;
    for (const id of firstOf(l, lines)) if (left.has(id)) take(left.get(id)!);
    done.push(l);
  };
  sorted.forEach(take);
  return done;
}

/** What comes before an own line among the own ones: what it names, and what names it. */
const firstOf = ({ id, line }: OwnInPlan, lines: readonly OwnInPlan[]): string[] => [
  ...(line.after ?? []).filter(isOwn),
  ...lines.filter((l) => l.line.before?.includes(id)).map((l) => l.id),
];

/** Own steps and checks as a list of steps; what they wait for stands in `ownWaits`. */
export function ownSteps(lines: readonly OwnInPlan[]): StepPlan {
  return {
    lines: inOrder(lines.filter(isStep)).map(({ id, line, because, needs }) => ({
      def: {
        id,
        phase: stationName(line.station),
        title: line.title,
        when: always,
        after: [],
        before: [],
        needs: [],
        ...(line.minutes?.length === 2 ? { minutes: line.minutes } : {}),
        ...(line.people !== undefined && line.people > 1 ? { support: `${line.people} people` } : {}),
        ...(line.sort === 'check' ? { wantsFound: true as const } : {}),
      },
      because,
      needs,
      before: [],
      states: [],
      gates: [],
    })),
    states: [],
    ways: [],
    contradictions: [],
    unmet: [],
  };
}

const closed = (key: string, tasks: Tasks): boolean => {
  const record = tasks[key];
  return record !== undefined && ['done', 'waived'].includes(record.status) && stands(key, record);
};

const isHere = (status: KitRecord['status'] | undefined): boolean =>
  status === 'here' || status === 'fitted' || status === 'not-needed';

/** The records of own lines and of those around them, as far as somebody waits for them. */
export interface OwnState {
  tasks: Tasks;
  kit: Readonly<Record<string, KitRecord | undefined>>;
  /** Keys of the steps that are in the plan; one that dropped out of it holds nobody. */
  inPlan: ReadonlySet<string>;
  /** Kit lines that this job may need; a part that it does not need holds nobody. */
  inKit: ReadonlySet<string>;
  /** Titles of kit lines of this plan. */
  kitTitle: (id: string) => string;
  /** What a step of the plan is called. */
  stepTitle: (key: string) => string;
}

/** What own steps wait for, and what waits for them, laid over what was there. */
export function ownWaits(lines: readonly OwnInPlan[], state: OwnState, waits: Waits): Waits {
  const { tasks, kit, inPlan, inKit, kitTitle, stepTitle } = state;
  const all = new Map<string, readonly HeldFor[]>(Object.entries(waits).map(([key, held]) => [key, held ?? []]));
  const titles = new Map(lines.map((l) => [l.id, l.line.title]));
  const known = (key: string): boolean => inPlan.has(key) || titles.has(key);
  const hold = (key: string, waitsFor: string): void => void all.set(key, [...(all.get(key) ?? []), { waitsFor }]);
  const named = (key: string): string => `"${titles.get(key) ?? stepTitle(key)}"`;
  for (const { id, line } of lines.filter(isStep)) {
    for (const key of line.after ?? []) if (known(key) && !closed(key, tasks)) hold(id, named(key));
    for (const part of line.parts ?? []) if (inKit.has(part) && !isHere(kit[part]?.status)) hold(id, kitTitle(part));
    if (!closed(id, tasks)) for (const key of line.before ?? []) hold(key, named(id));
  }
  return Object.fromEntries(all);
}

/** Checks that nobody did, and the gate at which each may no longer be open. */
export const ownMatters = (lines: readonly OwnInPlan[], tasks: Tasks): OpenMatter[] =>
  lines.flatMap(({ id, line }) =>
    line.sort === 'check' && !closed(id, tasks) ? [{ gate: line.gate!, what: `check, ${line.title}` }] : [],
  );

/** What else is in order already: each step, with those that must come before it. */
export type OrderNow = ReadonlyMap<string, readonly string[]>;

/** The hard order of a plan as it stands, own lines with it. */
export function orderOf(lists: readonly { steps: StepPlan; prefix: string }[], own: readonly OwnInPlan[]): OrderNow {
  const before = new Map<string, string[]>();
  const add = (key: string, first: string): void => void before.set(key, [...(before.get(key) ?? []), first]);
  for (const { steps, prefix } of lists)
    for (const line of steps.lines)
      for (const edge of line.before) if (!edge.soft) add(prefix + line.def.id, prefix + edge.from);
  for (const { id, line } of own) {
    for (const key of line.after ?? []) add(id, key);
    for (const key of line.before ?? []) add(key, id);
  }
  return before;
}

/**
 * The ring that a line would close, each step before the next; nothing where its order can be. `order` is that of the plan without
 * the line.
 */
export function ringOf(id: string, line: Pick<OwnLine, 'after' | 'before'>, order: OrderNow): string[] | undefined {
  // Whoever is to wait for the line must not have to come before something that the line itself waits for.
  const wanted = new Set([...(line.before ?? []), id]);
  const seen = new Set<string>();
  const walk = (key: string, path: readonly string[]): string[] | undefined => {
    if (wanted.has(key)) return [key, ...path];
    if (seen.has(key)) return undefined;
    seen.add(key);
    for (const first of order.get(key) ?? []) {
      const ring = walk(first, [key, ...path]);
      if (ring) return ring;
    }
    return undefined;
  };
  for (const key of line.after ?? []) {
    const ring = walk(key, [id]);
    if (ring) return ring;
  }
  return undefined;
}
