import type { Range } from '../clock/types.ts';
import { factDef } from '../facts/index.ts';
import type { Terms } from '../money/quote/types.ts';
import { countSignals, unitIoOf } from '../systems/unit-io.ts';
import type { IoFinding, SignalCount } from '../systems/unit-io.ts';
import { draftOfPlan, shopHours } from './draft.ts';
import type { PlanInput } from './plan.ts';
import { computePlan } from './plan.ts';

/** A way of running the engine, with what it takes in this job. */
export interface ControlRoute {
  control: string;
  /** It is the one that was chosen. */
  chosen: boolean;
  /** Hours of the whole job with it: low, on average, high. */
  hours: Range;
  /** Parts of the whole job with it, smallest unit; nothing where the worth of a list unit is not set. */
  parts: Range | undefined;
  /** Lines of which nobody knows whether they are wanted. */
  open: number;
  /** What only some ways need, by title: taken from the donor, bought, done. */
  harvest: readonly string[];
  buys: readonly string[];
  work: readonly string[];
  signals: SignalCount | undefined;
  /** Held against what the unit has, of the way that was chosen: the unit of another way is another. */
  io: readonly IoFinding[];
}

interface Taken {
  hours: Range;
  parts: Range | undefined;
  open: number;
  harvest: readonly string[];
  buys: readonly string[];
  work: readonly string[];
}

function withControl(input: PlanInput, control: string, terms: Terms): Taken {
  const taken = (value: string) => ({ parts: { value }, typed: {}, source: 'assumed' as const });
  const facts = new Map(input.facts).set('cho-control', taken(control));
  // What is wired is compared for a car that runs; whoever shows it says so where nobody said the goal.
  if (!facts.has('cho-goal')) facts.set('cho-goal', taken('running'));
  const plan = computePlan({ ...input, facts });
  const draft = draftOfPlan(plan, input.withDonor, terms);
  const { lines } = draft;
  const counted = lines.filter((l) => l.state === 'counted');
  const work = counted.filter((l) => l.hours !== undefined);
  const parts = counted.filter((l) => l.section === 'parts');
  const sum = (at: 0 | 1 | 2): number => parts.reduce((total, l) => total + (l.cost?.[at] ?? 0), 0);
  return {
    hours: [work.reduce((t, l) => t + l.hours![0], 0), shopHours(draft), work.reduce((t, l) => t + l.hours![2], 0)],
    parts: parts.every((l) => l.cost !== undefined) ? [sum(0), sum(1), sum(2)] : undefined,
    open: lines.filter((l) => l.state === 'open').length,
    harvest: plan.harvest.map((h) => h.part.title),
    buys: parts.map((l) => l.title),
    work: work.map((l) => l.title),
  };
}

/** Every way of running the engine side by side: what all of them need is left out, what only some need is named. */
export function controlRoutes(input: PlanInput, terms: Terms): ControlRoute[] {
  const now = input.facts.get('cho-control')?.parts['value'];
  const controls = factDef('cho-control').parts[0]!.options ?? [];
  const taken = controls.map((control) => withControl(input, control, terms));
  const some = (of: (t: Taken) => readonly string[]) => {
    const all = taken.map((t) => new Set(of(t)));
    return (t: Taken): string[] => of(t).filter((title) => !all.every((own) => own.has(title)));
  };
  const [harvest, buys, work] = [some((t) => t.harvest), some((t) => t.buys), some((t) => t.work)];
  return controls.map((control, i): ControlRoute => {
    const t = taken[i]!;
    return {
      control,
      chosen: control === now,
      hours: t.hours,
      parts: t.parts,
      open: t.open,
      harvest: harvest(t),
      buys: buys(t),
      work: work(t),
      signals: countSignals(control),
      io: control === now ? unitIoOf(control, input.facts) : [],
    };
  });
}
