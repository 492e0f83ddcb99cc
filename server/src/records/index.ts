export * from './kind.ts';
export * from './routes.ts';
export * from './shown.ts';
export * from './store.ts';
