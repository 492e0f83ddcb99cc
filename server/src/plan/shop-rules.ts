import type { ShopRule } from '@bay/core/memory';
import type { Tx } from '../db/connection.ts';

/** The rules of the shop that stand, as plans read them. */
export const readShopRules = async (tx: Tx): Promise<ShopRule[]> =>
  tx
    .selectFrom('shop_rule')
    .select(['id', 'line', 'condition as when'])
    .where('ended_at', 'is', null)
    .orderBy('id')
    .execute();
