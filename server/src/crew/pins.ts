import { hash, verify } from '@node-rs/argon2';
import type { Request, RequestHandler } from 'express';
import type pg from 'pg';
import type { Role } from '@bay/contract/crew';
import type { Tx } from '../db/connection.ts';
import { Refusal } from '../http/problem.ts';
import { failedTries } from '../http/rate-limit.ts';

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

const triedPerson = (req: Request): string => {
  const body = req.body as { personId?: unknown; person?: { personId?: unknown } } | undefined;
  const tried = body?.personId ?? body?.person?.personId;
  return typeof tried === 'string' ? tried.toLowerCase() : '';
};

/** Wrong PINs of one person are counted together, wherever they are tried. */
export const pinTries = (pool: pg.Pool): RequestHandler =>
  failedTries(pool, 'pin', 8, (req) => `${req.session.shopId ?? req.ip ?? 'unknown'}:${triedPerson(req)}`);
