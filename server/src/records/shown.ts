import { kindSchema } from '@bay/contract/records';
import type { RecordKind, RecordRow } from '@bay/contract/records';
import type { Tx } from '../db/connection.ts';

type Data = Record<string, unknown>;

/** Names of the people of the shop by their id, those who left too: what they did keeps their name. */
export type Names = ReadonlyMap<string, string>;

export async function readNames(tx: Tx): Promise<Names> {
  const people = await tx.selectFrom('person').select(['id', 'name']).execute();
  return new Map(people.map((p) => [p.id, p.name]));
}

function named(data: Data, names: Names): Data {
  const { byId } = data;
  return typeof byId === 'string' ? { ...data, by: names.get(byId) ?? 'somebody' } : data;
}

const roles: Readonly<Record<string, string>> = { manager: 'the manager', customer: 'the customer' };

/** Stored data with the names of today beside the ids of people. */
export function withNames(kind: RecordKind, data: Data, names: Names): Data {
  const { acts, people } = kindSchema(kind);
  const out = named(data, names);
  for (const act of [...acts, 'second'])
    if (typeof out[act] === 'object' && out[act] !== null) out[act] = named(out[act] as Data, names);
  for (const [field, shown] of Object.entries(people)) {
    const name = names.get(String(out[field])) ?? roles[String(out[field])];
    if (name) out[shown] = name;
  }
  return out;
}

/** A stored row as it is sent. */
export const shownRow = (row: Omit<RecordRow, 'data'> & { data: Data }, names: Names): RecordRow =>
  ({ ...row, data: withNames(row.kind, row.data, names) }) as RecordRow;
