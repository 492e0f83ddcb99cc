export * from './types.ts';
export * from './catalogue.ts';
export * from './entry.ts';
export * from './when.ts';
export * from './words.ts';
export * from './inferred.ts';
export { factSources, sameFact, typedSources } from '../rules/book.ts';
export type { FactBook, FactSource, FactValue } from '../rules/book.ts';
