export { SecondSignature } from './SecondSignature.tsx';
export type { HalfSigned } from './SecondSignature.tsx';
export { useWaiting, waitingQuery } from './useWaiting.ts';
