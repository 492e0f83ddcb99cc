export * from './stations.ts';
export * from './candidates.ts';
