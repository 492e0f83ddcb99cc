import { hash } from '@node-rs/argon2';
import { sql } from 'kysely';
import * as contract from '@bay/contract/crew';
import type { Role } from '@bay/contract/crew';
import { noteChange, runCommand } from '../commands/run.ts';
import type { Tx } from '../db/connection.ts';
import { badInput, notFound, Refusal } from '../http/problem.ts';
import type { Registry } from '../http/register.ts';
import { accessOf, insertPerson, personColumns, shownPerson } from './person.ts';
import { pinKey } from './pins.ts';
import { endSessionsOf } from './sessions.ts';

/** Initials stand for one person: on the Floor, in the book, and after @ in the log bar. */
async function refuseTaken(tx: Tx, initials: string, ownId?: string): Promise<void> {
  const other = await tx
    .selectFrom('person')
    .select('name')
    .where('initials', '=', initials.toUpperCase())
    .where('active', '=', true)
    .where('id', '<>', ownId ?? '00000000-0000-0000-0000-000000000000')
    .executeTakeFirst();
  if (other) throw badInput({ initials: `${initials.toUpperCase()} is ${other.name}. Three letters tell them apart.` });
}

/** Who signs in somewhere has what it takes there, and an address that is nobody else's. */
async function refuseWithoutAccess(
  tx: Tx,
  {
    role,
    pin,
    email,
    password,
  }: { role: Role; pin?: string | undefined; email?: string | undefined; password?: string | undefined },
): Promise<void> {
  if (role === 'manager' && (!email || !password))
    throw badInput({ email: 'A manager signs in with e-mail and password.' });
  if (role !== 'manager' && !pin) throw badInput({ pin: 'Somebody at a shared tablet needs a PIN.' });
  if (!email) return;
  const { rows } = await sql<{ n: number }>`select count(*)::int as n from sign_in_candidate(${email})`.execute(tx);
  if (rows[0]!.n > 0) throw badInput({ email: 'This e-mail already signs in here.' });
}

/** The name of somebody who left stands under what they did: another person of that name is told apart, the same one taken back. */
async function refuseReturning(tx: Tx, name: string): Promise<void> {
  const before = await tx
    .selectFrom('person')
    .select(['name', 'left_at'])
    .where(sql`lower(name)`, '=', name.toLowerCase())
    .where('active', '=', false)
    .where('left_at', 'is not', null)
    .executeTakeFirst();
  if (before)
    throw badInput({
      name: `${before.name} was on this crew before. Take them back under "Left the crew", or write this name so that the two are told apart.`,
    });
}

/** Two people of one name on one crew are told apart by it. */
async function refuseNamesake(tx: Tx, name: string, ownId?: string): Promise<void> {
  const other = await tx
    .selectFrom('person')
    .select('name')
    .where(sql`lower(name)`, '=', name.toLowerCase())
    .where('active', '=', true)
    .where('id', '<>', ownId ?? '00000000-0000-0000-0000-000000000000')
    .executeTakeFirst();
  if (other) throw badInput({ name: `${other.name} is on this crew. Write this name so that the two are told apart.` });
}

