export * from './types.ts';
export * from './circuits.ts';
export { usualAmpsWords, usualFuseWords, usualMm2Words, usualStart } from './usual.ts';
export { signalsFor, signalWords } from './signals.ts';
export type { WantedSignal } from './signals.ts';
export { ioSignals } from './data/signals.ts';
export { earths, labelColumns, usualCircuits } from './data/circuits.ts';
export { benchTests, fillSteps, heatMeans, practiceRules } from './data/practice.ts';
export * from './records.ts';
