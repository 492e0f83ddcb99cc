export * from './car-drawing.ts';
export * from './lives.ts';
export * from './records.ts';
export * from './works.ts';
