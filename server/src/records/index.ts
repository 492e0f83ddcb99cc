export * from './routes.ts';
export * from './store.ts';
