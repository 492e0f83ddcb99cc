import { decimalsOf, noCurrency } from '@bay/core/money';
import * as contract from '@bay/contract/money';
import { noteChange, runCommand } from '../commands/run.ts';
import { Refusal } from '../http/problem.ts';
import type { Registry } from '../http/register.ts';
import { readHead } from '../jobs/store.ts';
import type { Tx } from '../db/connection.ts';
import { accountRoutes } from './account.ts';
import type { QuoteHead } from './quote-pdf.ts';
import { quoteOf, quoteRoutes } from './quotes.ts';
import { termsRoutes } from './terms.ts';

/** Whose quote it is, as it stands above one. */
export async function quoteHeadOf(tx: Tx, jobId: string): Promise<QuoteHead> {
  const job = await readHead(tx, jobId);
  const { name, currency } = await tx.selectFrom('shop').select(['name', 'currency']).executeTakeFirstOrThrow();
  const { number, carName, engineName, customer } = job;
  return { shop: name, currency, jobNumber: number, carName, engineName, customer };
}

export function moneyRoutes(on: Registry): void {
  termsRoutes(on);
  quoteRoutes(on);
  accountRoutes(on);

  on.shop(contract.quotePdf, async (tx, { params: { jobId, number } }) => {
    const { quotePdfOf } = await import('./quote-pdf.ts');
    return quotePdfOf(await quoteOf(tx, jobId, number), await quoteHeadOf(tx, jobId));
  });

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
