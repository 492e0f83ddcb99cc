export * from './Board.tsx';
