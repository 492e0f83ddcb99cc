import { NumberInput } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { noCurrency, typedMoney } from '@bay/core/money';
import type { Terms } from '@bay/core/money';
import { setTerms } from '@bay/contract/money';
import { command, keys } from '../../api/index.ts';
import { FormDialog, money, MoneyInput, useForm } from '../../ui/index.ts';
import { useCurrency } from '../useCurrency.ts';

const percents = [
  ['markup', 'On parts and outside work, %'],
  ['sundries', 'Small things, % of parts'],
  ['tax', 'Tax, %'],
  ['deposit', 'Deposit, %'],
] as const;

/** What the shop counts its quotes with. */
export function TermsForm({ terms, revision, close }: { terms: Terms; revision: number; close: () => void }) {
  const client = useQueryClient();
  const currency = useCurrency();
  const typed = (amount: number | undefined): string => (amount === undefined ? '' : typedMoney(amount, currency));
  const form = useForm({
    draft: 'shop:terms',
    since: revision,
    initial: {
      hourRate: typed(terms.hourRate),
      hourCost: typed(terms.hourCost),
      priceUnit: typed(terms.priceUnit),
      markup: terms.markup,
      sundries: terms.sundries,
      tax: terms.tax,
      deposit: terms.deposit,
      validDays: terms.validDays,
    },
    command: setTerms,
    names: {
      'terms.hourRate': 'hourRate',
      'terms.hourCost': 'hourCost',
      'terms.priceUnit': 'priceUnit',
      'terms.markup': 'markup',
      'terms.sundries': 'sundries',
      'terms.tax': 'tax',
      'terms.deposit': 'deposit',
      'terms.validDays': 'validDays',
    },
    sent: (v) => ({
      revision,
      terms: {
        ...v,
        hourRate: money(v.hourRate, currency) ?? null,
        hourCost: money(v.hourCost, currency) ?? null,
        priceUnit: money(v.priceUnit, currency) ?? null,
      },
    }),
  });
  return (
    <FormDialog
      title="What the shop counts with"
      submit="Count with this"
      of={form}
      close={close}
      send={async (body) => {
        await command(setTerms, { body }, { label: 'terms of the shop set', lasting: true });
        await client.invalidateQueries({ queryKey: keys.terms });
      }}
    >
      <p className="quiet">
        For every job from now on; quotes that were made stay as they are.
        {currency === noCurrency && ' The shop has no currency yet: plain numbers are counted (Crew, Money).'}
      </p>
      <div className="fields">
        <MoneyInput label="An hour is charged at" currency={currency} {...form.field('hourRate')} />
        <MoneyInput label="That hour costs the shop" currency={currency} {...form.field('hourCost')} />
        <MoneyInput label="A unit of the price lists is worth" currency={currency} {...form.field('priceUnit')} />
        {percents.map(([name, label]) => (
          <NumberInput key={name} label={label} min={0} max={100} {...form.field(name)} />
        ))}
        <NumberInput label="A quote is good for, days" min={1} max={365} {...form.field('validDays')} />
      </div>
      <p className="quiet">
        Prices of parts that nobody asked for yet are estimates in units of the price lists (common practice, no
        source). What one is worth here turns them into money.
      </p>
    </FormDialog>
  );
}