/** Who is on the crew: what the manager does. */
export function peopleRoutes(on: Registry): void {
  on.shop(contract.addPerson, (tx, { body }, caller) =>
    runCommand(tx, caller, 'add-person', body, async () => {
      noteChange(caller, { kind: 'crew' });
      await refuseWithoutAccess(tx, body);
      await refuseReturning(tx, body.name);
      await refuseNamesake(tx, body.name);
      await refuseTaken(tx, body.initials);
      return { reply: { person: await insertPerson(tx, caller.shopId, body) } };
    }),
  );

  on.shop(contract.renamePerson, (tx, { body, params }, caller) =>
    runCommand(tx, caller, 'rename-person', body, async () => {
      noteChange(caller, { kind: 'crew' });
      await refuseNamesake(tx, body.name, params.personId);
      if (body.initials) await refuseTaken(tx, body.initials, params.personId);
      const row = await tx
        .updateTable('person')
        .set({ name: body.name, ...(body.initials ? { initials: body.initials.toUpperCase() } : {}) })
        .where('id', '=', params.personId)
        .returning(personColumns)
        .executeTakeFirst();
      if (!row) throw notFound('This person');
      return { reply: { person: shownPerson(row) } };
    }),
  );

  on.shop(contract.setPin, (tx, { body, params, req }, caller) =>
    runCommand(tx, caller, 'set-pin', body, async () => {
      noteChange(caller, { kind: 'crew' });
      const row = await tx
        .updateTable('person')
        .set({ pin_hash: await hash(body.pin) })
        .where('id', '=', params.personId)
        .where('active', '=', true)
        .returning(personColumns)
        .executeTakeFirst();
      if (!row) throw notFound('This person');
      await endSessionsOf(tx, caller.shopId, params.personId, req.sessionID);
      await sql`delete from try_count where key = ${pinKey(caller.shopId, params.personId)}`.execute(tx);
      return { reply: { person: shownPerson(row) } };
    }),
  );

  on.shop(contract.setPassword, (tx, { body, params, req }, caller) =>
    runCommand(tx, caller, 'set-password', body, async () => {
      noteChange(caller, { kind: 'crew' });
      const now = await tx.selectFrom('person').select('email').where('id', '=', params.personId).executeTakeFirst();
      if (!now) throw notFound('This person');
      const email = body.email ?? now.email;
      if (!email) throw badInput({ email: 'Give an e-mail to sign in with.' });
      const { rows } = await sql<{ person_id: string }>`select person_id from sign_in_candidate(${email})`.execute(tx);
      if (rows.some((r) => r.person_id !== params.personId))
        throw badInput({ email: 'This e-mail already signs in here.' });
      const row = await tx
        .updateTable('person')
        .set({ email, password_hash: await hash(body.password) })
        .where('id', '=', params.personId)
        .returning(personColumns)
        .executeTakeFirstOrThrow();
      await endSessionsOf(tx, caller.shopId, params.personId, req.sessionID);
      return { reply: { person: shownPerson(row) } };
    }),
  );

  on.shop(contract.removePerson, (tx, { body, params, req }, caller) =>
    runCommand(tx, caller, 'remove-person', body, async () => {
      noteChange(caller, { kind: 'crew' });
      noteChange(caller, { kind: 'clock', personId: params.personId });
      if (params.personId === caller.personId) throw new Refusal(409, 'You cannot take yourself off the crew.');
      // All managers are held: of two who take each other off at once, the second finds that they are the last.
      const managers = await tx
        .selectFrom('person')
        .select('id')
        .where('role', '=', 'manager')
        .where('active', '=', true)
        .orderBy('id')
        .forUpdate()
        .execute();
      if (!managers.some((m) => m.id === caller.personId)) throw new Refusal(403, 'Only the manager does this.');
      // Who left signs in nowhere; their address is free again. What they wrote keeps their name.
      const row = await tx
        .updateTable('person')
        .set({ active: false, left_at: new Date(), email: null, password_hash: null, pin_hash: null })
        .where('id', '=', params.personId)
        .where('active', '=', true)
        .returning(personColumns)
        .executeTakeFirst();
      if (!row) throw notFound('This person');
      await tx
        .updateTable('clock')
        .set({ ended_at: new Date() })
        .where('person_id', '=', params.personId)
        .where('ended_at', 'is', null)
        .execute();
      await endSessionsOf(tx, caller.shopId, params.personId, req.sessionID);
      return { reply: { person: shownPerson(row) } };
    }),
  );

  on.shop(contract.takeBackPerson, (tx, { body, params }, caller) =>
    runCommand(tx, caller, 'take-back-person', body, async () => {
      noteChange(caller, { kind: 'crew' });
      const before = await tx
        .selectFrom('person')
        .select(['name', 'initials', 'active', 'left_at'])
        .where('id', '=', params.personId)
        .forUpdate()
        .executeTakeFirst();
      if (!before) throw notFound('This person');
      if (before.active) throw new Refusal(409, `${before.name} is on the crew.`);
      if (before.left_at === null) throw notFound('This person');
      const initials = body.initials ?? before.initials;
      await refuseTaken(tx, initials, params.personId);
      await refuseWithoutAccess(tx, body);
      const row = await tx
        .updateTable('person')
        .set({
          active: true,
          left_at: null,
          initials: initials.toUpperCase(),
          role: body.role,
          ...(await accessOf(body)),
        })
        .where('id', '=', params.personId)
        .returning(personColumns)
        .executeTakeFirstOrThrow();
      return { reply: { person: shownPerson(row) } };
    }),
  );
}
