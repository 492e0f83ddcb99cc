export * from './ConflictDialog.tsx';
export * from './TwoVersions.tsx';
export * from './data-words.ts';
export * from './progress.ts';
export * from './useJob.ts';
export * from './useRecordForm.ts';
export { useOpenSteps } from './useOpenSteps.ts';
