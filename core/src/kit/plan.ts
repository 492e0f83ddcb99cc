import { factDef, factPart, showFact, when } from '../facts/index.ts';
import type { FactBook, FactValue } from '../facts/index.ts';
import type { TruthOf } from '../rules/truths.ts';
import { kitLines } from './data/lines.ts';
import type { KitRecord } from './records.ts';
import type { KitLineDef, OrderField } from './types.ts';

export interface KitLine {
  def: KitLineDef;
  /** Proposed: an Adapt asks for it that nobody has resolved yet, so there is another way as well. */
  state: 'needed' | 'proposed' | 'waits';
  because: readonly string[];
  needs: readonly string[];
  /** Order fields filled from the cards. */
  filled: readonly { factId: string; text: string }[];
  /** Facts that the order asks for and nobody knows: it stops here. */
  blanks: readonly string[];
  /** Of a blank of which something is known: the parts that are not, as people call them. */
  blankParts: Readonly<Record<string, readonly string[]>>;
  addedBy: readonly string[];
  /** Parts on the car that are not its own, at the places of this line, that nobody held it against. */
  beside?: readonly string[];
  /** Why it waits for the engine's place, where it is made to it. */
  placeOpen?: string;
}

const behindStays = when('cho-gearbox-stays = yes');
const standsOnly = when('cho-goal = mock-up');
/** What an engine wants to run, and to be driven: a mock-up, which only stands in its place, has none of it. */
const toRun: ReadonlySet<string> = new Set([
  'accessory',
  'air',
  'comfort',
  'control',
  'controls',
  'cooling',
  'electrics',
  'fuel',
  'heat',
  'instruments',
  'oil',
  'papers',
]);

const byId = new Map(kitLines.map((line) => [line.id, line]));

/** A kit line by its id. Throws on an id that is not in the content. */
export function kitLineOf(id: string): KitLineDef {
  const found = byId.get(id);
  if (!found) throw new Error(`Unknown kit line "${id}"`);
  return found;
}

/** Interfaces that ask for a line, by the line's id. */
export interface KitAskers {
  /** Somebody chose it in a resolution: it is needed whatever its own condition says. */
  chosen: ReadonlyMap<string, readonly string[]>;
  /** Usual for an Adapt that nobody resolved yet: needed unless the line's own condition is certainly false. */
  usual: ReadonlyMap<string, readonly string[]>;
  /** Places that say Adapt or Clash and have no way out yet. */
  open: ReadonlySet<string>;
  /** What stands at the places of a line, is not the car's own, and was not held against it. */
  beside?: (kitLine: string) => readonly string[];
}

/** Every line that is needed or cannot be decided yet; `placeOpen` says why the engine's place is not known, where it is not. */
export function kitPlan(truthOf: TruthOf, facts: FactBook, askers: KitAskers, placeOpen?: string): KitLine[] {
  const lines: KitLine[] = [];
  const staysBehind = truthOf(behindStays).is === true;
  const isMockUp = truthOf(standsOnly).is === true;
  for (const def of kitLines) {
    if (isMockUp && toRun.has(def.system) && !askers.chosen.has(def.id)) continue;
    if (def.behind && staysBehind && !askers.chosen.has(def.id)) continue;
    const truth = truthOf(def.when);
    const chosen = askers.chosen.get(def.id) ?? [];
    const usual = truth.is === false ? [] : (askers.usual.get(def.id) ?? []);
    const addedBy = [...chosen, ...usual];
    if (truth.is === false && addedBy.length === 0) continue;
    // A line that is wanted only because a place says Adapt or Clash is a proposal until somebody chose that way out.
    const byVerdict = truth.is === true && truth.because.length > 0 && truth.because.every((id) => askers.open.has(id));
    const state =
      chosen.length > 0 || (truth.is === true && !byVerdict)
        ? 'needed'
        : truth.is === true || usual.length > 0
          ? 'proposed'
          : 'waits';
    const from = fieldsOf(def, truthOf);
    const beside = askers.beside?.(def.id) ?? [];
    lines.push({
      def,
      state,
      because: truth.is === true ? truth.because : addedBy,
      needs: state === 'waits' ? truth.needs : [],
      filled: fill([...new Set(from.map((f) => f.fact))], facts),
      ...blanksOf(from, facts),
      addedBy,
      ...(beside.length > 0 ? { beside } : {}),
      ...(def.toPlace && placeOpen !== undefined ? { placeOpen } : {}),
    });
  }
  return lines;
}

