export * from './types.ts';
export * from './catalogue.ts';
export * from './entry.ts';
export * from './when.ts';
export * from './words.ts';
export { factSources, sameFact } from '../rules/book.ts';
export type { FactBook, FactSource, FactValue } from '../rules/book.ts';
