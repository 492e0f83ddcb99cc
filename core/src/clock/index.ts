export * from './hours.ts';
