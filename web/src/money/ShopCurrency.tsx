import { useQueryClient } from '@tanstack/react-query';
import { setCurrency } from '@bay/contract/money';
import { command, keys } from '../api/index.ts';
import { Form, useForm } from '../ui/index.ts';
import { CurrencySelect } from './CurrencySelect.tsx';
import { useCurrency } from './useCurrency.ts';

/** What the shop counts its money in; stays once amounts are written. */
export function ShopCurrency() {
  const client = useQueryClient();
  const currency = useCurrency();
  const form = useForm({ initial: { currency }, command: setCurrency });
  return (
    <Form
      className="panel"
      of={form}
      submit="Count in this"
      variant="default"
      disabled={form.values.currency === currency}
      send={async (body) => {
        await command(setCurrency, { body }, { label: 'currency set', lasting: true });
        await client.invalidateQueries({ queryKey: keys.me });
      }}
    >
      <h2>Money</h2>
      <CurrencySelect label="The shop counts in" maw={420} {...form.field('currency')} />
      <p className="quiet">Once an amount is written the currency stays: no figure changes its worth.</p>
    </Form>
  );
}
