export { Door } from './Door.tsx';
export { Tablet, useCrew } from './Tablet.tsx';
export { recall, useMe } from './useMe.ts';
export * from './SecondSignature.tsx';
