import { randomUUID } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';
import type { Request } from 'express';
import { sql } from 'kysely';
import * as contract from '@bay/contract/crew';
import { noCurrency } from '@bay/core/money';
import type { Me, Person } from '@bay/contract/crew';
import { noteChange, runCommand } from '../commands/run.ts';
import { announceEnded } from '../live/events.ts';
import { inShop } from '../db/connection.ts';
import type { Db, Tx } from '../db/connection.ts';
import { badInput, notFound, Refusal } from '../http/problem.ts';
import type { Tried, Tries } from '../http/tries.ts';
import type { Registry } from '../http/register.ts';
import { newToken } from '../http/session.ts';
import { nobodysHash, personWithPin, pinKey, pinTries, wrongPinsOf } from './pins.ts';
import { deviceWords, endSessionsOf } from './sessions.ts';

interface PersonRow {
  id: string;
  name: string;
  initials: string;
  role: Person['role'];
  pin_hash: string | null;
  password_hash: string | null;
}

const shown = (p: PersonRow): Person => ({
  id: p.id,
  name: p.name,
  initials: p.initials,
  role: p.role,
  hasPin: p.pin_hash !== null,
  signsIn: p.password_hash !== null,
});
const personColumns = ['id', 'name', 'initials', 'role', 'pin_hash', 'password_hash'] as const;
const nowWords = (): string => new Date().toISOString();

async function whoIsHere(db: Db, req: Request): Promise<Me> {
  const { shopId, personId } = req.session;
  if (!shopId) {
    const { rows } = await sql<{ any: boolean }>`select any_shop() as any`.execute(db);
    return { needsSetup: !rows[0]!.any, shop: null, person: null, token: req.session.token ?? '', now: nowWords() };
  }
  return inShop(db, shopId, async (tx) => {
    const shop = await tx.selectFrom('shop').select(['id', 'name', 'bays', 'currency']).executeTakeFirst();
    const person = personId
      ? await tx
          .selectFrom('person')
          .select(personColumns)
          .where('id', '=', personId)
          .where('active', '=', true)
          .executeTakeFirst()
      : undefined;
    return {
      needsSetup: false,
      shop: shop ?? null,
      person: person ? shown(person) : null,
      token: req.session.token ?? '',
      now: nowWords(),
    };
  });
}

const asError = (thrown: unknown): Error =>
  thrown instanceof Error ? thrown : new Error('The session cannot be kept.', { cause: thrown });

/** A new session id at every change of who is here, so that an id known before is worth nothing after. */
async function renew(db: Db, req: Request, data: { shopId: string; personId?: string }): Promise<void> {
  const before = req.sessionID;
  await new Promise<void>((resolve, reject) => {
    req.session.regenerate((error: unknown) => {
      if (error) return reject(asError(error));
      Object.assign(req.session, data, { token: newToken(), device: deviceWords(req.get('user-agent')) });
      req.session.save((failed: unknown) => (failed ? reject(asError(failed)) : resolve()));
    });
  });
  await announceEnded(db, [before]);
}

async function insertPerson(
  tx: Tx,
  shopId: string,
  p: {
    name: string;
    initials: string;
    role: Person['role'];
    email?: string | undefined;
    password?: string | undefined;
    pin?: string | undefined;
  },
): Promise<Person> {
  const row = await tx
    .insertInto('person')
    .values({
      id: randomUUID(),
      shop_id: shopId,
      name: p.name,
      initials: p.initials.toUpperCase(),
      role: p.role,
      email: p.email ?? null,
      password_hash: p.password ? await hash(p.password) : null,
      pin_hash: p.pin ? await hash(p.pin) : null,
    })
    .returning(personColumns)
    .executeTakeFirstOrThrow();
  return shown(row);
}

const setUpLock = 7_240_118;

/** Makes a shop with its manager. Refuses when the e-mail is taken. */
export async function makeShop(
  db: Db,
  s: {
    shopName: string;
    bays: string[];
    name: string;
    initials: string;
    email: string;
    password: string;
    pin?: string | undefined;
    /** ISO 4217; plain numbers where none is named. */
    currency?: string | undefined;
    /** Refused where there is a shop already; of several at once the first is made. */
    onlyFirst?: boolean | undefined;
  },
): Promise<{ shopId: string; personId: string }> {
  const shopId = randomUUID();
  return inShop(db, shopId, async (tx) => {
    if (s.onlyFirst) {
      await sql`select pg_advisory_xact_lock(${setUpLock})`.execute(tx);
      const { rows } = await sql<{ any: boolean }>`select any_shop() as any`.execute(tx);
      if (rows[0]!.any) throw new Refusal(409, 'A shop is already set up on this server. Sign in.');
    }
    await tx
      .insertInto('shop')
      .values({ id: shopId, name: s.shopName, bays: JSON.stringify(s.bays), currency: s.currency ?? noCurrency })
      .execute();
    const person = await insertPerson(tx, shopId, {
      name: s.name,
      initials: s.initials,
      role: 'manager',
      email: s.email,
      password: s.password,
      pin: s.pin,
    });
    return { shopId, personId: person.id };
  });
}

export { insertPerson };

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

const initialsOf = (name: string): string => {
  const words = name.split(/\s+/).filter(Boolean);
  return (words.length > 1 ? words[0]![0]! + words.at(-1)![0]! : name.slice(0, 2)).toUpperCase();
};

/** The address that really asked; that of a proxy's client only where a proxy is configured. */
const peerOf = (req: Request): string => req.ip ?? 'unknown';

