import { hash, verify } from '@node-rs/argon2';
import type { Request, RequestHandler } from 'express';
import { sql } from 'kysely';
import type { Role } from '@bay/contract/crew';
import type { Tx } from '../db/connection.ts';
import { Refusal } from '../http/problem.ts';
import type { Tries } from '../http/tries.ts';

// Verified against when nobody is known by that name, so that both answers take equally long.
export const nobodysHash = hash('nobody has this password');

/** The person of the crew whose PIN this is. Refuses a wrong one, and one of somebody who has none. */
export async function personWithPin(
  tx: Tx,
  personId: string,
  pin: string,
): Promise<{ id: string; name: string; role: Role }> {
  const person = await tx
    .selectFrom('person')
    .select(['id', 'name', 'role', 'pin_hash'])
    .where('id', '=', personId)
    .where('active', '=', true)
    .executeTakeFirst();
  const good = await verify(person?.pin_hash ?? (await nobodysHash), pin);
  if (!person?.pin_hash || !good)
    throw new Refusal(401, 'That PIN is not right.', { fields: { pin: 'That PIN is not right.' } });
  return { id: person.id, name: person.name, role: person.role };
}

const triedPerson = (req: Request): string | undefined => {
  const body = req.body as { personId?: unknown; person?: { personId?: unknown } } | undefined;
  const tried = body?.personId ?? body?.person?.personId;
  return typeof tried === 'string' ? tried.toLowerCase() : undefined;
};

/** The key under which wrong PINs of one person are counted, wherever they are tried. */
export const pinKey = (shopId: string, personId: string): string => `pin:${shopId}:${personId}`;
const ofPerson = { free: 5, firstWait: '1 minute', longestWait: '1 hour' };
const ofShop = { free: 40, firstWait: '1 minute', longestWait: '15 minutes' };

/** Wrong PINs are counted by the person they are tried for, and by the shop. */
export const pinTries = (tries: Tries): RequestHandler =>
  tries.before((req) => {
    const { shopId } = req.session;
    const person = triedPerson(req);
    if (!shopId || person === undefined) return [];
    return [
      { key: pinKey(shopId, person), patience: ofPerson },
      { key: `pins:${shopId}`, patience: ofShop, shared: true },
    ];
  });

/** More wrong PINs than somebody types by mistake, by the key of the person. */
export async function wrongPinsOf(
  tx: Tx,
  shopId: string,
): Promise<Map<string, { tries: number; until: string | null }>> {
  const { rows } = await sql<{ key: string; failed: number; until: Date | null }>`
    select key, failed, until from try_count
    where key like ${`pin:${shopId}:%`} and failed > 3 and at > now() - interval '1 day'`.execute(tx);
  return new Map(rows.map((r) => [r.key, { tries: r.failed, until: r.until?.toISOString() ?? null }]));
}
