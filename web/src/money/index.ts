export { CurrencySelect } from './CurrencySelect.tsx';
export { ForeseenPanel } from './Foreseen.tsx';
export { ShopCurrency } from './ShopCurrency.tsx';
export { useCurrency } from './useCurrency.ts';
export { useShopTerms } from './useShopTerms.ts';
