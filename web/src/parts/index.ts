export { LinkForm, Links } from './Links.tsx';
