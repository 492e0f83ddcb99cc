export * from './types.ts';
export * from './harvest.ts';
export { harvestParts, labelRules } from './data/harvest.ts';
export { donorMoneyRules } from './data/money.ts';
export * from './account.ts';
export * from './records.ts';
export * from './shell.ts';
export * from './proof.ts';
export { kitFilledBy, kitOfDonors } from './wanted.ts';
