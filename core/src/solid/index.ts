export * from './types.ts';
export { gapBetween, separate } from './separation.ts';
export type { Separation } from './separation.ts';
