export * from './amount.ts';
