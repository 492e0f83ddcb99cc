import { decimalsOf, noCurrency } from '@bay/core/money';
import * as contract from '@bay/contract/money';
import { noteChange, runCommand } from '../commands/run.ts';
import { notFound, Refusal } from '../http/problem.ts';
import type { Registry } from '../http/register.ts';
import { readHead } from '../jobs/store.ts';
import type { Tx } from '../db/connection.ts';
import { accountOf, accountRoutes } from './account.ts';
import type { PaperHead } from './paper-head.ts';
import { quoteOf, quoteRoutes, quotesOf } from './quotes.ts';
import { termsRoutes } from './terms.ts';

/** Whose paper it is, as it stands above one. */
export async function paperHeadOf(tx: Tx, jobId: string): Promise<PaperHead> {
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
    return quotePdfOf(await quoteOf(tx, jobId, number), await paperHeadOf(tx, jobId));
  });

  on.shop(contract.extrasPdf, async (tx, { params: { jobId } }) => {
    const { extrasPaper } = await import('./papers.ts');
    return extrasPaper(await accountOf(tx, jobId, new Date().toISOString()), await paperHeadOf(tx, jobId));
  });
  on.shop(contract.accountPdf, async (tx, { params: { jobId } }) => {
    const { accountPaper } = await import('./papers.ts');
    const head = await paperHeadOf(tx, jobId);
    const accepted = (await quotesOf(tx, jobId)).find((q) => q.state === 'accepted');
    return accountPaper(await accountOf(tx, jobId, new Date().toISOString()), accepted, head);
  });
  on.shop(contract.receiptPdf, async (tx, { params: { jobId, paymentId } }) => {
    const { receiptPaper } = await import('./papers.ts');
    const head = await paperHeadOf(tx, jobId);
    const account = await accountOf(tx, jobId, new Date().toISOString());
    const payment = account.payments.find((p) => p.id === paymentId);
    if (!payment) throw notFound('This payment');
    return receiptPaper(payment, account, head);
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
