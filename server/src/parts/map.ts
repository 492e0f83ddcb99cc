import { sql } from 'kysely';
import { mapSide, overlaps } from '@bay/core/parts';
import * as contract from '@bay/contract/parts';
import type { StorePlace } from '@bay/contract/parts';
import { noteChange, runCommand } from '../commands/run.ts';
import type { Tx } from '../db/connection.ts';
import { badInput, notFound, Refusal } from '../http/problem.ts';
import type { Registry } from '../http/register.ts';
import { moveAll } from './move.ts';

/** The store as the shop draws it. */

const columns = [
  'id',
  'name',
  'sort',
  'left_at as left',
  'top_at as top',
  'wide',
  'high',
  'dry',
  'holds',
  'revision',
] as const;

/** Every place that is drawn, by name. */
export const readDrawn = (tx: Tx): Promise<StorePlace[]> =>
  tx.selectFrom('store_place').select(columns).orderBy('name').limit(400).execute();

/** Refuses a place that lies over another, or is called like one. */
async function roomFor(tx: Tx, place: Omit<StorePlace, 'revision'>): Promise<void> {
  if (place.left + place.wide > mapSide || place.top + place.high > mapSide)
    throw badInput({ wide: 'It stays on the floor.' });
  const others = (await readDrawn(tx)).filter((p) => p.id !== place.id);
  if (others.length >= 399) throw new Refusal(409, 'No more than 400 places are drawn.');
  if (others.some((p) => p.name.toLowerCase() === place.name.toLowerCase()))
    throw badInput({ name: `${place.name} is drawn already.` });
  const under = others.find((p) => overlaps(p, place));
  if (under) throw badInput({ left: `It lies over ${under.name}.` });
}

export function mapRoutes(on: Registry): void {
  on.shop(contract.drawPlace, (tx, { params: { placeId }, body }, caller) =>
    runCommand(tx, caller, 'draw-place', body, async () => {
      const { revision, name, sort, left, top, wide, high, dry, holds } = body;
      // Two that draw at once take turns.
      await sql`select pg_advisory_xact_lock(hashtextextended('store_place ' || ${caller.shopId}, 0))`.execute(tx);
      const now = await tx.selectFrom('store_place').select(columns).where('id', '=', placeId).executeTakeFirst();
      if ((now?.revision ?? 0) !== revision)
        throw new Refusal(409, 'Somebody drew this place anew meanwhile. Look again.');
      const place = { id: placeId, name, sort, left, top, wide, high, dry, holds, revision: revision + 1 };
      await roomFor(tx, place);
      const row = {
        id: placeId,
        name,
        sort,
        left_at: left,
        top_at: top,
        wide,
        high,
        dry,
        holds,
        revision: revision + 1,
      };
      if (now) await tx.updateTable('store_place').set(row).where('id', '=', placeId).execute();
      else
        await tx
          .insertInto('store_place')
          .values({ ...row, shop_id: caller.shopId })
          .execute();
      const renamed = now !== undefined && now.name !== place.name;
      const moved = renamed ? await moveAll(tx, caller, now.name, place.name) : 0;
      noteChange(caller, { kind: 'store' });
      return { reply: { place, moved } };
    }),
  );

  on.shop(contract.erasePlace, (tx, { params: { placeId }, body }, caller) =>
    runCommand(tx, caller, 'erase-place', body, async () => {
      const now = await tx
        .selectFrom('store_place')
        .select('revision')
        .where('id', '=', placeId)
        .forUpdate()
        .executeTakeFirst();
      if (!now) throw notFound('This place');
      if (now.revision !== body.revision)
        throw new Refusal(409, 'Somebody drew this place anew meanwhile. Look again.');
      await tx.deleteFrom('store_place').where('id', '=', placeId).execute();
      noteChange(caller, { kind: 'store' });
      return { reply: { erased: true } };
    }),
  );
}
