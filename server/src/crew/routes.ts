import { randomUUID } from 'node:crypto';
import { verify } from '@node-rs/argon2';
import type { Request } from 'express';
import { sql } from 'kysely';
import * as contract from '@bay/contract/crew';
import { noCurrency } from '@bay/core/money';
import type { Me, Person, PersonWhoLeft } from '@bay/contract/crew';
import { announceEnded } from '../live/events.ts';
import { inShop } from '../db/connection.ts';
import type { Db, Tx } from '../db/connection.ts';
import { Refusal } from '../http/problem.ts';
import type { Tried, Tries } from '../http/tries.ts';
import type { Registry } from '../http/register.ts';
import { newToken } from '../http/session.ts';
import { insertPerson, personColumns, shownPerson } from './person.ts';
import { nobodysHash, personWithPin, pinKey, pinTries, wrongPinsOf } from './pins.ts';
import { deviceWords } from './sessions.ts';

async function whoIsHere(db: Db, req: Request): Promise<Me> {
  const { shopId, personId } = req.session;
  if (!shopId) {
    const { rows } = await sql<{ any: boolean }>`select any_shop() as any`.execute(db);
    return { needsSetup: !rows[0]!.any, shop: null, person: null, token: req.session.token ?? '' };
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
      person: person ? shownPerson(person) : null,
      token: req.session.token ?? '',
    };
  });
}

async function whoLeft(tx: Tx): Promise<PersonWhoLeft[]> {
  const rows = await tx
    .selectFrom('person')
    .select(['id', 'name', 'initials', 'role', 'left_at'])
    .where('active', '=', false)
    .where('left_at', 'is not', null)
    .orderBy('name')
    .execute();
  return rows.map(({ left_at, ...p }) => ({ ...p, leftAt: left_at!.toISOString() }));
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
    return { needsSetup: false, shop: null, person: null, token: '' };
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
          return { ...shownPerson(r), ...(wrongPins ? { wrongPins } : {}) };
        }),
        left: isManager ? await whoLeft(tx) : [],
      };
    });
  });
}
