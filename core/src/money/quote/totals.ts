import { whole } from './draft.ts';

/** A line as it is offered: what it asks, before tax. */
export interface OfferedLine {
  id: string;
  amount: number;
  /** Percent. */
  tax: number;
  optional: boolean;
}

export interface Totals {
  /** Before tax. */
  net: number;
  /** Each rate with what it is on and what it comes to. */
  taxes: readonly { rate: number; on: number; amount: number }[];
  gross: number;
  deposit: number;
}

/**
 * What lines come to, in whole smallest units: the net is the sum of the lines, a tax is reckoned once on the sum of all lines of its
 * rate and rounded half up, and the gross is the net with the taxes. The deposit is its percentage of the gross, rounded the same.
 */
export function totalsOf(lines: readonly Pick<OfferedLine, 'amount' | 'tax'>[], depositPercent: number): Totals {
  const byRate = new Map<number, number>();
  for (const { amount, tax } of lines) byRate.set(tax, (byRate.get(tax) ?? 0) + amount);
  const taxes = [...byRate]
    .filter(([rate]) => rate > 0)
    .sort(([a], [b]) => a - b)
    .map(([rate, on]) => ({ rate, on, amount: whole((on * rate) / 100) }));
  const net = lines.reduce((sum, l) => sum + l.amount, 0);
  const gross = taxes.reduce((sum, t) => sum + t.amount, net);
  return { net, taxes, gross, deposit: whole((Math.max(0, gross) * depositPercent) / 100) };
}

/** The same without the lines to which somebody said no; what is not optional cannot be refused alone. */
export const acceptedLines = <L extends Pick<OfferedLine, 'id' | 'optional'>>(
  lines: readonly L[],
  declined: readonly string[],
): L[] => lines.filter((l) => !(l.optional && declined.includes(l.id)));
