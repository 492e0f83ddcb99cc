import { acceptedLines, moneyFigures, showMoney, totalsOf } from '@bay/core/money';
import type { Account, OwnQuote } from '@bay/contract/money';
import type { FileReply } from '@bay/contract/endpoint';
import type { Sheet } from '../pdf/sheet.ts';
import { ink } from '../pdf/sheet.ts';
import { beginPaper } from './paper-head.ts';
import type { PaperHead } from './paper-head.ts';

/** Papers about the money of a job, beside its quote: extra work, the account at its end, a receipt. */

const given = async (sheet: Sheet, title: string, name: string, head: PaperHead): Promise<FileReply> => ({
  name: `${name}-${head.jobNumber}.pdf`,
  type: 'application/pdf',
  bytes: await sheet.end(`${head.shop}, ${title}`),
  keep: 'never',
});

const answerWords = (yes: boolean | null): string =>
  yes === null ? 'asked, not answered' : yes ? 'agreed' : 'not wanted';

/** Taxes of lines, each rate once, and what they come to. */
function sums(sheet: Sheet, lines: readonly { amount: number; tax: number }[], head: PaperHead): number {
  const figures = (amount: number): string => moneyFigures(amount, head.currency);
  const { net, taxes, gross } = totalsOf(lines, 0);
  sheet.rule().row('Before tax', figures(net));
  for (const tax of taxes) sheet.row(`Tax ${tax.rate} % on ${figures(tax.on)}`, figures(tax.amount));
  sheet.row('With tax', showMoney(gross, head.currency), { face: 'strong', size: 12 });
  return gross;
}

/** Extra work, each with its answer, against what was quoted. */
export async function extrasPaper(account: Account, head: PaperHead): Promise<FileReply> {
  const title = `Extra work, job ${head.jobNumber}`;
  const figures = (amount: number): string => moneyFigures(amount, head.currency);
  const sheet = await beginPaper(title, head, 'What was found on the way and asked, with its answer.');
  if (account.quoted) sheet.row(`Quote ${account.quoted.number}, before tax`, figures(account.quoted.net));
  if (account.extras.length === 0) sheet.say('Nothing was asked besides.');
  for (const x of account.extras)
    sheet.row(x.what, figures(x.amount), { note: `${answerWords(x.yes)}, ${x.at.slice(0, 10)}` });
  const agreed = account.extras.filter((x) => x.yes === true);
  sums(sheet, agreed, head);
  sheet
    .gap(6)
    .row('Quoted and agreed besides, before tax', figures(account.agreed), { face: 'strong' })
    .gap(24)
    .say('Date, name, signature: ______________________________________________');
  return given(sheet, title, 'extra-work', head);
}

const paymentWords = { deposit: 'Deposit', part: 'Part payment', final: 'Final payment', back: 'Given back' } as const;
const signed = (p: Account['payments'][number]): number => (p.sort === 'back' ? -p.amount : p.amount);

/** The account of a job: what was agreed line by line, its taxes, what was paid, and what is due. */
export async function accountPaper(
  account: Account,
  accepted: OwnQuote | undefined,
  head: PaperHead,
): Promise<FileReply> {
  const title = `Account, job ${head.jobNumber}`;
  const figures = (amount: number): string => moneyFigures(amount, head.currency);
  const sheet = await beginPaper(title, head, 'What was agreed, what was paid, and what is due.');
  const lines = accepted ? acceptedLines(accepted.lines, accepted.answer?.declined ?? []) : [];
  if (accepted) {
    sheet.rule().row(`Quote ${accepted.number}`, '', { face: 'strong', size: 12 });
    for (const l of lines) sheet.row(l.title, l.who === 'customer' ? 'yours' : figures(l.amount));
    sums(sheet, lines, head);
  }
  const agreed = account.extras.filter((x) => x.yes === true);
  if (agreed.length > 0) {
    sheet.rule().row('Agreed besides', '', { face: 'strong', size: 12 });
    for (const x of agreed) sheet.row(x.what, figures(x.amount), { note: `agreed ${x.at.slice(0, 10)}` });
    sums(sheet, agreed, head);
  }
  sheet.rule().row('Paid', '', { face: 'strong', size: 12 });
  for (const p of account.payments) sheet.row(`${paymentWords[p.sort]}, ${p.on}`, figures(signed(p)), { note: p.note });
  if (account.payments.length === 0) sheet.say('Nothing yet.');
  sheet.rule();
  if (account.due === null) sheet.say('Nothing was agreed, so nothing is due.');
  else
    sheet.row(account.due < 0 ? 'To be given back' : 'Still due', showMoney(Math.abs(account.due), head.currency), {
      face: 'strong',
      size: 13,
    });
  const open = account.extras.filter((x) => x.yes === null);
  if (open.length > 0)
    sheet.say(`Asked and not answered, and in none of these sums: ${open.map((x) => x.what).join('; ')}.`, {
      size: 9,
      colour: ink.grey,
    });
  return given(sheet, title, 'account', head);
}

/** A receipt for one payment. */
export async function receiptPaper(
  payment: Account['payments'][number],
  account: Account,
  head: PaperHead,
): Promise<FileReply> {
  const title = `${payment.sort === 'back' ? 'Given back' : 'Receipt'}, job ${head.jobNumber}`;
  const sheet = await beginPaper(title, head, `${payment.on}.`);
  sheet.row(paymentWords[payment.sort], showMoney(payment.amount, head.currency), {
    face: 'strong',
    size: 13,
    note: payment.note,
  });
  const paid = account.payments.reduce((sum, p) => sum + signed(p), 0);
  sheet.rule().row('Paid until now', moneyFigures(paid, head.currency));
  if (account.due !== null) sheet.row('Still due', moneyFigures(account.due, head.currency));
  sheet.gap(24).say(`${payment.by}, for ${head.shop}: ______________________________________________`);
  return given(sheet, title, `receipt-${payment.on}`, head);
}
