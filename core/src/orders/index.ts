export * from './types.ts';
export * from './standing.ts';
export * from './supplier-list.ts';
