export * from './types.ts';
export { twoPeopleAt } from './two-people.ts';
export { twoPersonSteps } from './data/two-people.ts';
