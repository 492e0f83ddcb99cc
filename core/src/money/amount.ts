/**
 * Money is an integer in the smallest unit of the shop's currency: 1250 is 12.50 where the currency has two decimals. Codes and
 * decimals are those of ISO 4217, as Intl knows them; XXX is its code for "no currency", shown as a plain number.
 */
export const noCurrency = 'XXX';

/** Decimals of a currency (ISO 4217): 2 for most, 0 for JPY, 3 for KWD. */
export const decimalsOf = (currency: string): number =>
  new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions().maximumFractionDigits ?? 2;

/** All codes of currencies in use (ISO 4217). */
export const currencies: readonly string[] = Intl.supportedValuesOf('currency');

export const isCurrency = (code: string): boolean => code === noCurrency || currencies.includes(code);

/** "1,250.00": the figures of an amount, for a column that names its currency above. */
export function moneyFigures(amount: number, currency: string): string {
  const decimals = decimalsOf(currency);
  return (amount / 10 ** decimals).toLocaleString('en', {
    minimumFractionDigits: decimals,
    maximumFractionDigits: decimals,
  });
}

/** "1,250.00 EUR": what an amount in the smallest unit reads like. */
export const showMoney = (amount: number, currency: string): string =>
  moneyFigures(amount, currency) + (currency === noCurrency ? '' : ` ${currency}`);

/** An amount as it is typed again: "1250.00". */
export const typedMoney = (amount: number, currency: string): string =>
  (amount / 10 ** decimalsOf(currency)).toFixed(decimalsOf(currency));

export type MoneyEntry = { ok: true; amount: number } | { ok: false; sentence: string };

const mostFigures = 12;

/**
 * Reads "1250", "1,250.50", "1.250,50", "1 250,5" into the smallest unit. A single mark with three figures behind it parts
 * thousands, unless the currency has three decimals; where decimals would be lost it is refused.
 */
export function readMoney(typed: string, currency: string): MoneyEntry {
  const decimals = decimalsOf(currency);
  const plain = typed.trim().replace(/[\s\u00a0']/g, '');
  const refuse = (sentence: string): MoneyEntry => ({ ok: false, sentence });
  const [, whole, mark, rest = ''] = /^(\d[\d.,]*?)(?:([.,])(\d*))?$/.exec(plain) ?? [];
  if (whole === undefined) return refuse('An amount is a number, like 1250 or 1250.50.');
  const others = whole.replace(/\d/g, '');
  const groups = whole.split(/[.,]/);
  if (groups.slice(1).some((g) => g.length !== 3) || new Set(others).size > 1)
    return refuse('An amount is a number, like 1250 or 1250.50.');
  // "1,250" and "1,250,000" part thousands; "1,250.50" and "12.5" part decimals.
  const parts =
    mark === undefined
      ? 'none'
      : rest.length === 3 && (others === '' ? decimals !== 3 : others.includes(mark))
        ? 'thousands'
        : 'decimals';
  if (parts === 'decimals' && (others.includes(mark!) || rest === ''))
    return refuse('An amount is a number, like 1250 or 1250.50.');
  const units = groups.join('') + (parts === 'thousands' ? rest : '');
  const small = parts === 'decimals' ? rest : '';
  if (small.length > decimals)
    return refuse(decimals === 0 ? 'This currency has no decimals.' : `At most ${decimals} decimals.`);
  if (units.length + decimals > mostFigures) return refuse('That is more than anybody pays.');
  return { ok: true, amount: Number(units + small.padEnd(decimals, '0')) };
}
