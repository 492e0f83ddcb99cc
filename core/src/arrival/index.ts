export * from './car-drawing.ts';
export * from './records.ts';
export * from './works.ts';
