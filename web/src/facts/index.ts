export { FactEditor, sourceWords } from './FactEditor.tsx';
export { usualBearer, useFactRow } from './useFact.ts';
export type { Bearer } from './useFact.ts';
