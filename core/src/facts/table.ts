import { factCatalogue } from './catalogue.ts';
import { optionWords, readPart } from './entry.ts';
import { factSources } from '../rules/book.ts';
import type { FactSource } from '../rules/book.ts';
import type { FactDef } from './types.ts';

/** Facts as a table of rows: one row a value, as a spreadsheet has it. Reading and writing the file itself is not done here. */

export const tableHead = ['fact', 'value of', 'typed', 'unit', 'source', 'note', 'id'] as const;
export type FactTableRow = Record<(typeof tableHead)[number], string>;

/** A fact as it is kept, for the table. */
export interface KeptFact {
  factId: string;
  typed: Readonly<Record<string, string>>;
  source: FactSource;
  note?: string | null | undefined;
}

/** Every value of the given facts as a row; of facts that are not known, a row with nothing typed, to be filled in. */
export function factTable(defs: readonly FactDef[], kept: ReadonlyMap<string, KeptFact>): FactTableRow[] {
  return defs.flatMap((def) => {
    const known = kept.get(def.id);
    return def.parts.map((part) => ({
      fact: def.label,
      'value of': part.label,
      typed: known?.typed[part.key] ?? '',
      unit:
        part.unit ??
        (part.options ?? part.columns?.map((c) => `${c.label}, ${c.unit}`) ?? []).map(optionWords).join(' | '),
      source: known ? known.source : '',
      note: known?.note ?? '',
      id: `${def.id}:${part.key}`,
    }));
  });
}

/** What a table says of one fact. */
export interface TableFact {
  factId: string;
  label: string;
  typed: Record<string, string>;
  source: FactSource;
  note?: string;
}

export interface ReadTable {
  facts: TableFact[];
  /** What could not be taken, with the number of the row as a spreadsheet counts it. */
  faults: { row: number; sentence: string }[];
}

const parts = new Map<string, { def: FactDef; part: FactDef['parts'][number] }>(
  factCatalogue.flatMap((def) => def.parts.map((part) => [`${def.id}:${part.key}`, { def, part }] as const)),
);

/**
 * Reads rows of a table back. Rows with nothing typed say nothing. A row whose id is unknown, whose value cannot be read, or whose
 * source is none of measured, looked-up or assumed is named and left out; a source left empty is "measured".
 */
export function readFactTable(rows: readonly Partial<FactTableRow>[], subject: FactDef['subject']): ReadTable {
  const facts = new Map<string, TableFact>();
  const faults: ReadTable['faults'] = [];
  rows.forEach((row, i) => {
    const typed = row.typed?.trim() ?? '';
    if (typed === '') return;
    const fault = (sentence: string): void => void faults.push({ row: i + 2, sentence });
    const hit = parts.get(row.id?.trim() ?? '');
    if (!hit) return fault(`"${row.id ?? ''}" is no value of a fact.`);
    const { def, part } = hit;
    if (def.subject !== subject) return fault(`${def.label} is not a fact of this sheet.`);
    const read = readPart(part, typed);
    if (!read.ok) return fault(`${def.label}: ${read.sentence}`);
    const said = row.source?.trim() || 'measured';
    const source = factSources.find((s) => s === said && s !== 'inferred');
    if (!source) return fault(`${def.label}: "${said}" is not where a fact comes from.`);
    const fact = facts.get(def.id) ?? { factId: def.id, label: def.label, typed: {}, source };
    fact.typed[part.key] = typed;
    const note = row.note?.trim();
    if (note) fact.note = note;
    facts.set(def.id, fact);
  });
  return { facts: [...facts.values()], faults };
}
