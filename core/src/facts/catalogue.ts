import { choicesFacts } from './data/choices.ts';
import { donorFacts } from './data/donor.ts';
import { engineFacts } from './data/engine.ts';
import { gearboxFacts } from './data/gearbox.ts';
import { recipientFacts } from './data/recipient.ts';
import type { FactDef, FactPart, FactSubject } from './types.ts';

/** Every fact there is, in the order of the sheet. */
export const factCatalogue: readonly FactDef[] = [
  ...recipientFacts,
  ...donorFacts,
  ...engineFacts,
  ...gearboxFacts,
  ...choicesFacts,
];

const byId = new Map<string, FactDef>(factCatalogue.map((fact) => [fact.id, fact]));

type Written = (
  typeof recipientFacts | typeof donorFacts | typeof engineFacts | typeof gearboxFacts | typeof choicesFacts
)[number];

/** Id of a fact, as a type: a mistyped id does not compile. */
export type FactId = Written['id'];

/** The facts as their definitions write them, by id. */
export type WrittenFacts = { [F in Written as F['id']]: F };

type KeyWhere<P, Shape> = P extends Shape & { key: infer K extends string } ? K : never;

/** The parts of each fact that are numbers, those that are words, and those that are lists of stations. */
export type FactParts = {
  [F in FactId]: {
    number: KeyWhere<WrittenFacts[F]['parts'][number], { unit: string }>;
    word: KeyWhere<WrittenFacts[F]['parts'][number], { options: readonly string[] } | { text: true }>;
    stations: KeyWhere<WrittenFacts[F]['parts'][number], { columns: readonly unknown[] }>;
  };
};

export const isFactId = (id: string): id is FactId => byId.has(id);

/** The definition of a fact. Throws on an id that the catalogue does not have. */
export function factDef(id: string): FactDef {
  const found = byId.get(id);
  if (!found) throw new Error(`Unknown fact "${id}"`);
  return found;
}

/** One part of a fact. Throws on a key that the fact does not have. */
export function factPart(id: string, key = 'value'): FactPart {
  const part = factDef(id).parts.find((p) => p.key === key);
  if (!part) throw new Error(`Fact "${id}" has no part "${key}"`);
  return part;
}

/** "Bay length, to radiator support" */
export function partName(id: string, key = 'value'): string {
  const def = factDef(id);
  const part = factPart(id, key);
  return part.label === '' ? def.label : `${def.label}, ${part.label.charAt(0).toLowerCase()}${part.label.slice(1)}`;
}

const unitKinds: Record<FactSubject, 'car' | 'engine' | 'gearbox' | 'job'> = {
  recipient: 'car',
  donor: 'car',
  engine: 'engine',
  gearbox: 'gearbox',
  choice: 'job',
};

/** On what kind of unit facts of a subject hang; choices hang on the job itself. */
export const bearerOf = (subject: FactSubject): 'car' | 'engine' | 'gearbox' | 'job' => unitKinds[subject];
