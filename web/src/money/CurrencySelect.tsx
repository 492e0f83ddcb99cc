import { Select } from '@mantine/core';
import { currencies, noCurrency } from '@bay/core/money';

const names = new Intl.DisplayNames('en', { type: 'currency' });
const choices = [
  ...currencies.map((code) => ({ value: code, label: `${code}, ${names.of(code) ?? code}` })),
  { value: noCurrency, label: 'Plain numbers, no currency' },
];

/** Which currency, found by its code or its name. */
export function CurrencySelect(
  props: Omit<React.ComponentProps<typeof Select<string>>, 'data' | 'searchable'> & { label: string },
) {
  return <Select searchable data={choices} {...props} />;
}
