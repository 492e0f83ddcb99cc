import { noCurrency } from '@bay/core/money';
import { useMe } from '../api/index.ts';

/** What the shop counts its money in (ISO 4217). */
export const useCurrency = (): string => useMe().data?.shop?.currency ?? noCurrency;
