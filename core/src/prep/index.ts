export * from './bolt-field.ts';
export * from './types.ts';
export * from './sheets.ts';
export * from './build-plan.ts';
export { buildSteps } from './data/build-up.ts';
export { measurementDefs } from './data/measurements.ts';
export { fates, findings, knockOnChains, variantFeatures, whileOut } from './data/inspection.ts';
export * from './records.ts';
export * from './undone.ts';
