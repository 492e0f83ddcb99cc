export { JobSchools } from './JobSchools.tsx';
