import { defaultSchool } from '../rules/book.ts';
import type { FactId } from '../facts/catalogue.ts';
import type { FactBook, FactValue } from '../facts/index.ts';
import { when } from '../facts/index.ts';
import type { StepDef, StepChanges } from '../pull/types.ts';
import { schoolQuestions } from './data/schools.ts';
import type { SchoolChoice } from './types.ts';

/** What a side changes in a plan; its id is the side's. */
export interface SchoolEffect extends StepChanges {
  /** A choice taken as made while nobody typed it on the job. */
  assumes?: readonly [factId: FactId, value: string];
  /** Also when the side is only the application's default; otherwise the shop or the job must have chosen it. */
  byDefault?: true;
}

const poweredMoves = ['rm-module-scan', 'rm-seats-move', 'rm-glass-roof', 'rm-latches', 'rm-battery-reach'];

const feedByLeads: StepDef = {
  id: 'rm-feed-by-leads',
  phase: 'while power is still on',
  title: 'Feed seats, latches and control units by fused leads from a separate battery',
  when: when('always'),
  after: ['rm-battery-off'],
  before: ['rm-connectors', 'rm-starter-off'],
  needs: [],
  support: 'fused leads, spare battery',
  caution: 'One fused pair, off again before wiring is touched. Airbags: the manual first',
  minutes: [10, 20],
};

const assume = (id: string, factId: FactId, value: string): SchoolEffect => ({ id, assumes: [factId, value] });
const byDefault = (id: string, factId: FactId, value: string): SchoolEffect => ({
  id,
  assumes: [factId, value],
  byDefault: true,
});

export const schoolEffects: readonly SchoolEffect[] = [
  {
    id: 'sch-battery-order-a',
    addsSteps: [feedByLeads],
    addsOrder: poweredMoves.map((move) => ['rm-feed-by-leads', move] as const),
    cutsOrder: [...poweredMoves, 'rm-fuel-run-dry', 'rm-crank-tests', 'rm-fuel-hp-wait'].map(
      (move) => [move, 'rm-battery-off'] as const,
    ),
    drops: ['rm-fuel-run-dry', 'rm-crank-tests'],
    gives: [{ state: 'st-battery-live', step: 'rm-feed-by-leads' }],
  },
  {
    id: 'sch-battery-order-c',
    addsOrder: [['rm-hv-authorise', 'rm-battery-off']],
    // Twelve volts and plug come in the manual's own order; both are off before it is proved dead.
    cutsOrder: [['rm-battery-off', 'rm-hv-make-safe']],
  },
  { id: 'sch-fuel-release-a', prefers: ['rm-fuel-run-dry'] },
  { id: 'sch-fuel-release-b', prefers: ['rm-fuel-valve-bleed'] },
  { id: 'sch-fuel-release-c', prefers: ['rm-fuel-stand-cold'] },
  {
    id: 'sch-fuel-open-when-a',
    addsOrder: [
      ['rm-exhaust-front', 'rm-fuel-open'],
      ['rm-bell-bolts', 'rm-fuel-open'],
    ],
  },
  {
    id: 'sch-fuel-open-when-b',
    addsOrder: [
      ['rm-fuel-open', 'rm-hoist-on'],
      ['rm-fuel-open', 'rm-cradle-under'],
    ],
  },
  { id: 'sch-sealed-aside-a', prefers: ['rm-ps-aside', 'rm-ac-aside'] },
  { id: 'sch-sealed-aside-b', prefers: ['rm-ps-open', 'rm-ac-off'] },
  assume('sch-out-together-a', 'cho-unit-lift', 'engine-and-gearbox'),
  assume('sch-out-together-b', 'cho-unit-lift', 'engine-alone'),
  byDefault('sch-clamps-a', 'cho-clamp-school', 'worm-drive'),
  byDefault('sch-clamps-b', 'cho-clamp-school', 'spring'),
  byDefault('sch-mounts-a', 'cho-mount-school', 'fixed-hole-plate'),
  byDefault('sch-mounts-b', 'cho-mount-school', 'sliding-plate'),
  byDefault('sch-mounts-c', 'cho-mount-school', 'fabricated'),
  assume('sch-control-a', 'cho-control', 'donor-unit-trimmed-loom'),
  assume('sch-control-b', 'cho-control', 'standalone'),
  assume('sch-control-c', 'cho-control', 'recipient-unit-kept'),
  byDefault('sch-prime-a', 'cho-oil-priming', 'crank-without-fuel-and-spark'),
  byDefault('sch-prime-b', 'cho-oil-priming', 'external-pressure'),
  assume('sch-pump-place-a', 'cho-pump-place', 'in-tank'),
  assume('sch-pump-place-b', 'cho-pump-place', 'inline'),
  assume('sch-fan-side-a', 'cho-fan', 'electric-puller'),
  assume('sch-fan-side-b', 'cho-fan', 'electric-pusher'),
  assume('sch-fan-side-c', 'cho-fan', 'engine-driven'),
  byDefault('sch-exhaust-start-a', 'cho-start-exhaust', 'complete'),
  byDefault('sch-exhaust-start-b', 'cho-start-exhaust', 'open-for-first-start'),
  byDefault('sch-power-dist-a', 'cho-power-distribution', 'fuses-and-relays'),
  byDefault('sch-power-dist-b', 'cho-power-distribution', 'programmable-module'),
  byDefault('sch-gauges-a', 'cho-instruments', 'recipient-dash'),
  byDefault('sch-gauges-b', 'cho-instruments', 'plug-in-display'),
  byDefault('sch-gauges-c', 'cho-instruments', 'separate-gauges'),
  assume('sch-ac-a', 'cho-ac', 'kept'),
  assume('sch-ac-b', 'cho-ac', 'later'),
  assume('sch-ac-c', 'cho-ac', 'deleted'),
  assume('sch-oil-control-c', 'cho-sump', 'dry-sump'),
  byDefault('sch-open-used-a', 'cho-engine-depth', 'closed'),
  byDefault('sch-open-used-b', 'cho-engine-depth', 'resealed'),
  byDefault('sch-open-used-c', 'cho-engine-depth', 'stripped'),
];

