export * from './types.ts';
export * from './touches.ts';
export * from './judge.ts';
export * from './candidates.ts';
export { clearanceOf, mountMaterials, withGaps } from './evidence.ts';
export type { Books } from '../rules/evidence.ts';
export { interfaces } from './data/interfaces.ts';
export { clearances } from './data/clearances.ts';
export * from './records.ts';
