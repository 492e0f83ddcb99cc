export * from './kinds.ts';
export * from './days.ts';
export * from './words.ts';
export * from './grammar.ts';
export * from './suggest.ts';
export type { LineContext, LogEntryDraft, Piece } from './shapes.ts';
export * from './records.ts';
