import { formatMeasure, otherSystem, parseMeasure } from '../units/index.ts';
import { factDef, factPart } from './catalogue.ts';
import type { FactValue, PartValue } from '../rules/book.ts';
import { askAbout, askOrder } from './sane.ts';
import { askStations, readStations, showStations } from './stations.ts';
import type { FactPart } from './types.ts';

export type PartEntry = { ok: true; value: PartValue; understood: string } | { ok: false; sentence: string };

/** Option ids are lower case with hyphens; people read words. */
export const optionWords = (option: string): string => option.replaceAll('-', ' ');

/** Reads what was typed for one part of a fact; refuses with a sentence. */
export function readPart(part: FactPart, typed: string): PartEntry {
  if (part.options) {
    const wanted = typed.trim().toLowerCase().replace(/\s+/g, '-');
    const hit =
      part.options.find((o) => o === wanted) ?? part.options.find((o) => wanted !== '' && o.startsWith(wanted));
    if (!hit) return { ok: false, sentence: `"${typed}" is not one of: ${part.options.map(optionWords).join(', ')}.` };
    return { ok: true, value: hit, understood: optionWords(hit) };
  }
  if (part.columns) return readStations(part.columns, typed);
  if (part.text) {
    const text = typed.trim();
    if (text === '') return { ok: false, sentence: 'Nothing typed yet.' };
    if (text.length > 500) return { ok: false, sentence: 'Over 500 characters: put the long version in the logbook.' };
    return { ok: true, value: text, understood: text };
  }
  const measure = parseMeasure(typed, part.unit ?? '');
  if (!measure.ok) return measure;
  return { ok: true, value: measure.measure.value, understood: measure.measure.understood };
}

export type FactEntry =
  | {
      ok: true;
      parts: Record<string, PartValue>;
      typed: Record<string, string>;
      /** What is unlikely and is asked about before it is kept, by the part. */
      asks: Record<string, string>;
    }
  | { ok: false; errors: Record<string, string> };

/** Reads every typed part of a fact; parts left empty stay not known. At least one part must be typed. */
export function readFact(factId: string, typed: Readonly<Record<string, string>>): FactEntry {
  const def = factDef(factId);
  const parts: Record<string, PartValue> = {};
  const kept: Record<string, string> = {};
  const errors: Record<string, string> = {};
  for (const key of Object.keys(typed)) {
    if (!def.parts.some((p) => p.key === key)) errors[key] = `${def.label} has no value called "${key}".`;
  }
  for (const part of def.parts) {
    const text = typed[part.key];
    if (text === undefined || text.trim() === '') continue;
    const entry = readPart(part, text);
    if (entry.ok) {
      parts[part.key] = entry.value;
      kept[part.key] = text.trim();
    } else errors[part.key] = entry.sentence;
  }
  if (Object.keys(errors).length > 0) return { ok: false, errors };
  if (Object.keys(parts).length === 0)
    return { ok: false, errors: { [def.parts[0]!.key]: 'Type at least one value.' } };
  const single = Object.fromEntries(
    Object.entries(parts).flatMap(([key, value]) => {
      const { columns } = factPart(factId, key);
      const ask =
        typeof value === 'number'
          ? askAbout(factId, key, value)
          : columns && typeof value === 'object'
            ? askStations(columns, value)
            : undefined;
      return ask === undefined ? [] : [[key, ask]];
    }),
  );
  return { ok: true, parts, typed: kept, asks: { ...single, ...askOrder(factId, parts) } };
}

/** A stored part as people read it: "5 7/8 in (149.23 mm)" keeps what was typed first. */
export function showPart(
  factId: string,
  key: string,
  value: PartValue,
  typed?: string,
): { main: string; beside?: string } {
  const part = factPart(factId, key);
  if (typeof value === 'string') return { main: part.options ? optionWords(value) : value };
  if (typeof value === 'object') return { main: showStations(part.columns ?? [], value) };
  const unit = part.unit ?? '';
  const kept = formatMeasure(value, unit);
  const bare = typed?.trim() ?? '';
  if (bare !== '' && /[^\d.,\s-]/.test(bare)) {
    const sameUnit = bare.replace(/\s/g, '') === kept.replace(/\s/g, '');
    const beside = sameUnit ? otherSystem(value, unit) : kept;
    return { main: bare, ...(beside ? { beside } : {}) };
  }
  const beside = otherSystem(value, unit);
  return { main: kept, ...(beside ? { beside } : {}) };
}

/** All known parts of a fact in one line. */
export function showFact(factId: string, value: FactValue): string {
  return factDef(factId)
    .parts.filter((p) => value.parts[p.key] !== undefined)
    .map((p) => {
      const shown = showPart(factId, p.key, value.parts[p.key]!, value.typed[p.key]).main;
      return p.label === '' ? shown : `${p.label.toLowerCase()} ${shown}`;
    })
    .join(', ');
}
