export { BagForm, Bags, BagsAt } from './Bags.tsx';
export { LinkForm, Links } from './Links.tsx';
