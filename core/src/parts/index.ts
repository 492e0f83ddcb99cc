export * from './records.ts';
export * from './labels.ts';
