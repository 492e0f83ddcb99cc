export { UnitForm } from './UnitForm.tsx';
