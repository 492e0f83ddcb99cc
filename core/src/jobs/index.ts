export * from './stations.ts';
export * from './units.ts';
export * from './work-step.ts';
export * from './choosing.ts';
