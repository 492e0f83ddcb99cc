export * from './types.ts';
export * from './plan.ts';
export { pullSteps } from './data/steps.ts';
export { workStates } from './data/states.ts';
export * from './records.ts';
