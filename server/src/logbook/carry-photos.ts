import type pg from 'pg';
import type { PhotoSize, PhotoStore } from './photo-store.ts';

export interface Carried {
  carried: number;
  removed: number;
}

interface Row {
  shop_id: string;
  photo_id: string;
  size: PhotoSize;
}

/**
 * Carries photos that lie in the database to where photos lie now. Each is read back and compared before anything is taken away,
 * and what was carried is not carried again differently, so that it can be broken off and begun anew at any time.
 *
 * @param owner a connection of the database's owner, whom row-level security does not bind
 * @param remove take each away from the database once the copy was seen to be the same
 */
export async function carryPhotos(
  owner: pg.Client,
  to: PhotoStore,
  { remove, say, stop }: { remove: boolean; say: (done: number, of: number) => void; stop?: AbortSignal },
): Promise<Carried> {
  const count = await owner.query<{ n: number }>('select count(*)::int as n from photo_blob');
  const of = count.rows[0]!.n;
  let [carried, removed] = [0, 0];
  // The last that was carried: the next are asked for by the key, however many there are.
  let last: readonly string[] = [nobody, nobody, ''];
  while (!stop?.aborted) {
    const { rows } = await owner.query<Row & { mime: string; bytes: Buffer }>(
      `select shop_id, photo_id, size, mime, bytes from photo_blob
       where (shop_id, photo_id, size) > ($1, $2, $3) order by shop_id, photo_id, size limit 20`,
      [...last],
    );
    if (rows.length === 0) break;
    for (const row of rows) {
      await to.put(row.shop_id, row.photo_id, row.size, row);
      const there = await to.get(row.shop_id, row.photo_id, row.size);
      if (!there?.bytes.equals(row.bytes))
        throw new Error(`Photo ${row.photo_id} (${row.size}) did not arrive as it was; nothing of it was taken away.`);
      carried += 1;
      if (remove) {
        const gone = await owner.query('delete from photo_blob where shop_id = $1 and photo_id = $2 and size = $3', [
          row.shop_id,
          row.photo_id,
          row.size,
        ]);
        removed += gone.rowCount ?? 0;
      }
      last = [row.shop_id, row.photo_id, row.size];
    }
    say(carried, of);
  }
  return { carried, removed };
}

const nobody = '00000000-0000-0000-0000-000000000000';
