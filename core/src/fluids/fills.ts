import { factDef, factPart, when } from '../facts/index.ts';
import type { FactBook } from '../facts/index.ts';
import type { FactId } from '../facts/catalogue.ts';
import { fluidSystems } from './systems.ts';
import type { FluidSystemId } from './systems.ts';
import type { FluidRecord } from './records.ts';
import type { Condition } from '../rules/condition.ts';
import { byTime } from '../rules/stamp.ts';
import type { TruthOf } from '../rules/truths.ts';
import { formatMeasure } from '../units/index.ts';

/**
 * What is in each system: the amount that the parts of the circuit hold, added up, against what was written as put in since it was
 * last drained.
 */

interface AmountPart {
  fact: FactId;
  part: string;
  /** Wanted for the sum only where this is so; without it the sum does with what is known of it. */
  wantedWhen?: Condition;
  /** Counts only where this is so; while nobody knows, the sum does not count. */
  onlyWhen?: Condition;
}

interface FillDef {
  system: FluidSystemId;
  /** The car has such a system; what nobody knows counts as so, until somebody says that it is not needed. */
  when: Condition;
  /** The fact whose words name kind and grade. */
  kind?: FactId;
  parts: readonly AmountPart[];
}

const always = when('always');
const ownSump = when('cho-sump = donor-sump');
const otherSump = when('cho-sump != donor-sump');

/** Systems in the order in which they are gone through: common practice, no source. */
const fillDefs: readonly FillDef[] = [
  {
    system: 'engine-oil',
    when: always,
    kind: 'eng-oil-spec',
    parts: [
      { fact: 'eng-oil-spec', part: 'capacity-with-filter', wantedWhen: always, onlyWhen: ownSump },
      { fact: 'cho-oil-amount', part: 'sump', wantedWhen: always, onlyWhen: otherSump },
      { fact: 'cho-oil-amount', part: 'lines', wantedWhen: when('cho-oil-filter = remote or kit-oil-cooler fitted') },
      { fact: 'cho-oil-amount', part: 'cooler', wantedWhen: when('kit-oil-cooler fitted') },
      { fact: 'cho-oil-amount', part: 'accumulator' },
    ],
  },
  {
    system: 'coolant',
    when: always,
    parts: [
      { fact: 'cho-coolant-amount', part: 'engine', wantedWhen: always },
      { fact: 'cho-coolant-amount', part: 'radiator', wantedWhen: always },
      { fact: 'cho-coolant-amount', part: 'heater', wantedWhen: when('cho-heater = kept') },
      { fact: 'cho-coolant-amount', part: 'lines' },
    ],
  },
  {
    system: 'gearbox',
    when: always,
    kind: 'gbx-fluid',
    parts: [
      { fact: 'gbx-fluid', part: 'capacity', wantedWhen: always },
      { fact: 'gbx-fluid', part: 'cooler-and-lines', wantedWhen: when('kit-gearbox-cooler fitted') },
    ],
  },
  { system: 'transfer', when: when('rec-drive-layout = front-longitudinal-all-drive'), parts: [] },
  { system: 'final-drive', when: when('gbx-kind not in {transaxle-manual, transaxle-automatic}'), parts: [] },
  { system: 'steering', when: when('cho-ps = kept-hydraulic'), parts: [] },
  { system: 'clutch', when: when('gbx-release-kind in {external-slave, concentric-slave}'), parts: [] },
  { system: 'fuel', when: always, parts: [] },
];

export interface FillRow {
  label: string;
  litres: number;
}

export interface Fill {
  system: FluidSystemId;
  title: string;
  /** Kind and grade as the card names them. */
  grade?: string;
  /** What the circuit holds, part by part. */
  rows: readonly FillRow[];
  /** Parts of which nobody knows what they hold; without them the sum does not count. */
  missing: readonly string[];
  /** Sum of the parts, L; nothing while one is missing or none is known. */
  holds?: number;
  /** In it by what was written: put in, less what came out, L. */
  putIn?: number;
  /** What was put in, in the words of the last record, and who wrote it. */
  last?: FluidRecord;
  state: 'agrees' | 'filled' | 'not-needed' | 'not-said' | 'dry' | 'short' | 'over';
}

/** Put in and sum may differ by so much: what stays in the corners, what the level then wants. Common practice, no source. */
const tolerance = 0.1;

