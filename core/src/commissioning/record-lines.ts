import { cylindersIn } from '../facts/index.ts';
import type { FactBook } from '../facts/index.ts';
import { defaultSchool } from '../rules/book.ts';
import { latest } from '../rules/stamp.ts';
import type { Stamp } from '../rules/stamp.ts';
import { judgeSheet } from '../prep/sheets.ts';
import type { LimitsRecord, SheetRecord } from '../prep/records.ts';
import type { TaskRecord } from '../pull/records.ts';
import { counted, formatMeasure } from '../units/index.ts';
import { againstFill } from '../fluids/fills.ts';
import type { Fill } from '../fluids/fills.ts';

/** Lines that a record proves by itself: nobody signs them, and they fall when the record does. */

/** The records that such lines look at. */
export interface LineRecords {
  /** What is in each system that the car may have. */
  fills: readonly Fill[];
  /** Fluids that name no system, drained and not filled since, in their own words. */
  dryByWords: readonly string[];
  tasks: Readonly<Record<string, TaskRecord | undefined>>;
  /** Tests and steps of building up that this job has. */
  toDo: ReadonlySet<string>;
  /** Runs before the work that nobody did again after it, a sentence each. */
  notRunAfter: readonly string[];
  lash: readonly SheetRecord[];
  lashLimits?: LimitsRecord | undefined;
  /** Follow-ups that have their day, distance or occasion, and what has none. */
  followUps: { dated: number; undated: readonly string[] };
}

export interface ShownByRecord {
  /** What the record lacks, a sentence each; empty where it proves the line. */
  missing: readonly string[];
  says: string;
  stamp?: Stamp | undefined;
}

type Look = (records: LineRecords, facts: FactBook) => ShownByRecord | undefined;

/** Is an end of a limit left out? One pair for both valves is what shops entered before they had their own. */
const halfLimited = (limits: LimitsRecord['limits']): boolean =>
  ['intake', 'exhaust'].some((valve) =>
    (['least', 'largest'] as const).some((end) => (limits[`${valve}-${end}`] ?? limits[`${end}-size`]) === undefined),
  );

/** Every valve of every cylinder, inside the limits of the manual. */
const lash: Look = ({ lash: sheets, lashLimits }, facts) => {
  const cylinders = cylindersIn(facts);
  const judged = sheets.map((s) => ({ place: s.place, ...judgeSheet('lash', s.readings, lashLimits?.limits ?? {}) }));
  const complete = judged.filter((j) => j.open.length === 0 && j.word !== 'not-read');
  const wanted = Array.from({ length: cylinders ?? 0 }, (_, i) => String(i + 1));
  const open = wanted.filter((place) => !complete.some((j) => j.place === place));
  const outside = judged.filter((j) => j.word === 'out-of-limits').map((j) => j.place);
  return {
    missing: [
      ...(cylinders === undefined ? ['How many cylinders there are is not known.'] : []),
      ...(open.length > 0 ? [`Lash not measured at cylinder ${open.join(', ')}.`] : []),
      ...(halfLimited(lashLimits?.limits ?? {})
        ? ["Nobody entered the manual's limits of intake and exhaust lash."]
        : []),
      ...(outside.length > 0 ? [`Lash out of limits at cylinder ${outside.join(', ')}.`] : []),
    ],
    says: `lash of ${counted(cylinders ?? 0, 'cylinder')} inside the limits of ${lashLimits?.source ?? ''}`,
    stamp: latest(sheets),
  };
};

/** Tests that are on this job and that a line is proved by; nothing where none of them is. */
const tested =
  (names: Readonly<Record<string, string>>): Look =>
  ({ tasks, toDo }) => {
    const own = Object.keys(names).filter((id) => toDo.has(id));
    if (own.length === 0) return undefined;
    const done = own.flatMap((id) => (tasks[id]?.status === 'done' ? tasks[id] : []));
    const open = own.filter((id) => tasks[id]?.status !== 'done').map((id) => names[id]!);
    return {
      missing: open.map((name) => `Not done on the bench of Connect: ${name}.`),
      says: own.map((id) => names[id]!).join(', '),
      stamp: latest(done),
    };
  };

