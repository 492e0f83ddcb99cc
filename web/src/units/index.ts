export { UnitForm } from './UnitForm.tsx';
export { JobUnits } from './JobUnits.tsx';
