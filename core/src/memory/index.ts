export * from './own.ts';
export * from './pairings.ts';
export * from './records.ts';
export * from './rules.ts';