const ofAddressAndPeer = { free: 5, firstWait: '30 seconds', longestWait: '30 minutes' };
const ofAddress = { free: 30, firstWait: '1 minute', longestWait: '5 minutes' };
const ofPeer = { free: 20, firstWait: '1 minute', longestWait: '30 minutes' };

/** Wrong passwords are counted by the e-mail, by who asks, and by both; nobody is shut out for long by somebody else. */
function signInTries(req: Request): Tried[] {
  const { email } = (req.body ?? {}) as { email?: unknown };
  const address = typeof email === 'string' ? email.trim().toLowerCase().slice(0, 200) : '';
  const peer = peerOf(req);
  return [
    { key: `sign-in:${address}:${peer}`, patience: ofAddressAndPeer },
    { key: `sign-in:${address}`, patience: ofAddress },
    { key: `sign-in-from:${peer}`, patience: ofPeer, shared: true },
  ];
}

export function crewRoutes(on: Registry, db: Db, tries: Tries): void {
  on.open(contract.getMe, ({ req }) => whoIsHere(db, req));

  on.open(contract.setUpShop, async ({ body, req }) => {
    const bays = Array.from({ length: body.bays }, (_, i) => String(i + 1));
    const { shopId, personId } = await makeShop(db, {
      ...body,
      bays,
      initials: initialsOf(body.name),
      onlyFirst: true,
    });
    await renew(db, req, { shopId, personId });
    return whoIsHere(db, req);
  });

  on.open(
    contract.signIn,
    async ({ body, req }) => {
      const { rows } = await sql<{
        person_id: string;
        shop_id: string;
        password_hash: string;
      }>`select * from sign_in_candidate(${body.email})`.execute(db);
      const candidate = rows[0];
      const good = await verify(candidate?.password_hash ?? (await nobodysHash), body.password);
      if (!candidate || !good) throw new Refusal(401, 'E-mail or password is not right.');
      await renew(db, req, { shopId: candidate.shop_id, personId: candidate.person_id });
      return whoIsHere(db, req);
    },
    tries.before(signInTries),
  );

  on.open(contract.signOut, async ({ req, res }) => {
    const before = req.sessionID;
    await new Promise<void>((resolve) => req.session.destroy(() => resolve()));
    await announceEnded(db, [before]);
    res.clearCookie('bay');
    return { needsSetup: false, shop: null, person: null, token: '', now: nowWords() };
  });

  on.open(contract.lockTablet, async ({ req }) => {
    if (!req.session.shopId) throw new Refusal(401, 'Sign in first.');
    await renew(db, req, { shopId: req.session.shopId });
    return whoIsHere(db, req);
  });

  on.open(
    contract.switchPerson,
    async ({ body, req }) => {
      const { shopId } = req.session;
      if (!shopId) throw new Refusal(401, 'Sign in first.');
      const person = await inShop(db, shopId, (tx) => personWithPin(tx, body.personId, body.pin));
      await renew(db, req, { shopId, personId: person.id });
      return whoIsHere(db, req);
    },
    pinTries(tries),
  );

  // At a locked tablet the names are shown before anybody has typed a PIN, so this asks for the shop only.
  on.open(contract.listCrew, async ({ req }) => {
    const { shopId } = req.session;
    if (!shopId) throw new Refusal(401, 'Sign in first.');
    return inShop(db, shopId, async (tx) => {
      const rows = await tx
        .selectFrom('person')
        .select(personColumns)
        .where('active', '=', true)
        .orderBy('name')
        .execute();
      const isManager = rows.some((r) => r.id === req.session.personId && r.role === 'manager');
      const wrong = isManager ? await wrongPinsOf(tx, shopId) : new Map<string, NonNullable<Person['wrongPins']>>();
      return {
        crew: rows.map((r) => {
          const wrongPins = wrong.get(pinKey(shopId, r.id));
          return { ...shown(r), ...(wrongPins ? { wrongPins } : {}) };
        }),
      };
    });
  });

  on.shop(contract.addPerson, (tx, { body }, caller) =>
    runCommand(tx, caller, 'add-person', body, async () => {
      noteChange(caller, { kind: 'crew' });
      if (body.role === 'manager' && (!body.email || !body.password))
        throw badInput({ email: 'A manager signs in with e-mail and password.' });
      if (body.role !== 'manager' && !body.pin) throw badInput({ pin: 'Somebody at a shared tablet needs a PIN.' });
      if (body.email) {
        const { rows } = await sql<{
          n: number;
        }>`select count(*)::int as n from sign_in_candidate(${body.email})`.execute(tx);
        if (rows[0]!.n > 0) throw badInput({ email: 'This e-mail already signs in here.' });
      }
      await refuseTaken(tx, body.initials);
      return { reply: { person: await insertPerson(tx, caller.shopId, body) } };
    }),
  );

  on.shop(contract.renamePerson, (tx, { body, params }, caller) =>
    runCommand(tx, caller, 'rename-person', body, async () => {
      noteChange(caller, { kind: 'crew' });
      if (body.initials) await refuseTaken(tx, body.initials, params.personId);
      const row = await tx
        .updateTable('person')
        .set({ name: body.name, ...(body.initials ? { initials: body.initials.toUpperCase() } : {}) })
        .where('id', '=', params.personId)
        .returning(personColumns)
        .executeTakeFirst();
      if (!row) throw notFound('This person');
      return { reply: { person: shown(row) } };
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
      return { reply: { person: shown(row) } };
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
      return { reply: { person: shown(row) } };
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
        .set({ active: false, email: null, password_hash: null, pin_hash: null })
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
      return { reply: { person: shown(row) } };
    }),
  );
}
