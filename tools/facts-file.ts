import { readFileSync } from 'node:fs';
import { z } from 'zod';
import { gateLines } from '@bay/core/commissioning';
import { isFactId, readFact, typedSources } from '@bay/core/facts';
import type { FactBook, FactValue } from '@bay/core/facts';
import { fluidSystemIds, fluidWays } from '@bay/core/fluids';
import type { FluidRecord } from '@bay/core/fluids';
import { parseMeasure } from '@bay/core/units';
import { taskStatuses } from '@bay/core/pull';
import type { TaskRecord } from '@bay/core/pull';
import { emptyInput } from '@bay/core/plan';
import type { PlanInput } from '@bay/core/plan';
import { schoolQuestions } from '@bay/core/schools';

/** What `./bay plan`, `fit` and `diagnose` read: facts by subject, schools, own engine and donor, and what was done. */

/** Ends the command with one sentence that says what is wrong and where. */
export function stop(sentence: string): never {
  process.stderr.write(`${sentence}\n`);
  process.exit(2);
}

const typedFact = z.union([z.string(), z.record(z.string(), z.string())]);
const typedFacts = z.record(z.string(), typedFact);
const subjects = ['recipient', 'donor', 'engine', 'gearbox', 'choice'] as const;
const bySubject = z.strictObject(Object.fromEntries(subjects.map((s) => [s, typedFacts.optional()])));

const stamp = { at: z.iso.datetime().optional(), byId: z.string().optional() };
const task = z.union([
  z.enum(taskStatuses),
  z.strictObject({
    status: z.enum(taskStatuses),
    ...stamp,
    instead: z.string().min(10).optional(),
    deviation: z
      .strictObject({
        why: z.string().min(10),
        ...stamp,
        stoodOn: z.strictObject({ against: z.array(z.string()), harm: z.boolean() }),
      })
      .optional(),
    second: z.strictObject(stamp).optional(),
  }),
]);
const gate = z.strictObject({
  text: z.string().default(''),
  readings: z.record(z.string(), z.string()).optional(),
  photos: z.array(z.string()).optional(),
  ...stamp,
  second: z.strictObject(stamp).optional(),
});

const fluid = z.strictObject({
  system: z.enum(fluidSystemIds),
  way: z.enum(fluidWays),
  /** With its unit; nothing where it is not needed. */
  amount: z.string().optional(),
  what: z.string().optional(),
  ...stamp,
});

/** The fields of a file of facts. */
export const factsFile = z.strictObject({
  facts: z.union([bySubject, typedFacts]).optional(),
  own: typedFacts.optional(),
  /** The name that `own` had before. */
  outgoing: typedFacts.optional(),
  donor: typedFacts.optional(),
  schools: z.record(z.string(), z.string()).optional(),
  sources: z.record(z.string(), z.enum(typedSources)).optional(),
  /** Facts that are so, however unlikely. */
  certain: z.array(z.string()).optional(),
  tasks: z.record(z.string(), task).optional(),
  donorTasks: z.record(z.string(), task).optional(),
  gates: z.record(z.string(), gate).optional(),
  fluids: z.array(fluid).optional(),
});
export type FactsFile = z.infer<typeof factsFile>;

/** A file as JSON; ends the command with a sentence where it cannot be read or holds a field that is not known. */
export function readFile<T>(file: string | undefined, schema: z.ZodType<T>, usage: string): T {
  if (file === undefined) stop(`Name a file: ${usage}`);
  let json: unknown;
  try {
    json = JSON.parse(readFileSync(file, 'utf8'));
  } catch (error) {
    stop(`${file} cannot be read: ${(error as Error).message}`);
  }
  const read = schema.safeParse(json);
  if (!read.success)
    stop(
      read.error.issues
        .map((i) =>
          i.code === 'unrecognized_keys'
            ? `${i.keys.map((k) => `"${k}"`).join(', ')} is not a field${i.path.length > 0 ? ` of ${i.path.join('.')}` : ''}.`
            : `${i.path.join('.') || 'The file'}: ${i.message}`,
        )
        .join('\n'),
    );
  return read.data;
}

type Typed = Readonly<Record<string, string | Readonly<Record<string, string>>>>;

