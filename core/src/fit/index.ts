export * from './types.ts';
export * from './judge.ts';
export { clearanceOf, mountMaterials } from './evidence.ts';
export type { Books } from './evidence.ts';
export { interfaces } from './data/interfaces.ts';
export { clearances } from './data/clearances.ts';
