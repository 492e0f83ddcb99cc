export { Diagnosis } from './Diagnosis.tsx';
