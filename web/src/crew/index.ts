export { Door } from './Door.tsx';
export { Tablet, useCrew } from './Tablet.tsx';
export { useMe } from './useMe.ts';
