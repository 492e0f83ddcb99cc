export * from './fasteners.ts';
export * from './electric.ts';
export * from './driveline.ts';
export * from './engine.ts';
export * from './fluids.ts';
export * from './belts-and-slings.ts';
export * from './identity.ts';
export * from './limits.ts';
