export { ClockForm } from './ClockForm.tsx';
export { Running, useTick } from './Running.tsx';
export { useClock } from './useClock.ts';
