export { Pairings } from './Pairings.tsx';
