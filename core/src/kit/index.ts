export * from './types.ts';
export * from './plan.ts';
export { kitLines } from './data/lines.ts';
export * from './records.ts';
export * from './consumables.ts';
export type { Consumable } from './data/consumables.ts';
