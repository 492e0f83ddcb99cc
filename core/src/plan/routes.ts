import { factDef } from '../facts/index.ts';
import type { Terms } from '../money/quote/types.ts';
import { countSignals, unitIoOf } from '../systems/unit-io.ts';
import type { IoFinding, SignalCount } from '../systems/unit-io.ts';
import { draftOfPlan, takingOf } from './draft.ts';
import type { Taking } from './draft.ts';
import type { PlanInput } from './plan.ts';
import { computePlan } from './plan.ts';

/** A way of running the engine, with what it takes in this job. */
export interface ControlRoute extends Taking {
  control: string;
  /** It is the one that was chosen. */
  chosen: boolean;
  /** What only some ways need, by title: taken from the donor, bought, done. */
  harvest: readonly string[];
  buys: readonly string[];
  work: readonly string[];
  signals: SignalCount | undefined;
  /** Held against what the unit has, of the way that was chosen: the unit of another way is another. */
  io: readonly IoFinding[];
}

interface Taken extends Taking {
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
  const counted = draft.lines.filter((l) => l.state === 'counted');
  return {
    ...takingOf(draft),
    harvest: plan.harvest.map((h) => h.part.title),
    buys: counted.filter((l) => l.section === 'parts').map((l) => l.title),
    work: counted.filter((l) => l.hours !== undefined).map((l) => l.title),
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