/** Do two amounts of one system agree? Litres, both over zero. */
export const agree = (a: number, b: number): boolean => Math.abs(a - b) <= tolerance * Math.max(a, b);

const titleOf = (system: FluidSystemId): string => fluidSystems.find((s) => s.id === system)!.title;

function circuit(def: FillDef, facts: FactBook, truthOf: TruthOf): Pick<Fill, 'rows' | 'missing'> {
  const rows: FillRow[] = [];
  const missing: string[] = [];
  for (const { fact, part, wantedWhen, onlyWhen } of def.parts) {
    const counts = onlyWhen ? truthOf(onlyWhen).is : true;
    if (counts === false) continue;
    const litres = facts.get(fact)?.parts[part];
    const label = `${factDef(fact).label}, ${factPart(fact, part).label.toLowerCase()}`;
    if (typeof litres === 'number' && counts === true) rows.push({ label: factPart(fact, part).label, litres });
    else if (wantedWhen && truthOf(wantedWhen).is !== false) missing.push(label);
  }
  return { rows, missing };
}

function stateOf({ holds, putIn, last }: Pick<Fill, 'holds' | 'putIn' | 'last'>): Fill['state'] {
  if (last === undefined) return 'not-said';
  if (last.way === 'not-needed') return 'not-needed';
  if (last.way === 'drained' || putIn === undefined) return 'dry';
  if (holds === undefined) return 'filled';
  if (putIn < holds * (1 - tolerance)) return 'short';
  return putIn > holds * (1 + tolerance) ? 'over' : 'agrees';
}

/** What is in a system, L: of one that was drained before anything was written as put in, nobody knows that anything stayed. */
const contentOf = (inTime: readonly FluidRecord[]): number | undefined =>
  inTime.reduce<number | undefined>((content, { way, litres = 0 }) => {
    if (way === 'not-needed') return undefined;
    return Math.max(0, (content ?? 0) + (way === 'filled' ? litres : -litres));
  }, undefined);

/** The same system, had so much been put in. */
export const withPutIn = (fill: Fill, litres: number): Fill => {
  const sums = { ...fill, putIn: litres };
  return { ...sums, state: stateOf({ ...sums, last: { way: 'filled', litres, what: fill.title } }) };
};

/** Each system that this car may have, with what it holds and what was put in. */
export function fillsOf(facts: FactBook, fluids: readonly FluidRecord[], truthOf: TruthOf): Fill[] {
  const inTime = [...fluids].sort(byTime);
  return fillDefs.flatMap((def) => {
    const own = inTime.filter((f) => f.system === def.system);
    if (truthOf(def.when).is === false && own.length === 0) return [];
    const { rows, missing } = circuit(def, facts, truthOf);
    const grade = def.kind && facts.get(def.kind)?.parts['value'];
    const last = own.at(-1);
    const putIn = contentOf(own);
    const sums = {
      ...(rows.length > 0 && missing.length === 0 ? { holds: rows.reduce((sum, r) => sum + r.litres, 0) } : {}),
      ...(putIn === undefined ? {} : { putIn }),
      ...(last ? { last } : {}),
    };
    return [
      {
        system: def.system,
        title: titleOf(def.system),
        ...(typeof grade === 'string' ? { grade } : {}),
        rows,
        missing,
        ...sums,
        state: stateOf(sums),
      },
    ];
  });
}

const litres = (value: number): string => formatMeasure(value, 'L');

/** "5 L sump and filter as changed + 0.4 L lines = 5.4 L" */
export const holdsWords = ({ rows, holds }: Fill): string =>
  holds === undefined
    ? ''
    : rows.length === 1
      ? litres(holds)
      : `${rows.map((r) => `${litres(r.litres)} ${r.label.toLowerCase()}`).join(' + ')} = ${litres(holds)}`;

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** What stands against a system as it is, in sentences; none where it may be run. */
export function againstFill(fill: Fill): string[] {
  const { title, state, putIn, holds } = fill;
  const name = capital(title);
  if (state === 'dry') return [`Drained and not filled since: ${title}.`];
  if (state === 'not-said') return [`${name}: nobody wrote what was put in, or that it is not needed.`];
  if (state === 'short')
    return [`${name}: ${litres(putIn!)} put in, and it holds ${litres(holds!)} (${holdsWords(fill)}).`];
  return state === 'over' ? [`${name}: ${litres(putIn!)} put in, more than it holds (${holdsWords(fill)}).`] : [];
}
