export * from './hours.ts';
export * from './estimate.ts';
export type * from './types.ts';
export * from './history.ts';
export * from './workdays.ts';
