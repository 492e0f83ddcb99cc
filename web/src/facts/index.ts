export { CountsFirst } from './CountsFirst.tsx';
export { FactEditor, sourceWords } from './FactEditor.tsx';
export { useIsThere, usePutFact, usualBearer, useFactRow } from './useFact.ts';
export type { Bearer } from './useFact.ts';
export { DatumDrawing } from './DatumDrawing.tsx';
export { StationsInput } from './StationsInput.tsx';
