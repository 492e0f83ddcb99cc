import { z } from 'zod';
import { isCurrency } from '@bay/core/money';
import { command, endpoint } from './endpoint.ts';

/** An amount in the smallest unit of the shop's currency: 1250 is 12.50 where it has two decimals. */
export const amountOfMoney = z
  .number()
  .int('Money is written in the smallest unit of the currency: 1250 for 12.50.')
  .min(0, 'An amount is not below nothing.')
  .max(1e12, 'That is more than anybody pays.');

export const currency = z.string().refine(isCurrency, 'A currency is a code of three letters, like EUR.');

export const setCurrency = endpoint({
  method: 'put',
  path: '/api/shop/currency',
  summary: 'What the shop counts its money in; stays as it is once amounts are written',
  access: 'manage',
  body: z.object({ ...command, currency }),
  reply: z.object({ currency }),
});
