export * from './client.ts';
export * from './command.ts';
export * from './done.ts';
export * from './live.ts';
export * from './now.ts';
export * from './outbox.ts';
export * from './undo.ts';
export * from './keys.ts';
