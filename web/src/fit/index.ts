export { TriedBefore } from './trial/TriedRows.tsx';
