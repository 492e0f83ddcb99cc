import type { Tx } from '../db/connection.ts';

/** The shop's chosen side by question; questions left at the default are not in it. */
export async function readShopSchools(tx: Tx): Promise<Record<string, string>> {
  const rows = await tx.selectFrom('shop_school').select(['question', 'side']).execute();
  return Object.fromEntries(rows.map((r) => [r.question, r.side]));
}