function book(typed: Typed | undefined, { sources, certain: sure = [] }: FactsFile): FactBook {
  const certain = new Set(sure);
  const facts = new Map<string, FactValue>();
  for (const [id, value] of Object.entries(typed ?? {})) {
    if (!isFactId(id)) stop(`"${id}" is not a fact. docs/formats/facts.schema.json lists them.`);
    const entry = readFact(id, typeof value === 'string' ? { value } : value);
    if (!entry.ok) stop(`${id}: ${Object.values(entry.errors).join(' ')}`);
    const ask = Object.values(entry.asks)[0];
    if (ask !== undefined && !certain.has(id)) stop(`${id}: ${ask} ("certain": ["${id}"] says that it is so.)`);
    facts.set(id, { parts: entry.parts, typed: entry.typed, source: sources?.[id] ?? 'measured' });
  }
  return facts;
}

/** Facts as one list, whether they were written in one list or by subject. */
function flat(facts: FactsFile['facts']): Typed {
  if (!facts) return {};
  const keys = Object.keys(facts);
  if (keys.length === 0 || !keys.every((k) => (subjects as readonly string[]).includes(k))) return facts as Typed;
  return Object.assign({}, ...Object.values(facts)) as Typed;
}

function schoolsOf(schools: FactsFile['schools']): Record<string, string> {
  for (const [id, side] of Object.entries(schools ?? {})) {
    const question = schoolQuestions.find((q) => q.id === id);
    if (!question) stop(`"${id}" is not a question of a school.`);
    if (!question.sides.some((s) => s.id === side))
      stop(`"${side}" is no side of ${id}: ${question.sides.map((s) => s.id).join(', ')}.`);
  }
  return schools ?? {};
}

/** When what a file tells without a time began. */
const begin = Date.UTC(2026, 0, 1);

/** Tasks of a file as records; one written as a word alone is stamped in the order of the file. */
export function tasksOf(tasks: FactsFile['tasks']): Record<string, TaskRecord> {
  return Object.fromEntries(
    Object.entries(tasks ?? {}).map(([id, t], i) => {
      const at = new Date(begin + i * 60_000).toISOString();
      return [id, typeof t === 'string' ? { status: t, at } : { at, ...t }];
    }),
  );
}

/** Fluids of a file as records, in the order of the file. */
const fluidsOf = (fluids: FactsFile['fluids']): FluidRecord[] =>
  (fluids ?? []).map(({ amount, what, ...f }, i) => {
    const read = amount === undefined ? undefined : parseMeasure(amount, 'L');
    if (read && !read.ok) stop(`fluids.${i}.amount: ${read.sentence}`);
    if (!read && f.way !== 'not-needed') stop(`fluids.${i}: say how much, with its unit.`);
    return {
      at: new Date(begin + i * 60_000).toISOString(),
      ...f,
      what: what ?? f.system,
      ...(read ? { litres: read.measure.value } : {}),
    };
  });

/** What a plan is computed from, as the file says it. */
export function inputOf(file: FactsFile): PlanInput {
  const strangeGate = Object.keys(file.gates ?? {}).find((id) => !gateLines.some((l) => l.id === id));
  if (strangeGate !== undefined) stop(`"${strangeGate}" is not a line of a gate.`);
  const plugOut = (tasks: FactsFile['tasks']): string | undefined => {
    const made = tasksOf(tasks)['rm-hv-make-safe'];
    return made?.status === 'done' ? made.at : undefined;
  };
  const fluids = fluidsOf(file.fluids);
  return emptyInput({
    facts: book(flat(file.facts), file),
    outgoing: book(file.own ?? file.outgoing, file),
    donor: book(file.donor, file),
    withDonor: file.donor !== undefined,
    shopSchools: schoolsOf(file.schools),
    gates: file.gates ?? {},
    fluids,
    gateInputs: {
      ...emptyInput().gateInputs,
      records: {
        ...emptyInput().gateInputs.records,
        tasks: tasksOf(file.tasks),
      },
      // What the file calls a photo is one: there is no job to look it up in.
      photoIds: new Set(Object.values(file.gates ?? {}).flatMap((g) => g.photos ?? [])),
      plugOutAt: { own: plugOut(file.tasks), donor: plugOut(file.donorTasks) },
    },
  });
}
