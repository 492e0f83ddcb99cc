export * from './stations.ts';
export * from './candidates.ts';
export * from './plan-input.ts';
export * from './units.ts';
export * from './steps.ts';
export * from './line-context.ts';
