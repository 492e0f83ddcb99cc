export * from './own.ts';
export * from './records.ts';
export * from './rules.ts';
