export { History } from './History.tsx';
export { LogBar } from './LogBar.tsx';
export { Logbook } from './Logbook.tsx';
export { PhotoButton } from './PhotoButton.tsx';
export { PhotoPicker } from './PhotoPicker.tsx';
export { useWriteLine } from './useWriteLine.ts';
