export * from './takeover.ts';
export * from './records.ts';
