import { approvalsOf } from '../commissioning/approvals.ts';
import { gatesOf } from '../commissioning/gates.ts';
import type { GateInputs, GateState, OpenMatter } from '../commissioning/gates.ts';
import { fillsOf } from '../fluids/fills.ts';
import type { Fill } from '../fluids/fills.ts';
import type { LineRecords } from '../commissioning/record-lines.ts';
import type { FluidRecord } from '../fluids/records.ts';
import type { ProvisionalItem } from '../commissioning/provisional.ts';
import type { GateProof } from '../commissioning/records.ts';
import { harvestPlan } from '../donors/harvest.ts';
import type { HarvestLine } from '../donors/harvest.ts';
import { isFactId, when, withInferred } from '../facts/index.ts';
import type { FactBook } from '../facts/index.ts';
import { gapsByPlace, interfaceOf, judge, movesWithEngine } from '../fit/judge.ts';
import type { FitLine } from '../fit/judge.ts';
import { interfaces } from '../fit/data/interfaces.ts';
import { lastOut, liftNow, movedAt, placeNotRead } from '../fit/lifts.ts';
import type { Lift } from '../fit/lifts.ts';
import { notHeldAgainst } from '../fit/foreign.ts';
import type { FitRecord, ForeignPartRecord, GapRecord } from '../fit/records.ts';
import { kitLineOf, kitPlan } from '../kit/plan.ts';
import type { KitLine } from '../kit/plan.ts';
import type { KitRecord } from '../kit/records.ts';
import { buildPlan, buildStandsOn } from '../prep/build-plan.ts';
import { goingInPlan, goingInStandsOn } from '../pull/going-in.ts';
import { liftSteps, liftStops } from '../pull/lift.ts';
import type { LiftCase } from '../pull/lift.ts';
import { PullSlice } from '../pull/plan.ts';
import type { StepPlan } from '../pull/plan.ts';
import type { SnagRecord } from '../pull/records.ts';
import { extraMinutesOf, snagChanges } from '../pull/snags.ts';
import type { Waits } from '../pull/step-states.ts';
import type { StepChanges } from '../pull/types.ts';
import { scopeOf } from '../rules/condition.ts';
import type { Condition, Scope } from '../rules/condition.ts';
import type { Books } from '../rules/evidence.ts';
import { Kept } from '../rules/kept.ts';
import { changedFacts, Truths } from '../rules/truths.ts';
import type { TruthOf } from '../rules/truths.ts';
import { sameValue } from '../rules/value.ts';
import { isOwn } from '../memory/index.ts';
import type { OwnLineRecord, ShopRule } from '../memory/index.ts';
import { ownCircuits, ownKit, ownLines, ownMatters, ownSteps, ownWaits } from './own.ts';
import type { OwnInPlan } from './own.ts';
import { shortTitleOf, titleOf } from './title.ts';
import { chooseSchools, effectsOf, withSchools } from '../schools/effects.ts';
import type { SchoolChoice } from '../schools/types.ts';
import { benchTests, usualCircuits } from '../systems/index.ts';
import type { BenchTest, CircuitDef } from '../systems/index.ts';

/** All that a plan is computed from: facts by the unit they hang on, schools, and what people recorded. */
export interface PlanInput {
  /** Car, incoming engine, its gearbox, donor and choices of the job. */
  facts: FactBook;
  /** The car's own engine and gearbox, for pulling it. */
  outgoing: FactBook;
  /** The donor car and the engine still in it, for harvesting. */
  donor: FactBook;
  shopSchools: Readonly<Record<string, string>>;
  /** Lines that the shop keeps for every job that is like them. */
  shopRules: readonly ShopRule[];
  /** Lines of people's own on this job. */
  ownLines: Readonly<Record<string, OwnLineRecord>>;
  jobSchools: Readonly<Record<string, string>>;
  fits: Readonly<Record<string, FitRecord | undefined>>;
  gaps: readonly GapRecord[];
  /** Each time the engine went in, the first first. */
  lifts: readonly Lift[];
  /** What hangs, carries and is to be cleared, of the engine that leaves and of the one that comes in. */
  rigged: Readonly<Record<'out' | 'in', Pick<LiftCase, 'rig' | 'items' | 'unitId'>>>;
  /** Parts on the car that are not its own. */
  foreign: Readonly<Record<string, ForeignPartRecord | undefined>>;
  kit: Readonly<Record<string, KitRecord | undefined>>;
  gates: Readonly<Record<string, GateProof | undefined>>;
  gateInputs: Omit<
    GateInputs,
    'liftStops' | 'openClashes' | 'unresolvedAdapts' | 'notMeasured' | 'knockOnOpen' | 'records'
  > & {
    records: Omit<LineRecords, 'fills' | 'toDo'>;
  };
  fluids: readonly FluidRecord[];
  /** What steps wait for, by the key of the step's record. */
  waits: Waits;
  /** Bags of bolts that are still full, by the key of the step that wants them. */
  fullBags: ReadonlyMap<string, readonly string[]>;
  /** What was found otherwise than planned. */
  snags: Readonly<Record<string, SnagRecord>>;
  attempts: number;
  /** A donor car is on the job. */
  withDonor: boolean;
  /** The engine that goes in is on the job. */
  withEngine: boolean;
}