const bySide = new Map(schoolEffects.map((effect) => [effect.id, effect]));

/** Sides by question: the job's own choice first, then the shop's, then the default. */
export function chooseSchools(
  shop: Readonly<Record<string, string>>,
  job: Readonly<Record<string, string>>,
): SchoolChoice {
  return new Map(
    schoolQuestions.map((q): [string, { side: string; from: 'default' | 'shop' | 'job' }] => {
      const valid = (side: string | undefined): side is string => q.sides.some((s) => s.id === side);
      if (valid(job[q.id])) return [q.id, { side: job[q.id]!, from: 'job' }];
      if (valid(shop[q.id])) return [q.id, { side: shop[q.id]!, from: 'shop' }];
      return [q.id, { side: q.defaultSide, from: 'default' }];
    }),
  );
}

/** What the chosen sides change. */
export const effectsOf = (choice: SchoolChoice): SchoolEffect[] =>
  [...choice.values()].flatMap(({ side }) => bySide.get(side) ?? []);

/** The job's facts with the choices that schools make where nobody typed one, marked as assumed. */
export function withSchools(facts: FactBook, choice: SchoolChoice): FactBook {
  const book = new Map<string, FactValue>(facts);
  for (const { side, from } of choice.values()) {
    const effect = bySide.get(side);
    if (!effect?.assumes || (from === 'default' && !effect.byDefault)) continue;
    const [factId, value] = effect.assumes;
    if (!book.has(factId))
      book.set(factId, {
        parts: { value },
        typed: {},
        source: 'assumed',
        by: from === 'default' ? defaultSchool : 'school',
        note: side,
      });
  }
  return book;
}
