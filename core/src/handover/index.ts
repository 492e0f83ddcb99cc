export * from './takeover.ts';
export * from './records.ts';
export * from './before-after.ts';
export * from './runs.ts';