export interface Applying<T> {
  def: T;
  waits: boolean;
  because: readonly string[];
}

export interface FitTask {
  id: string;
  fitId: string;
  title: string;
}

export interface Plan {
  schools: SchoolChoice;
  /** Facts with the choices that schools make. */
  facts: FactBook;
  /** The same of the engine and gearbox that leave the car. */
  outgoing: FactBook;
  scope: Scope;
  fits: readonly FitLine[];
  fitTasks: readonly FitTask[];
  kit: readonly KitLine[];
  pull: StepPlan;
  /** Building up the engine that goes in. */
  build: StepPlan;
  /** How the unit goes into the car, and what closes the ways again. */
  goingIn: StepPlan;
  /** When the unit last came out again; nothing where it never did. */
  liftedOutAt?: string;
  /** It has been in the bay: what was there before is out. */
  wasIn: boolean;
  /** It is in the bay now, by what is written of its lifts. */
  isIn: boolean;
  /** The engine that goes in is on the job. */
  withEngine: boolean;
  /** Steps and checks of people's own, and of the shop's rules. */
  own: StepPlan;
  ownLines: readonly OwnInPlan[];
  harvestSteps: StepPlan;
  harvest: readonly HarvestLine[];
  gates: readonly GateState[];
  circuits: readonly Applying<CircuitDef>[];
  benchTests: readonly Applying<BenchTest>[];
  /** What each system holds, and what was put in. */
  fills: readonly Fill[];
  /** What is not final now: loose, tacked, borrowed, capped. */
  provisional: readonly ProvisionalItem[];
  /** What steps wait for from outside their order, by the key of the step's record. */
  waits: Waits;
  /** Bags of bolts that are still full, by the key of the step that wants them. */
  fullBags: ReadonlyMap<string, readonly string[]>;
  /** Minutes that were found to come on top of a step, by the key of its record. */
  extraMinutes: ReadonlyMap<string, number>;
  /** For each fact nobody knows: the verdicts and lines that wait for it. */
  waitingFor: ReadonlyMap<string, readonly string[]>;
}

const standsOnly = when('cho-goal = mock-up');

function applying<T extends { when: Condition }>(defs: readonly T[], truthOf: TruthOf): Applying<T>[] {
  return defs.flatMap((def) => {
    const truth = truthOf(def.when);
    return truth.is === false ? [] : [{ def, waits: truth.is === 'waits', because: truth.because }];
  });
}

/** Tasks that a verdict brings: with Adapt, or with a Clash that somebody resolved. */
function tasksOf(fits: readonly FitLine[]): FitTask[] {
  return fits.flatMap((line) => {
    const wanted = line.verdict.word === 'adapt' || line.resolved;
    if (!wanted || !line.def.tasks) return [];
    return [{ id: line.def.id.replace('fit-', 'task-'), fitId: line.def.id, title: line.def.tasks }];
  });
}

/** Verdicts of all interfaces; one is judged again only when a fact that it read or its own record changed. */
class FitSlice {
  private books: Books = { job: new Map(), outgoing: new Map() };
  private records: PlanInput['fits'] = {};
  private allGaps: readonly GapRecord[] = [];
  private gaps: ReadonlyMap<string, readonly GapRecord[]> = new Map();
  private movedAt: string | undefined;
  private readonly kept = new Map<string, FitLine>();

  compute(
    books: Required<Books>,
    records: PlanInput['fits'],
    all: readonly GapRecord[],
    since: string | undefined,
  ): FitLine[] {
    const sitsAsBefore = since === this.movedAt;
    this.movedAt = since;
    const gapsBefore = this.gaps;
    const gaps = all === this.allGaps ? gapsBefore : gapsByPlace(all);
    this.allGaps = all;
    this.gaps = gaps;
    const changed = {
      job: changedFacts(this.books.job, books.job),
      outgoing: changedFacts(this.books.outgoing!, books.outgoing),
    };
    const before = this.records;
    this.books = books;
    this.records = records;
    return interfaces.map((def) => {
      const known = this.kept.get(def.id);
      if (
        known &&
        (sitsAsBefore || !movesWithEngine(def.id)) &&
        !known.reads.some((r) => changed[r.book].has(r.factId)) &&
        (before === records || sameValue(before[def.id], records[def.id])) &&
        (gapsBefore === gaps || sameValue(gapsBefore.get(def.id), gaps.get(def.id)))
      )
        return known;
      const line = judge(def, books, records[def.id], gaps.get(def.id), since);
      this.kept.set(def.id, line);
      return line;
    });
  }
}

