export { AsItCame } from './AsItCame.tsx';
export { TakenIn } from './TakenIn.tsx';
export { Works } from './Works.tsx';
