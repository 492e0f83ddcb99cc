import { formatMeasure, parseMeasure } from '../units/index.ts';
import type { Stations } from '../rules/book.ts';
import type { FactPart } from './types.ts';

/**
 * A list of stations: numbers that are read one after the other along something (a hood, a tunnel, a sump), each row with its
 * place first. It is typed, pasted and kept as lines of numbers.
 */

export type Column = NonNullable<FactPart['columns']>[number];

/** More than this nobody measures with a tape. */
const mostStations = 60;

/** Cells of a line: by tabs or semicolons; else by commas where that gives as many as there are columns; else by blanks. */
function cellsOf(line: string, wanted: number): string[] {
  const by = (mark: RegExp | string): string[] => line.split(mark).map((c) => c.trim());
  if (/[;\t]/.test(line)) return by(/[;\t]/);
  const commas = by(',');
  if (commas.length === wanted) return commas;
  return by(/,?\s+/).filter(Boolean);
}

export type StationsEntry = { ok: true; value: Stations; understood: string } | { ok: false; sentence: string };

/** "3 stations, x 0 mm to 400 mm" */
export function showStations(columns: readonly Column[], value: Stations): string {
  const [first] = columns;
  const [from, to] = [value[0]?.[0] ?? 0, value.at(-1)?.[0] ?? 0];
  return `${value.length} stations, ${first!.label} ${formatMeasure(from, first!.unit)} to ${formatMeasure(to, first!.unit)}`;
}

/** The lines of a list as a table has them. */
export const stationLines = (value: Stations): string => value.map((row) => row.join('; ')).join('\n');

/** Reads lines of numbers, in any unit of their columns, and puts them in order; refuses by line with a sentence. A first line of words is a heading. */
export function readStations(columns: readonly Column[], typed: string): StationsEntry {
  const names = columns.map((c) => c.label).join(', ');
  const lines = typed
    .split(/\r?\n/)
    .map((line, i) => ({ line: line.trim(), number: i + 1 }))
    .filter(({ line }, i) => line !== '' && !(i === 0 && !/\d/.test(line)));
  const rows: number[][] = [];
  for (const { line, number } of lines) {
    const cells = cellsOf(line, columns.length);
    if (cells.length !== columns.length)
      return { ok: false, sentence: `Line ${number}: ${columns.length} numbers wanted, ${names}.` };
    const row: number[] = [];
    for (const [i, cell] of cells.entries()) {
      const read = parseMeasure(cell, columns[i]!.unit);
      if (!read.ok) return { ok: false, sentence: `Line ${number}, ${columns[i]!.label}: ${read.sentence}` };
      row.push(read.measure.value);
    }
    rows.push(row);
  }
  if (rows.length < 2) return { ok: false, sentence: `Two stations at least, each with ${names}.` };
  if (rows.length > mostStations) return { ok: false, sentence: `At most ${mostStations} stations.` };
  rows.sort((a, b) => a[0]! - b[0]!);
  const twice = rows.find((row, i) => row[0] === rows[i - 1]?.[0]);
  if (twice)
    return {
      ok: false,
      sentence: `Two stations at ${columns[0]!.label} ${formatMeasure(twice[0]!, columns[0]!.unit)}.`,
    };
  return { ok: true, value: rows, understood: showStations(columns, rows) };
}

/** A station this far off the line between its neighbours is asked about, mm: common practice, no source. */
const strange = 120;

/** What is odd about a list: a station far from what its neighbours say. */
export function askStations(columns: readonly Column[], value: Stations): string | undefined {
  for (let i = 1; i < value.length - 1; i += 1) {
    const [a, at, b] = [value[i - 1]!, value[i]!, value[i + 1]!];
    const share = (at[0]! - a[0]!) / (b[0]! - a[0]!);
    for (let c = 1; c < columns.length; c += 1) {
      const between = a[c]! + share * (b[c]! - a[c]!);
      if (Math.abs(at[c]! - between) > strange)
        return `At ${columns[0]!.label} ${formatMeasure(at[0]!, columns[0]!.unit)}, ${columns[c]!.label} ${formatMeasure(at[c]!, columns[c]!.unit)} is ${formatMeasure(Math.abs(at[c]! - between), columns[c]!.unit)} off the line between its neighbours. Is it so?`;
    }
  }
  return undefined;
}

/** A column at a place, by the line between the stations on either side; nothing outside of them. */
export function atStation(value: Stations, place: number, column = 1): number | undefined {
  const after = value.findIndex((row) => row[0]! >= place);
  if (after < 0) return undefined;
  const b = value[after]!;
  if (b[0] === place) return b[column];
  const a = value[after - 1];
  if (!a) return undefined;
  return a[column]! + ((place - a[0]!) / (b[0]! - a[0]!)) * (b[column]! - a[column]!);
}
