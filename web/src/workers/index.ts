export { Desk, GivenUp } from './desk.ts';
export { useWork } from './useWork.ts';
