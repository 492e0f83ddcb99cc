export * from './types.ts';
export * from './effects.ts';
export type * from './records.ts';
export { notASchool, schoolQuestions, schoolSides } from './data/schools.ts';
