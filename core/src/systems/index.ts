export * from './types.ts';
export * from './circuits.ts';
export { earths, ioSignals, labelColumns, usualCircuits } from './data/circuits.ts';
export { benchTests, fillSteps, heatMeans, practiceRules } from './data/practice.ts';
export * from './records.ts';
