import { z } from 'zod';
import './sentences.ts';
import { boxPoints } from '@bay/core/solid';
import type { Solid, Vec } from '@bay/core/solid';
import { answer, poseKeys } from '@bay/core/fit';
import type { Change, FitOption, FitProblem, Placed } from '@bay/core/fit';

/**
 * A position problem as a file or a body holds it: docs/formats/fit-problem.md says what each field means. What cannot be is refused
 * by the name of what holds it.
 */

/** Farther than this nothing of a car is, mm. */
const farthest = 100_000;
const most = { shapes: 400, points: 500, pairs: 200, meetings: 20_000, options: 24, changes: 40 };
/** How sure a place is where nobody said: read with a tape, one standard deviation (common practice, no source), mm. */
export const tapeSigmaMm = 2;

const length = z
  .number({ error: 'A length in mm is wanted.' })
  .min(-farthest, `Not farther than ${farthest} mm.`)
  .max(farthest, `Not farther than ${farthest} mm.`);
const size = length.min(0, 'Not below 0 mm.');
const id = z.string().trim().min(1, 'A name is wanted.').max(80);
const vec = z.tuple([length, length, length], { error: 'Three lengths are wanted: x, y, z.' });
const span = z
  .tuple([length, length], { error: 'Two lengths are wanted: from, to.' })
  .refine(([a, b]) => a <= b, 'Turned round: the lesser comes first.');
const box = z.strictObject({ x: span, y: span, z: span });
const points = z.array(vec).min(1, 'One point is the least.').max(most.points, `At most ${most.points} points.`);

const oneForm = (s: { points?: unknown; box?: unknown }): boolean => (s.points === undefined) !== (s.box === undefined);
const eitherForm = 'Points or a box are wanted, one of the two.';

const shape = z
  .strictObject({
    id,
    label: z.string().max(120).optional(),
    points: points.optional(),
    box: box.optional(),
    r: size.optional(),
    sigma: size.optional(),
  })
  .refine(oneForm, eitherForm);
const replacement = z
  .strictObject({ points: points.optional(), box: box.optional(), r: size.optional() })
  .refine(oneForm, eitherForm);

const side = { unit: id.optional(), bay: id.optional() };
const oneSide = (c: { unit?: unknown; bay?: unknown }): boolean => (c.unit === undefined) !== (c.bay === undefined);
const eitherSide = 'A shape of the unit or of the bay is wanted, one of the two.';
const change = z.union([
  z.strictObject({ ...side, move: vec }).refine(oneSide, eitherSide),
  z.strictObject({ ...side, replace: replacement }).refine(oneSide, eitherSide),
  z.strictObject({ ...side, remove: z.literal(true) }).refine(oneSide, eitherSide),
  z.strictObject({ pair: id, needMm: length }),
]);

const range = (limit: number, what: string) =>
  z
    .tuple([z.number(), z.number()], { error: `Two numbers are wanted: ${what} from, to.` })
    .refine(([a, b]) => a <= b, 'Turned round: the lesser comes first.')
    .refine(([a, b]) => Math.abs(a) <= limit && Math.abs(b) <= limit, `Within ${limit}.`);

const shapes = z.array(shape).min(1, 'One shape is the least.').max(most.shapes, `At most ${most.shapes} shapes.`);

/** The fields of a problem, without what ties one to another. */
const fields = z.strictObject({
  title: z.string().max(200).optional(),
  units: z.literal('mm', { error: 'Lengths are in "mm".' }),
  bay: shapes,
  unit: shapes,
  pairs: z
    .array(
      z.strictObject({
        id,
        unit: z.array(id).min(1, 'A shape is wanted.'),
        bay: z.array(id).min(1, 'A shape is wanted.'),
        needMm: length,
      }),
    )
    .min(1, 'One pair is the least.')
    .max(most.pairs, `At most ${most.pairs} pairs.`),
  pose: z.strictObject({
    x: range(farthest, 'mm'),
    y: range(farthest, 'mm'),
    z: range(farthest, 'mm'),
    slopeDeg: range(60, 'degrees'),
    yawDeg: range(60, 'degrees'),
  }),
  options: z
    .array(
      z.strictObject({
        id,
        title: z.string().max(200),
        cost: z.number().min(0).max(1e9).optional(),
        hours: z.number().min(0).max(1e6).optional(),
        approval: z.string().max(200).optional(),
        changes: z.array(change).max(most.changes, `At most ${most.changes} changes.`),
      }),
    )
    .max(most.options, `At most ${most.options} options.`)
    .optional(),
  reserveMm: length.optional(),
});
type Fields = z.infer<typeof fields>;

/** How many shapes have one of these names. */
function among(all: readonly { id: string }[], named: readonly string[]): number {
  const wanted = new Set(named);
  return all.filter((s) => wanted.has(s.id)).length;
}