/** Oil and fuel have lines of their own. */
const ownLine: ReadonlySet<string> = new Set(['engine-oil', 'fuel']);

const fluids: Look = ({ fills, dryByWords }) => {
  const own = fills.filter((f) => !ownLine.has(f.system));
  return {
    missing: [...own.flatMap(againstFill), ...dryByWords.map((words) => `Drained and not filled since: ${words}.`)],
    says: own
      .map((f) => `${f.title} ${f.state === 'not-needed' ? 'not needed' : formatMeasure(f.putIn ?? 0, 'L')}`)
      .join(', '),
    stamp: latest(own.flatMap((f) => f.last ?? [])),
  };
};

const fuel: Look = ({ fills }) => {
  const last = fills.find((f) => f.system === 'fuel')?.last;
  return {
    missing: last?.way === 'filled' ? [] : ['Nobody wrote which fuel was put in, and how much.'],
    says: last?.litres === undefined ? '' : `${formatMeasure(last.litres, 'L')} ${last.what}`,
    stamp: last,
  };
};

const followUps: Look = ({ followUps: { dated, undated } }) => ({
  missing: [
    ...(dated === 0 ? ['No follow-up has its day, its distance or its occasion.'] : []),
    ...undated.map((what) => `Neither day nor distance nor occasion: ${what}.`),
  ],
  says: `${dated} dated`,
});

export const provedByRecord: Readonly<Record<string, Look>> = {
  'gate-cu-lash': lash,
  'gate-ei-loom': tested({ 'bt-dry-run': 'the whole loom on the engine outside the car' }),
  'gate-fc-fluids': fluids,
  'gate-fc-output-test': tested({ 'bt-injector': 'each injector by cylinder', 'bt-coil': 'each coil by cylinder' }),
  'gate-fs-fan': tested({ 'bt-fan': 'the way the fan blows, and its override' }),
  'gate-fs-fuel': fuel,
  'gate-ho-followups': followUps,
};

/** Steps and tests that must be behind a line which somebody signs, with what they are called there. */
const firstDone: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  'gate-cu-seal': { 'bld-seal-wait': 'sealant left to cure' },
  'gate-fc-inhibit': { 'bt-inhibitor': 'start tried in every gear' },
  'gate-fs-stop-means': { 'bt-stop': "the diesel's stop" },
  'gate-fs-throttle': { 'bt-throttle': 'throttle by wire' },
  'gate-fs-program': { 'bt-base-setup': 'base setup against the engine card' },
};

/** What stands against a line that somebody signs, by steps and tests of this job that are not behind it. */
export function notYetDone(lineId: string, { tasks, toDo }: LineRecords): string[] {
  const first = firstDone[lineId];
  if (first === undefined) return [];
  return Object.entries(first)
    .filter(([id]) => toDo.has(id) && !['done', 'waived'].includes(tasks[id]?.status ?? 'open'))
    .map(([, name]) => `Not done yet: ${name}.`);
}

/** Tests of an engine that nobody wrote down; common practice, no source. */
const testsMissing = (facts: FactBook): string[] =>
  (
    [
      ['compression-table', 'compression by cylinder'],
      ['leak-down-table', 'leak-down by cylinder'],
    ] as const
  ).flatMap(([part, name]) => (facts.get('eng-condition')?.parts[part] === undefined ? [name] : []));

/** What is not there and is accepted by whoever signs the line: it stands in the line under their name. */
export const acceptedBy: Readonly<Record<string, (facts: FactBook) => string[]>> = {
  'gate-cu-condition': testsMissing,
};

/** The way of priming is chosen by somebody who looked at the engine: what stands there by default is nobody's choice. */
export function primingChosen(facts: FactBook): string[] {
  const way = facts.get('cho-oil-priming');
  return way === undefined || way.by === defaultSchool
    ? ['Nobody chose the way of priming: choose it by how long the engine stood and what is known of it.']
    : [];
}
