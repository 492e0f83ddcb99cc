export * from './systems.ts';
export * from './fills.ts';
export * from './records.ts';
