import { noCurrency } from '@bay/core/money';
import { ink, Sheet } from '../pdf/sheet.ts';

/** Whose paper it is. */
export interface PaperHead {
  shop: string;
  currency: string;
  jobNumber: string;
  carName: string;
  engineName: string | null;
  customer: string;
}

/** Begins a paper in the name of the shop; `said` stands small under whom it is for. */
export async function beginPaper(title: string, head: PaperHead, said: string): Promise<Sheet> {
  const sheet = await Sheet.begin(title);
  return sheet
    .say(head.shop, { face: 'strong', size: 18, colour: ink.teal, after: 2 })
    .say(title, { face: 'strong', size: 14 })
    .say(`For ${head.customer}: ${head.carName}${head.engineName ? `, gets ${head.engineName}` : ''}`)
    .say(`${said}${head.currency === noCurrency ? '' : ` Amounts in ${head.currency}, tax as stated below.`}`, {
      colour: ink.grey,
      after: 8,
    });
}
