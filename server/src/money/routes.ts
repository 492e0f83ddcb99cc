import { decimalsOf, noCurrency } from '@bay/core/money';
import * as contract from '@bay/contract/money';
import { noteChange, runCommand } from '../commands/run.ts';
import { Refusal } from '../http/problem.ts';
import type { Registry } from '../http/register.ts';

export function moneyRoutes(on: Registry): void {
  on.shop(contract.setCurrency, (tx, { body }, caller) =>
    runCommand(tx, caller, 'set-currency', body, async () => {
      const { currency } = await tx.selectFrom('shop').select('currency').forUpdate().executeTakeFirstOrThrow();
      const written = await tx.selectFrom('money').select('amount').limit(1).executeTakeFirst();
      // A plain number may be given its name; an amount of one currency never becomes the same figure of another.
      const onlyNamed = currency === noCurrency && decimalsOf(body.currency) === decimalsOf(currency);
      if (currency !== body.currency && written && !onlyNamed)
        throw new Refusal(
          409,
          `Amounts are written in ${currency === noCurrency ? 'plain numbers with two decimals' : currency} already, so it stays.`,
        );
      await tx.updateTable('shop').set({ currency: body.currency }).execute();
      noteChange(caller, { kind: 'shop' });
      return { reply: { currency: body.currency } };
    }),
  );
}
