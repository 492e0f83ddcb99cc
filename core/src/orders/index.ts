export * from './types.ts';
export * from './standing.ts';
