export * from './car-drawing.ts';
export * from './records.ts';
