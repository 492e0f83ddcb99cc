export * from './types.ts';
export * from './gates.ts';
export { gateLines } from './data/gates.ts';
export { followUpDefs, heatCycles, primingWays, roadTest, startSequence, warmUpWatch } from './data/start.ts';
export * from './provisional.ts';
export { provisionalKinds, provisionalSources } from './data/provisional.ts';
export * from './records.ts';
export * from './proof.ts';
export * from './approvals.ts';
