export * from './types.ts';
export * from './catalogue.ts';
export * from './entry.ts';
