export { AsItCame } from './AsItCame.tsx';
