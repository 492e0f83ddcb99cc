export * from './types.ts';
export * from './plan.ts';
export * from './step-states.ts';
export { pullSteps } from './data/steps.ts';
export { wayChoices } from './data/ways.ts';
export { workStates } from './data/states.ts';
export * from './records.ts';
export * from './lift.ts';
