export * from './records.ts';
