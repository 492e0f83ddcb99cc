export { StepList } from './StepList.tsx';