/** Names that nothing has, and names that two things have: each with where it stands. */
function* strangers(p: Fields): Generator<{ path: (string | number)[]; message: string }> {
  const names = { unit: new Set(p.unit.map((s) => s.id)), bay: new Set(p.bay.map((s) => s.id)) };
  const pairs = new Set<string>();
  for (const [i, pair] of p.pairs.entries()) {
    if (pairs.has(pair.id)) yield { path: ['pairs', i, 'id'], message: `"${pair.id}" is the name of another pair.` };
    pairs.add(pair.id);
    for (const of of ['unit', 'bay'] as const)
      for (const [k, name] of pair[of].entries())
        if (!names[of].has(name))
          yield {
            path: ['pairs', i, of, k],
            message: `Pair "${pair.id}" names "${name}", which is no shape of the ${of}.`,
          };
  }
  const meetings = p.pairs.reduce((sum, pair) => sum + among(p.unit, pair.unit) * among(p.bay, pair.bay), 0);
  if (meetings > most.meetings)
    yield {
      path: ['pairs'],
      message: `Together the pairs hold ${meetings} shapes against one another; at most ${most.meetings}.`,
    };
  const options = new Set<string>();
  for (const [i, option] of (p.options ?? []).entries()) {
    if (options.has(option.id))
      yield { path: ['options', i, 'id'], message: `"${option.id}" is the name of another option.` };
    options.add(option.id);
    for (const [k, c] of option.changes.entries()) {
      const path = ['options', i, 'changes', k];
      if ('pair' in c) {
        if (!pairs.has(c.pair)) yield { path, message: `Option "${option.id}" names "${c.pair}", which is no pair.` };
        continue;
      }
      const of = c.unit === undefined ? 'bay' : 'unit';
      const name = c[of]!;
      if (!names[of].has(name))
        yield { path, message: `Option "${option.id}" names "${name}", which is no shape of the ${of}.` };
    }
  }
}

export const fitProblem = fields.superRefine((p, found) => {
  for (const { path, message } of strangers(p)) found.addIssue({ code: 'custom', path, message });
});
export type FitProblemFile = z.infer<typeof fitProblem>;

const solidOf = (s: {
  points?: Vec[] | undefined;
  box?: z.infer<typeof box> | undefined;
  r?: number | undefined;
}): Solid => ({
  points: s.points ?? boxPoints(s.box!),
  r: s.r ?? 0,
});

/** What a file says, as the core takes it. */
export function problemOf(file: FitProblemFile): { problem: FitProblem; options: FitOption[]; reserveMm: number } {
  const placed = ({ id: name, label, sigma, ...form }: FitProblemFile['unit'][number]): Placed => ({
    id: name,
    ...(label === undefined ? {} : { label }),
    ...solidOf(form),
    sigma: sigma ?? tapeSigmaMm,
  });
  const changeOf = (c: z.infer<typeof change>): Change => {
    if ('pair' in c) return { side: 'pair', id: c.pair, needMm: c.needMm };
    const at = c.unit === undefined ? { side: 'bay' as const, id: c.bay! } : { side: 'unit' as const, id: c.unit };
    if ('move' in c) return { ...at, move: c.move };
    if ('replace' in c) return { ...at, replace: solidOf(c.replace) };
    return { ...at, remove: true };
  };
  return {
    problem: { bay: file.bay.map(placed), unit: file.unit.map(placed), pairs: file.pairs, range: file.pose },
    options: (file.options ?? []).map((o) => ({ ...o, changes: o.changes.map(changeOf) })),
    reserveMm: file.reserveMm ?? 0,
  };
}

const pose = z.object(
  Object.fromEntries(poseKeys.map((key) => [key, z.number()])) as Record<(typeof poseKeys)[number], z.ZodNumber>,
);

/** The answer to a problem. */
export const fitAnswer = z.object({
  title: z.string().optional(),
  pose,
  worstMm: z.number(),
  margins: z.record(z.string(), z.number()),
  binding: z.array(z.string()),
  buys: z.array(z.object({ of: z.string(), kind: z.enum(['unit', 'bay', 'pair', 'limit']), mmPerMm: z.number() })),
  chance: z.number().min(0).max(1),
  /** No pose of the range has a smallest margin above this. */
  boundMm: z.number(),
  plans: z.array(
    z.object({
      options: z.array(z.string()),
      worstMm: z.number(),
      pose,
      cost: z.number(),
      hours: z.number(),
      chance: z.number(),
      approvals: z.array(z.string()),
    }),
  ),
  /** Every set of options was searched to its end. */
  exact: z.boolean(),
  ms: z.number(),
});
export type FitAnswer = z.infer<typeof fitAnswer>;

/** A problem worked through, with how long it took; the clock is the caller's. */
export function solved(
  file: FitProblemFile,
  { problem, options, reserveMm }: ReturnType<typeof problemOf>,
  clock: () => number,
): FitAnswer {
  const began = clock();
  const found = answer(problem, options, reserveMm);
  const ms = Math.round(clock() - began);
  return { ...(file.title === undefined ? {} : { title: file.title }), ...found, ms };
}
