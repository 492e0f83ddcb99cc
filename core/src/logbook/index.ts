export * from './grammar.ts';
