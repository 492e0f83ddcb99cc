export { AsItCame } from './AsItCame.tsx';
export { SignHere } from './SignHere.tsx';
export { TakenIn } from './TakenIn.tsx';
export { Works } from './Works.tsx';
