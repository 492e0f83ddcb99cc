export * from './labels.ts';
export * from './types.ts';
export * from './view.ts';