/** Kit lines that resolutions chose, and those that are usual for an Adapt nobody resolved yet, with who asks. */
function kitAskers(
  fits: readonly FitLine[],
  records: PlanInput['fits'],
): { chosen: Map<string, string[]>; usual: Map<string, string[]>; open: Set<string> } {
  const chosen = new Map<string, string[]>();
  const usual = new Map<string, string[]>();
  for (const line of fits) {
    const asks = (askers: Map<string, string[]>, kit: readonly string[]): void =>
      kit.forEach((id) => askers.set(id, [...(askers.get(id) ?? []), line.def.id]));
    if (line.resolved) asks(chosen, records[line.def.id]!.resolution!.kit);
    else if (line.verdict.word === 'adapt') asks(usual, line.def.kit);
  }
  const open = fits.filter((l) => !l.resolved && (l.verdict.word === 'adapt' || l.verdict.word === 'clash'));
  return { chosen, usual, open: new Set(open.map((l) => l.def.id)) };
}

/** For each fact nobody knows: the verdicts and lines that wait for it. */
function waitingLines(
  fits: readonly FitLine[],
  kit: readonly KitLine[],
  gates: readonly GateState[],
  stepPlans: readonly StepPlan[],
): Map<string, string[]> {
  const waiting = new Map<string, string[]>();
  const wait = (facts: readonly string[], line: string): void => {
    for (const id of facts) {
      if (!isFactId(id)) continue;
      const lines = waiting.get(id);
      if (lines === undefined) waiting.set(id, [line]);
      // A line asks one after the other for all it wants: it stands last where it asked already.
      else if (lines.at(-1) !== line) lines.push(line);
    }
  };
  for (const line of fits)
    wait(
      line.verdict.needs.map((n) => n.factId),
      line.def.id,
    );
  for (const line of kit) wait([...line.needs, ...line.blanks], line.def.id);
  for (const gate of gates) for (const line of gate.lines) wait(line.needs, line.def.id);
  for (const plan of stepPlans) for (const line of plan.lines) wait(line.needs, line.def.id);
  for (const lines of waiting.values()) lines.sort();
  return waiting;
}

/** What snags change in the order of one list: the same changes are the same object, so that an order that stands on them is kept. */
class SnagSlice {
  private readonly kept = new Kept<readonly StepChanges[]>();

  of(snags: PlanInput['snags'], prefix: '' | 'donor-'): readonly StepChanges[] {
    const now = snagChanges(snags, prefix);
    return this.kept.get([now.map((c) => c.id).join()], () => now);
  }
}

/**
 * Computes plans of one job, one after the other. It is made of slices (verdicts, truths of conditions for the car, for what
 * leaves it and for the donor), each of which is computed again only where something it read has changed. What it gives is
 * plain data: it can be stored, compared, and posted to a worker.
 */
export class Planner {
  private readonly fitSlice = new FitSlice();
  private readonly pull = new PullSlice('own');
  private readonly harvest = new PullSlice('donor');
  private readonly build = new Kept<StepPlan>();
  private readonly goingIn = new Kept<StepPlan>();
  private readonly words = new Kept<Scope['fits']>();
  private readonly found = new SnagSlice();
  private readonly foundAtDonor = new SnagSlice();
  private readonly own = new Truths();
  private readonly outgoing = new Truths();
  private readonly donor = new Truths();

