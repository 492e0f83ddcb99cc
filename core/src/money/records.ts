import type { QuoteLineRecord } from './quote/types.ts';

export interface MoneyRecords {
  'quote-line': QuoteLineRecord;
}
