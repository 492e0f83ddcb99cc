export * from './types.ts';
export * from './pairs.ts';
export * from './scene-of-job.ts';
export * from './say.ts';
export * from './views.ts';
export * from './ways-out.ts';
export * from './exports.ts';
export * from './own.ts';
