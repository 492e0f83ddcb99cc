import type { FactBook } from '../facts/index.ts';
import { byTime } from '../rules/stamp.ts';
import type { Stamp } from '../rules/stamp.ts';
import { movesWithEngine } from './judge.ts';
import type { FitLine } from './judge.ts';
import type { Pose } from './position/pose.ts';
import type { LiftRecord, PlaceRead, Sitting } from './records.ts';

/** Each time that the engine, or what stands in for it, was put into the bay, with its number. */
export interface Lift extends LiftRecord {
  key: string;
  /** 1 for the first. */
  number: number;
}

/** The lifts of a job, the first first. */
export const liftsInOrder = (records: Readonly<Record<string, LiftRecord>>): Lift[] =>
  Object.entries(records)
    .map(([key, record]) => ({ key, ...record }))
    .sort(byTime)
    .map((lift, i) => ({ ...lift, number: i + 1 }));

/** What is in the bay now; nothing where it is out or never went in. */
export const liftNow = (lifts: readonly Lift[]): Lift | undefined => lifts.find((l) => !l.out);

/** The numbers of a place that the drawing knows too, with what is near enough to be the same: common practice, no source. */
export const placeFields = [
  {
    field: 'alongMm',
    part: 'bell-face-ahead-of-firewall-x',
    pose: 'x',
    label: 'Bell face ahead of the firewall',
    unit: 'mm',
    tolerance: 3,
    more: 'farther forward',
    less: 'farther back',
  },
  {
    field: 'sidewaysMm',
    part: 'sideways-from-centre-line-y',
    pose: 'y',
    label: 'Sideways, left positive',
    unit: 'mm',
    tolerance: 3,
    more: 'farther left',
    less: 'farther right',
  },
  {
    field: 'heightMm',
    part: 'crank-axis-above-body-datum-z',
    pose: 'z',
    label: 'Crank axis above the rail',
    unit: 'mm',
    tolerance: 3,
    more: 'higher',
    less: 'lower',
  },
  {
    field: 'slopeDeg',
    part: 'slope-tail-down',
    pose: 'slopeDeg',
    label: 'Slope by protractor, tail down',
    unit: 'deg',
    tolerance: 0.5,
    more: 'steeper',
    less: 'flatter',
  },
] as const satisfies readonly {
  field: keyof PlaceRead;
  part: string;
  pose: string;
  label: string;
  unit: 'mm' | 'deg';
  tolerance: number;
  more: string;
  less: string;
}[];

const numberOf = (read: PlaceRead | undefined, field: (typeof placeFields)[number]['field']): number | undefined =>
  read?.[field];

/** Labels of the numbers that nobody read. */
const notRead = (read: PlaceRead | undefined): string[] =>
  placeFields.filter((f) => numberOf(read, f.field) === undefined).map((f) => f.label.toLowerCase());

/** Since when it sits where it sits: since it went in, or since it was last moved there. */
const settledAt = ({ at, shifted }: LiftRecord): string => shifted?.at ?? at ?? '';

/** Is it known where it sits, on its own mounts and by all its numbers? A unit on a hoist sits nowhere. */
export const isPlaceRead = (lift: LiftRecord | undefined): boolean =>
  lift?.read !== undefined && lift.read.ownMounts && notRead(lift.read).length === 0;

/** Why what is made to the engine's place is not ordered yet; nothing where its place is read. */
export function placeNotRead(lifts: readonly Lift[]): string | undefined {
  const last = lifts.at(-1);
  if (isPlaceRead(last)) return undefined;
  if (last === undefined) return "The engine's place has not been read in the car: no trial fit is written";
  if (last.read === undefined) return `The engine's place has not been read in lift ${last.number}`;
  if (!last.read.ownMounts) return `In lift ${last.number} the engine did not stand on its own mounts`;
  return `Not read in lift ${last.number}: ${notRead(last.read).join(', ')}`;
}

/** When the engine came to where it sits now; nothing where it went in once and stayed as it was. What was read before is of another place. */
export function movedAt(lifts: readonly Lift[]): string | undefined {
  const last = lifts.at(-1);
  return last && (lifts.length > 1 || last.shifted) ? settledAt(last) : undefined;
}

/** When it last came out, and out of which lift. */
export function lastOut(lifts: readonly Lift[]): { lift: Lift; out: Stamp & { why: string } } | undefined {
  const out = lifts.filter((l) => l.out).sort((a, b) => byTime(a.out!, b.out!));
  const last = out.at(-1);
  return last && { lift: last, out: last.out! };
}

/** Under which lift something was read; nothing where the engine was not in the bay by what is written. */
export const liftAt = (lifts: readonly Lift[], at: string | undefined): Lift | undefined =>
  lifts.find((l) => (l.at ?? '') <= (at ?? '') && (!l.out || (at ?? '') <= (l.out.at ?? '')));

