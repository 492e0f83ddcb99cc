export * from './units.ts';
export * from './counted.ts';
export * from './parse.ts';
export * from './format.ts';
