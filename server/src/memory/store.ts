import type { OwnLine } from '@bay/core/memory';
import type { ShopRuleRow } from '@bay/contract/memory';
import type { Tx } from '../db/connection.ts';

/** The rules of the shop that stand, with who made each. */
export async function shopRulesOf(tx: Tx): Promise<ShopRuleRow[]> {
  const rows = await tx
    .selectFrom('shop_rule')
    .where('ended_at', 'is', null)
    .orderBy('shop_rule.id')
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