  plan(input: PlanInput): Plan {
    const schools = chooseSchools(input.shopSchools, input.jobSchools);
    const books = fitBooks(input, schools);
    const { job: facts, outgoing } = books;
    const donor = withInferred(input.donor);
    const effects = effectsOf(schools);
    const fits = this.fitSlice.compute(books, input.fits, input.gaps, movedAt(input.lifts));
    const fitted = new Set(
      Object.entries(input.kit).flatMap(([id, record]) => (record?.status === 'fitted' ? [id] : [])),
    );
    const bare = scopeOf({
      facts,
      fits: this.words.get(
        fits,
        () => new Map(fits.map((line) => [line.def.id, { word: line.verdict.word, resolved: line.resolved }])),
      ),
      fitted,
      attempts: input.attempts,
    });
    this.own.moveTo(bare);
    const touching = fits
      .filter((l) => l.def.touches)
      .map((l) => ({ id: l.def.id, word: l.verdict.word, resolved: l.resolved }));
    const scope = {
      ...bare,
      approvals: approvalsOf(
        touching,
        [...fitted].filter((id) => !isOwn(id) && kitLineOf(id).touches),
        this.own.of,
      ),
    };
    this.own.moveTo(scope);
    this.outgoing.moveTo({ ...scope, facts: merged(facts, outgoing, ['eng-', 'gbx-']) });
    this.donor.moveTo({ ...scope, facts: merged(facts, donor, ['rec-', 'eng-', 'don-']) });

    const own = ownLines(input.ownLines, input.shopRules, this.own.of);
    const kit = [
      ...kitPlan(
        this.own.of,
        facts,
        { ...kitAskers(fits, input.fits), beside: (id) => notHeldAgainst(input.foreign, id) },
        placeNotRead(input.lifts),
      ),
      ...ownKit(own),
    ];
    const titlesOf = (word: FitLine['verdict']['word']): string[] =>
      fits.filter((l) => l.verdict.word === word && !l.resolved && !l.waived).map((l) => l.def.title);
    const build = this.build.get(buildStandsOn(this.own.of), () => buildPlan(this.own.of));
    const goingIn = this.goingIn.get(goingInStandsOn(this.own.of), () => goingInPlan(this.own.of));
    const liftedOutAt = lastOut(input.lifts)?.out.at;
    const tests = applying(benchTests, this.own.of);
    const { tasks } = input.gateInputs.records;
    const fills = fillsOf(facts, input.fluids, this.own.of);
    const gates = gatesOf(
      { own: this.own.of, ...(input.withDonor ? { donor: this.donor.of } : {}) },
      facts,
      input.gates,
      {
        ...input.gateInputs,
        liftStops: stopsOf(facts, facts, input.rigged.in, true),
        openClashes: titlesOf('clash'),
        unresolvedAdapts: titlesOf('adapt'),
        notMeasured: titlesOf('not-measured'),
        knockOnOpen: knockOnTitles(fits),
        open: [...input.gateInputs.open, ...missingParts(kit, input.kit), ...ownMatters(own, tasks)],
        records: { ...input.gateInputs.records, fills, toDo: new Set([...tests, ...build.lines].map((l) => l.def.id)) },
      },
    );
    const [ownChanges, donorChanges] = [this.found.of(input.snags, ''), this.foundAtDonor.of(input.snags, 'donor-')];
    const pull = this.pull.compute(this.outgoing.of, [...effects, ...ownChanges]);
    const waits = withLift(input.waits, stopsOf(input.outgoing, facts, input.rigged.out, false));
    const harvestSteps = this.harvest.compute(this.donor.of, [...effects, ...donorChanges]);
    const fitTasks = tasksOf(fits);
    const circuits = [...applying(usualCircuits, this.own.of), ...ownCircuits(own)];
    return {
      schools,
      facts,
      outgoing,
      scope,
      fits,
      fitTasks,
      kit,
      pull,
      build,
      goingIn,
      ...(liftedOutAt === undefined ? {} : { liftedOutAt }),
      wasIn: input.lifts.length > 0,
      isIn: liftNow(input.lifts) !== undefined,
      withEngine: input.withEngine,
      own: ownSteps(own),
      ownLines: own,
      harvestSteps,
      harvest: harvestPlan(this.donor.of),
      gates,
      // An engine that only stands in its place is wired to nothing.
      circuits: this.own.of(standsOnly).is === true ? [] : circuits,
      benchTests: tests,
      fills,
      provisional: input.gateInputs.provisional,
      waits:
        own.length === 0
          ? waits
          : ownWaits(
              own,
              {
                tasks,
                kit: input.kit,
                inPlan: new Set([
                  ...[pull, build, goingIn].flatMap((s) => s.lines.map((l) => l.def.id)),
                  ...(input.withDonor ? harvestSteps.lines.map((l) => `donor-${l.def.id}`) : []),
                  ...fitTasks.map((t) => t.id),
                  ...tests.map((t) => t.def.id),
                ]),
                inKit: new Set(kit.map((k) => k.def.id)),
                kitTitle: titleOf,
                stepTitle: shortTitleOf,
              },
              waits,
            ),
      fullBags: input.fullBags,
      extraMinutes: extraMinutesOf(input.snags),
      waitingFor: waitingLines(fits, kit, gates, [build, goingIn]),
    };
  }
}

