export * from './amount.ts';
export * from './quote/types.ts';
export * from './quote/draft.ts';
export * from './quote/totals.ts';
export * from './quote/risk.ts';
export * from './quote/offer.ts';
export type * from './records.ts';
export * from './quote/foreseen.ts';
