export { CurrencySelect } from './CurrencySelect.tsx';
export { ShopCurrency } from './ShopCurrency.tsx';
export { useCurrency } from './useCurrency.ts';
export { useShopTerms } from './useShopTerms.ts';
