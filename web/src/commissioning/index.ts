export { GateView } from './GateView.tsx';
