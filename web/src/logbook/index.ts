export { LogBar } from './LogBar.tsx';
export { Logbook } from './Logbook.tsx';
