export * from './records.ts';
export * from './labels.ts';
export * from './links.ts';
export * from './returns.ts';
export { returnDefs } from './data/returns.ts';
export type { ReturnDef } from './data/returns.ts';
export * from './label-list.ts';
export * from './bags.ts';
export * from './store-map.ts';
