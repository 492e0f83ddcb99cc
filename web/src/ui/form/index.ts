export * from './Dialog.tsx';
export { dropAllDrafts, dropDraft, keepDraft, readDraft } from './drafts.ts';
export * from './Form.tsx';
export { measured, useForm, words } from './useForm.ts';
export type { Form as FormState, Typed } from './useForm.ts';
