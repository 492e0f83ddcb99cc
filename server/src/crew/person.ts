import { randomUUID } from 'node:crypto';
import { hash } from '@node-rs/argon2';
import type { Person } from '@bay/contract/crew';
import type { Tx } from '../db/connection.ts';

interface PersonRow {
  id: string;
  name: string;
  initials: string;
  role: Person['role'];
  pin_hash: string | null;
  password_hash: string | null;
}

/** A person as the crew sees them: whether there is a PIN or a password, never what. */
export const shownPerson = (p: PersonRow): Person => ({
  id: p.id,
  name: p.name,
  initials: p.initials,
  role: p.role,
  hasPin: p.pin_hash !== null,
  signsIn: p.password_hash !== null,
});
export const personColumns = ['id', 'name', 'initials', 'role', 'pin_hash', 'password_hash'] as const;

interface Access {
  email?: string | undefined;
  password?: string | undefined;
  pin?: string | undefined;
}
/** What somebody signs in with, as it is kept. */
export const accessOf = async (a: Access) => ({
  email: a.email ?? null,
  password_hash: a.password ? await hash(a.password) : null,
  pin_hash: a.pin ? await hash(a.pin) : null,
});

export async function insertPerson(
  tx: Tx,
  shopId: string,
  p: Access & { name: string; initials: string; role: Person['role'] },
): Promise<Person> {
  const row = await tx
    .insertInto('person')
    .values({
      id: randomUUID(),
      shop_id: shopId,
      name: p.name,
      initials: p.initials.toUpperCase(),
      role: p.role,
      ...(await accessOf(p)),
    })
    .returning(personColumns)
    .executeTakeFirstOrThrow();
  return shownPerson(row);
}
