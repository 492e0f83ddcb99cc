import { sameValue } from './value.ts';

/** What is known: facts with where each comes from, as everything that reads them holds them. */

/** From the strongest to the weakest. What is inferred follows from other facts: nobody types it and nothing stores it. */
export const factSources = ['measured', 'looked-up', 'inferred', 'assumed'] as const;
export const typedSources = ['measured', 'looked-up', 'assumed'] as const;
export type FactSource = (typeof factSources)[number];

/** Who is written behind what the application's own default way of working assumes, where nobody chose one. */
export const defaultSchool = 'default school';

/** A list of stations, each a row of numbers with its place first, in order. */
export type Stations = readonly (readonly number[])[];
export type PartValue = number | string | Stations;

/** What is known of one fact. A part that is not in `parts` is not known. */
export interface FactValue {
  parts: Readonly<Record<string, PartValue>>;
  typed: Readonly<Record<string, string>>;
  source: FactSource;
  by?: string;
  at?: string;
  note?: string | null;
  revision?: number;
}

/** Everything known about one set of subjects; a fact that is not in it is not known. */
export type FactBook = ReadonlyMap<string, FactValue>;

/** Is the same known in both, whatever the order in which it is written down? Who typed it and when is looked at too. */
export function sameFact(a: FactValue | undefined, b: FactValue | undefined): boolean {
  if (a === b) return true;
  if (!a || !b) return false;
  return a.source === b.source && a.at === b.at && a.by === b.by && sameParts(a.parts, b.parts);
}

/** The same numbers and words in the same parts. */
export function sameParts(a: FactValue['parts'] | undefined, b: FactValue['parts'] | undefined): boolean {
  const keys = Object.keys(a ?? {});
  return keys.length === Object.keys(b ?? {}).length && keys.every((key) => sameValue(a?.[key], b?.[key]));
}
