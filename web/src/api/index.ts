export * from './client.ts';
export * from './live.ts';
