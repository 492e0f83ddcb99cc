export { LiftPanel } from './LiftPanel.tsx';
export { StepList } from './StepList.tsx';
