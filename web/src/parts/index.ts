export { Bags } from './Bags.tsx';
export { LinkForm, Links } from './Links.tsx';
