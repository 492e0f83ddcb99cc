export { Door } from './Door.tsx';
export { PickPerson, Tablet } from './Tablet.tsx';
export { SecondSignature } from './SecondSignature.tsx';
export type { HalfSigned } from './SecondSignature.tsx';
export { useWaiting, waitingQuery } from './useWaiting.ts';