/** Places that have a gap which moves with the engine; not those of which the car has no such thing. */
export const gapPlaces = (fits: readonly FitLine[]): FitLine[] =>
  fits.filter((f) => {
    const { basis, word, sum } = f.forecast ?? f.verdict;
    const isNone = basis === 'computed' && word === 'bolts-up' && sum.length === 0;
    return movesWithEngine(f.def.id) && !isNone;
  });

/** Places whose gap nobody read since the engine went in, or whose reading does not stand. */
export const gapsToRead = (lift: Lift, fits: readonly FitLine[]): FitLine[] =>
  gapPlaces(fits).filter((f) => !(f.verdict.basis === 'trial' && !f.stale && (f.readAt ?? '') >= settledAt(lift)));

/** By how much a place that was read is off the one that was chosen; nothing where they agree or one of them is not known. */
export function offChosen(read: PlaceRead, facts: FactBook): { words: string; label: string }[] {
  const chosen = facts.get('cho-engine-place')?.parts;
  return placeFields.flatMap((f) => {
    const [is, was] = [numberOf(read, f.field), chosen?.[f.part]];
    if (is === undefined || typeof was !== 'number') return [];
    const by = is - was;
    if (Math.abs(by) <= f.tolerance) return [];
    return [
      {
        label: f.label,
        words: `${Number(Math.abs(by).toFixed(1))} ${f.unit === 'deg' ? '°' : 'mm'} ${by > 0 ? f.more : f.less}`,
      },
    ];
  });
}

/**
 * What stands against tacking, bolting or welding it where it is, a sentence each: its place, height, sides and slope read and as
 * chosen, on its own mounts, a photo of this job (`photoIds` are its photos), and every gap read since it went in. Common practice, no source.
 */
export function againstTacking(
  lift: Lift,
  { facts, fits }: { facts: FactBook; fits: readonly FitLine[] },
  photoIds: ReadonlySet<string>,
): string[] {
  const { read } = lift;
  const missing = notRead(read);
  const chosen = facts.get('cho-engine-place');
  const unchosen = placeFields
    .filter((f) => typeof chosen?.parts[f.part] !== 'number')
    .map((f) => f.label.toLowerCase());
  const open = gapsToRead(lift, fits);
  const bad = fits.filter((f) => movesWithEngine(f.def.id) && f.verdict.word === 'clash' && !f.resolved);
  const names = (of: readonly FitLine[]): string =>
    `${of
      .slice(0, 4)
      .map((f) => f.def.title.toLowerCase())
      .join('; ')}${of.length > 4 ? ` and ${of.length - 4} more` : ''}`;
  return [
    ...(missing.length > 0 ? [`Not read: ${missing.join(', ')}.`] : []),
    ...(read && !read.ownMounts ? ['It does not stand on its own mounts.'] : []),
    ...(unchosen.length > 0 ? [`Nobody chose where it is to sit: ${unchosen.join(', ')}.`] : []),
    ...(read ? offChosen(read, facts).map((o) => `It sits ${o.words} than was chosen.`) : []),
    ...(!(lift.photos ?? []).some((id) => photoIds.has(id)) ? ['No photo shows it.'] : []),
    ...(bad.length > 0 ? [`Clash: ${names(bad)}.`] : []),
    ...(open.length > 0 ? [`Gap not read since it went in: ${names(open)}.`] : []),
  ];
}

/** How it sits; what nobody said anything of is offered up. */
export const sittingOf = (lift: LiftRecord): Sitting => lift.sits?.how ?? 'offered-up';

export interface LiftCount {
  lifts: number;
  foreseen: number;
  /** Hours that were written down for those the quote does not count with. */
  extraHours: number;
  /** Lifts the quote does not count with, of which nobody wrote the hours. */
  extraWithoutHours: number;
}

/** How often it went in, against the quote. */
export function countLifts(lifts: readonly Lift[]): LiftCount {
  const extra = lifts.filter((l) => !l.foreseen);
  return {
    lifts: lifts.length,
    foreseen: lifts.length - extra.length,
    extraHours: extra.reduce((sum, l) => sum + (l.out?.hours ?? 0), 0),
    extraWithoutHours: extra.filter((l) => l.out?.hours === undefined).length,
  };
}

/** The pose that was read in the car; nothing while a number of it is missing. */
export function poseRead(read: PlaceRead | undefined): Pose | undefined {
  if (read === undefined || notRead(read).length > 0) return undefined;
  const numbers = placeFields.map((f) => [f.pose, numberOf(read, f.field)]);
  return { yawDeg: 0, ...(Object.fromEntries(numbers) as Omit<Pose, 'yawDeg'>) };
}
