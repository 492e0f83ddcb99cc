export * from './takeover.ts';
