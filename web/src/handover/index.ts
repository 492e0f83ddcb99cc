export { Runs } from './Runs.tsx';
