export * from './plan.ts';
export * from './input.ts';
export * from './steps.ts';
export * from './task-door.ts';
export * from './line-context.ts';
export * from './takeover.ts';
export * from './title.ts';
export * from './content-check.ts';
