export { PlaceOrderForm } from './PlaceOrderForm.tsx';
export type { ToOrder } from './PlaceOrderForm.tsx';
export { useSupplierByName, useSuppliers } from './useSuppliers.ts';
