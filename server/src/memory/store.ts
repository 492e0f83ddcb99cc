import type { OwnLine, ShopRule } from '@bay/core/memory';
import type { ShopRuleRow } from '@bay/contract/memory';
import type { Tx } from '../db/connection.ts';

const standing = (tx: Tx) => tx.selectFrom('shop_rule').where('ended_at', 'is', null).orderBy('shop_rule.id');

/** The rules of the shop that stand, as plans read them. */
export const readShopRules = async (tx: Tx): Promise<ShopRule[]> =>
  standing(tx).select(['shop_rule.id', 'line', 'condition as when']).execute();

/** The same with who made each. */
export async function shopRulesOf(tx: Tx): Promise<ShopRuleRow[]> {
  const rows = await standing(tx)
    .innerJoin('person', 'person.id', 'shop_rule.by_id')
    .select(['shop_rule.id', 'line', 'condition', 'person.name', 'shop_rule.at'])
    .execute();
  return rows.map(({ id, line, condition, name, at }) => ({
    id,
    line: line as ShopRuleRow['line'] & OwnLine,
    when: condition,
    by: name,
    at: at.toISOString(),
  }));
}
