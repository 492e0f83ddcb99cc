import { noTerms } from '@bay/core/money';
import type { Terms } from '@bay/core/money';
import * as contract from '@bay/contract/money';
import { noteChange, runCommand } from '../commands/run.ts';
import type { Tx } from '../db/connection.ts';
import { withMoney } from '../db/sees-money.ts';
import { Refusal } from '../http/problem.ts';
import { historyNow } from './history.ts';
import type { Registry } from '../http/register.ts';

const rowOf = (tx: Tx) => tx.selectFrom('shop_terms').selectAll().executeTakeFirst();
type Row = Awaited<ReturnType<typeof rowOf>>;

const shown = (row: Row) => ({
  terms: {
    hourRate: row?.hour_rate ?? null,
    hourCost: row?.hour_cost ?? null,
    priceUnit: row?.price_unit ?? null,
    markup: row?.markup ?? noTerms.markup,
    sundries: row?.sundries ?? noTerms.sundries,
    tax: row?.tax ?? noTerms.tax,
    deposit: row?.deposit ?? noTerms.deposit,
    validDays: row?.valid_days ?? noTerms.validDays,
  },
  revision: row?.revision ?? 0,
});

/** What the shop counts with, for the server's own sums. */
export async function termsNow(tx: Tx): Promise<Terms> {
  const { terms } = shown(await withMoney(tx, () => rowOf(tx)));
  return {
    ...terms,
    hourRate: terms.hourRate ?? undefined,
    hourCost: terms.hourCost ?? undefined,
    priceUnit: terms.priceUnit ?? undefined,
  };
}

/** The same with what closed jobs taught of hours: what a quote is reckoned with. */
export const quoteTermsNow = async (tx: Tx): Promise<Terms> => ({
  ...(await termsNow(tx)),
  history: await historyNow(tx),
});

export function termsRoutes(on: Registry): void {
  on.shop(contract.readTerms, async (tx) => ({ ...shown(await rowOf(tx)), history: await historyNow(tx) }));

  on.shop(contract.setTerms, (tx, { body }, caller) =>
    runCommand(tx, caller, 'set-terms', body, async () => {
      const { terms, revision } = body;
      const row = {
        hour_rate: terms.hourRate,
        hour_cost: terms.hourCost,
        price_unit: terms.priceUnit,
        markup: terms.markup,
        sundries: terms.sundries,
        tax: terms.tax,
        deposit: terms.deposit,
        valid_days: terms.validDays,
        revision: revision + 1,
        by_id: caller.personId,
        at: new Date(),
      };
      const written =
        revision === 0
          ? await tx
              .insertInto('shop_terms')
              .values({ shop_id: caller.shopId, ...row })
              .onConflict((c) => c.doNothing())
              .returning('shop_id')
              .executeTakeFirst()
          : await tx
              .updateTable('shop_terms')
              .set(row)
              .where('revision', '=', revision)
              .returning('shop_id')
              .executeTakeFirst();
      if (!written)
        throw new Refusal(409, 'Somebody changed the terms of the shop meanwhile. Look at them and write again.', {
          current: shown(await rowOf(tx)),
        });
      noteChange(caller, { kind: 'money' });
      return { reply: shown(await rowOf(tx)) };
    }),
  );
}
