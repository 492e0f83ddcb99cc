export { Fluids } from './Fluids.tsx';
