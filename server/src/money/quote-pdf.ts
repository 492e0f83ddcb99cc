import { offerSections, moneyFigures, showMoney } from '@bay/core/money';
import type { OfferedQuoteLine, Quote } from '@bay/contract/money';
import type { FileReply } from '@bay/contract/endpoint';
import { stationName } from '@bay/core/jobs';
import { ink } from '../pdf/sheet.ts';
import { beginPaper } from './paper-head.ts';
import type { PaperHead } from './paper-head.ts';

/** Groups of a section, in order, each with its lines. */
function groupsOf(lines: readonly OfferedQuoteLine[]): Map<string, OfferedQuoteLine[]> {
  const groups = new Map<string, OfferedQuoteLine[]>();
  for (const line of lines) {
    const name = stationName(line.group);
    groups.set(name, [...(groups.get(name) ?? []), line]);
  }
  return groups;
}

/** A quote on paper, in the name of the shop: lines by section, sums, what is not in it, how long it is good. */
export async function quotePdfOf(quote: Quote, head: PaperHead): Promise<FileReply> {
  const figures = (amount: number): string => moneyFigures(amount, head.currency);
  const title = `Quote ${head.jobNumber}-${quote.number}`;
  const sheet = await beginPaper(title, head, `Made on ${quote.madeAt.slice(0, 10)}, good until ${quote.validUntil}.`);
  for (const [section, name] of Object.entries(offerSections)) {
    const lines = quote.lines.filter((l) => l.section === section);
    if (lines.length === 0) continue;
    sheet.rule().row(name, figures(lines.reduce((sum, l) => sum + l.amount, 0)), { face: 'strong', size: 12 });
    for (const [group, own] of groupsOf(lines)) {
      if (group !== '') sheet.say(group, { size: 9, colour: ink.grey, after: 0 });
      for (const line of own)
        sheet.row(
          line.title,
          line.who === 'customer' ? 'yours' : line.who === 'donor' ? 'off the donor' : figures(line.amount),
          {
            note: [
              ...(line.hours === undefined ? [] : [`about ${line.hours} h`]),
              ...(line.optional ? ['optional: you may leave it out'] : []),
              ...(line.who === 'customer' ? ['done or brought by you'] : []),
            ].join(', '),
          },
        );
    }
  }
  sheet.rule().row('Before tax', figures(quote.net));
  for (const tax of quote.taxes) sheet.row(`Tax ${tax.rate} % on ${figures(tax.on)}`, figures(tax.amount));
  sheet
    .row('Total', showMoney(quote.gross, head.currency), { face: 'strong', size: 13 })
    .row('Deposit before work begins', figures(quote.deposit))
    .gap(6);
  if (quote.exclusions.length > 0) {
    sheet.say('Not in this quote', { face: 'strong', size: 12 });
    for (const one of quote.exclusions) sheet.say(`– ${one}`, { after: 0 });
    sheet.gap(6);
  }
  if (quote.foreseen.length > 0) {
    sheet.say('What this job brings along', { face: 'strong', size: 12 });
    for (const { title, text } of quote.foreseen) sheet.say(`– ${title}: ${text}.`, { size: 9, after: 0 });
    sheet.gap(6);
  }
  if (quote.asExtra.length > 0)
    sheet.say(`Not known yet whether it is wanted, and asked as extra work if so: ${quote.asExtra.join('; ')}.`, {
      size: 9,
    });
  if (quote.waits.length > 0)
    sheet.say(`Waiting that belongs to the job: ${quote.waits.join('; ')}.`, { size: 9, colour: ink.grey });
  if (quote.note !== '') sheet.say(quote.note);
  sheet.say(
    'What is found later and costs more is asked first, with its price and what happens without it. Work on brakes, steering, structure and fuel follows the makers’ manuals and local law.',
    { size: 9, colour: ink.grey },
  );
  if (quote.answer)
    sheet
      .gap(6)
      .say(
        quote.state === 'accepted'
          ? `Accepted by ${quote.answer.by}, ${quote.answer.at.slice(0, 10)}: ${showMoney(quote.answer.gross, head.currency)}${quote.answer.declined.length > 0 ? ', without the optional lines left out' : ''}.`
          : `Declined by ${quote.answer.by}, ${quote.answer.at.slice(0, 10)}.`,
        { face: 'strong' },
      );
  else sheet.gap(24).say('Date, name, signature: ______________________________________________');
  const bytes = await sheet.end(`${head.shop}, ${title}`);
  return { name: `quote-${head.jobNumber}-${quote.number}.pdf`, type: 'application/pdf', bytes, keep: 'never' };
}
