export * from './types.ts';
export * from './rank.ts';
export * from './bands.ts';
export { faults } from './data/faults.ts';
export { observations } from './data/observations.ts';

export * from './records.ts';