interface Field {
  fact: string;
  parts: readonly string[];
}

const factOf = (field: OrderField): string => (typeof field === 'string' ? field : field.fact);
/** Early and late of a family differ in what hangs on the engine: each order of such a thing says which it is for. */
const generation = 'eng-generation';
const byGeneration = ({ optionsFrom = [] }: KitLineDef): boolean =>
  optionsFrom.some((f) => factOf(f).startsWith('eng-'));

/** What the order of a line asks for here; a field of which nobody knows whether it belongs is asked for. */
const fieldsOf = (def: KitLineDef, truthOf: TruthOf): Field[] => [
  ...(def.optionsFrom ?? []).flatMap((field) => {
    if (typeof field === 'string') return [{ fact: field, parts: [] }];
    if (field.when && truthOf(field.when).is === false) return [];
    return [{ fact: field.fact, parts: field.parts ?? [] }];
  }),
  ...(byGeneration(def) ? [{ fact: generation, parts: ['value', 'told-by'] }] : []),
];

/** A part as people call it beside the name of its fact. */
const wordOf = (fact: string, part: string): string =>
  (factPart(fact, part).label || factDef(fact).label).toLowerCase();

/** Facts that nobody knows, or not in a part that the order wants. */
function blanksOf(fields: readonly Field[], facts: FactBook): Pick<KitLine, 'blanks' | 'blankParts'> {
  const blanks = new Set<string>();
  const blankParts: Record<string, string[]> = {};
  for (const { fact, parts } of fields) {
    const value = facts.get(fact);
    const missing = value === undefined ? [] : parts.filter((part) => value.parts[part] === undefined);
    if (value !== undefined && missing.length === 0) continue;
    blanks.add(fact);
    if (missing.length > 0)
      blankParts[fact] = [...(blankParts[fact] ?? []), ...missing.map((part) => wordOf(fact, part))];
  }
  return { blanks: [...blanks], blankParts };
}

// A fact is told in the same words for as long as it is the same.
const told = new WeakMap<FactValue, { factId: string; text: string }>();

function fill(from: readonly string[], facts: FactBook): { factId: string; text: string }[] {
  return from.flatMap((factId) => {
    const value = facts.get(factId);
    if (!value) return [];
    const known = told.get(value);
    if (known?.factId === factId) return [known];
    const words = { factId, text: `${factDef(factId).label.toLowerCase()} ${showFact(factId, value)}` };
    told.set(value, words);
    return [words];
  });
}

/** May this line be ordered? The exact engine code goes on every order, so it is wanted too. */
export function orderStops(line: KitLine, facts: FactBook, record: KitRecord | undefined): string[] {
  const stops = line.blanks.map((id) => {
    const parts = line.blankParts[id];
    return `${factDef(id).label}${parts ? `, ${parts.join(' and ')},` : ''} is not known`;
  });
  if (line.state === 'proposed') stops.push('Proposed only: the way out is not chosen yet');
  if (line.state === 'waits') stops.push('Nobody knows yet whether it is needed');
  if (!facts.has('eng-code')) stops.push('The exact engine code is not known');
  if (byGeneration(line.def) && facts.get(generation)?.parts['told-by'] === 'year-alone')
    stops.push('Early or late in its family is told by the year alone: look at what can be seen');
  if (line.placeOpen !== undefined) stops.push(line.placeOpen);
  for (const what of line.beside ?? []) stops.push(`Not held against "${what}", which is not this car's own`);
  if ((record?.options ?? '').trim() === '') stops.push(`Not settled: ${line.def.options}`);
  return stops;
}
