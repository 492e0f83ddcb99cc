export * from './Because.tsx';
export * from './Empty.tsx';
export * from './Loading.tsx';
export * from './MeasuredInput.tsx';
export * from './StationLine.tsx';
export * from './Sum.tsx';
export * from './VerdictMark.tsx';
export * from './dates.ts';
