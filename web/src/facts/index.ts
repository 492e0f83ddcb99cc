export { FactEditor, sourceWords } from './FactEditor.tsx';
export { usePutFact, usualBearer, useFactRow } from './useFact.ts';
export type { Bearer } from './useFact.ts';