/** What verdicts are computed from: the facts of the job, and those of the engine and gearbox that leave; with what schools choose and what follows from either. */
export function fitBooks(
  input: Pick<PlanInput, 'facts' | 'outgoing' | 'shopSchools' | 'jobSchools'>,
  schools = chooseSchools(input.shopSchools, input.jobSchools),
): Required<Books> {
  const job = withInferred(withSchools(input.facts, schools));
  const outgoing = withInferred(new Map([...onlyOf(job, ['rec-', 'cho-']), ...input.outgoing]), ['eng-', 'gbx-']);
  return { job, outgoing: onlyOf(outgoing, ['eng-', 'gbx-']) };
}

/** What refuses a lift on slings; on a table from below nothing hangs. */
function stopsOf(
  unit: FactBook,
  job: FactBook,
  { rig, items, unitId }: PlanInput['rigged']['out'],
  comesIn: boolean,
): string[] {
  const below = job.get('rec-install-path')?.parts['value'] === 'from-below';
  return liftStops({ unit, job, rig: below ? undefined : rig, unitId, comesIn, ...(items ? { items } : {}) });
}

/** The moves of the lift wait for what refuses it. */
function withLift(waits: Waits, stops: readonly string[]): Waits {
  if (stops.length === 0) return waits;
  const held = stops.map((s) => ({ waitsFor: `the lift: ${s}` }));
  return { ...waits, ...Object.fromEntries(liftSteps.map((key) => [key, [...(waits[key] ?? []), ...held]])) };
}

/** What ways out touch and nobody looked at again, each once. */
const knockOnTitles = (fits: readonly FitLine[]): string[] => [
  ...new Set(fits.filter((l) => l.resolved).flatMap((l) => l.knockOnOpen.map((id) => interfaceOf(id).title))),
];

/** Kit that the job needs and nobody has fitted: before the first drive where it is structure, steering or brakes, before hand over in any case. */
function missingParts(kit: readonly KitLine[], records: PlanInput['kit']): OpenMatter[] {
  return kit
    .filter((l) => l.state === 'needed' && !['fitted', 'not-needed'].includes(records[l.def.id]?.status ?? ''))
    .map((l) => ({ gate: l.def.touches ? 'First drive' : 'Hand over', what: `not fitted: ${l.def.title}` }));
}

/** Computes the whole plan of a job. Pure: the same input gives the same plan. */
export const computePlan = (input: PlanInput): Plan => new Planner().plan(input);

/** Facts of some subjects, by the beginning of their ids. */
const onlyOf = (facts: FactBook, prefixes: readonly string[]): FactBook =>
  new Map([...facts].filter(([id]) => prefixes.some((p) => id.startsWith(p))));

/** One book, with some subjects taken from another: facts of those subjects in the first are left out. */
function merged(base: FactBook, over: FactBook, prefixes: readonly string[]): FactBook {
  const kept = [...base].filter(([id]) => !prefixes.some((p) => id.startsWith(p)));
  return new Map([...kept, ...over]);
}

export interface PlanDifference {
  added: string[];
  dropped: string[];
  verdicts: { id: string; from: string; to: string }[];
}

/** Ids of every line in a plan, steps, kit, gates, circuits and tasks. */
function lineIds(plan: Plan): Set<string> {
  return new Set([
    ...plan.kit.filter((l) => l.state === 'needed').map((l) => l.def.id),
    ...plan.pull.lines.map((l) => l.def.id),
    ...plan.build.lines.map((l) => l.def.id),
    ...plan.goingIn.lines.map((l) => l.def.id),
    ...plan.gates.flatMap((g) => g.lines.map((l) => l.def.id)),
    ...plan.circuits.filter((l) => !l.waits).map((l) => l.def.id),
    ...plan.fitTasks.map((t) => t.id),
    ...plan.own.lines.map((l) => l.def.id),
  ]);
}

/** What changed between two plans. */
export function planDifference(before: Plan, after: Plan): PlanDifference {
  const a = lineIds(before);
  const b = lineIds(after);
  const was = new Map(before.fits.map((l) => [l.def.id, l.verdict.word]));
  return {
    added: [...b].filter((id) => !a.has(id)).sort(),
    dropped: [...a].filter((id) => !b.has(id)).sort(),
    verdicts: after.fits.flatMap((l) => {
      const from = was.get(l.def.id)!;
      return from === l.verdict.word ? [] : [{ id: l.def.id, from, to: l.verdict.word }];
    }),
  };
}

export const hasDifference = (d: PlanDifference): boolean => d.added.length + d.dropped.length + d.verdicts.length > 0;
