import { Select, TextInput } from '@mantine/core';
import { partSupplies } from '@bay/core/fit';
import type { PartSupply } from '@bay/core/fit';
import { typedMoney } from '@bay/core/money';
import { may } from '@bay/contract/rights';
import { useMe } from '../api/index.ts';
import { useCurrency } from '../money/index.ts';
import { useRecordForm, useRecords } from '../sheet/index.ts';
import { DateField } from '../ui/DateField.tsx';
import { dayWords, Form, fromToday, money, MoneyInput, today, words } from '../ui/index.ts';

export const supplyWords: Readonly<Record<PartSupply, string>> = {
  good: 'Easy to get',
  scarce: 'Scarce',
  none: 'None any more',
};

/** How long it may still go back. */
export function ReturnDay({ by }: { by: string | undefined }) {
  if (by === undefined) return null;
  const gone = by < today();
  return (
    <p className={gone ? 'oxide' : 'ochre'}>
      {gone ? `Went past its day of return, ${dayWords(by)}` : `May go back until ${dayWords(by)}, ${fromToday(by)}`}
    </p>
  );
}

const numberOf = (typed: string): number | undefined => (typed.trim() === '' ? undefined : Number(typed.trim()));

/** What a candidate would cost, what is said of it, and why it is not recommended. */
export function PriceForm({ unitId, close }: { unitId: string; close: () => void }) {
  const currency = useCurrency();
  const seesMoney = may(useMe().data?.person?.role, 'see-money');
  const known = useRecords('candidate')[unitId];
  const form = useRecordForm({
    kind: 'candidate',
    key: unitId,
    initial: {
      cost: known?.cost === undefined ? '' : typedMoney(known.cost, currency),
      km: known?.km === undefined ? '' : String(known.km),
      days: known?.days === undefined ? '' : String(known.days),
      supply: known?.supply ?? '',
      returnBy: known?.returnBy ?? '',
      against: known?.against ?? '',
    },
    sent: (v) => ({
      note: known?.note,
      ...(seesMoney ? { cost: money(v.cost, currency) } : {}),
      km: numberOf(v.km),
      days: numberOf(v.days),
      supply: words(v.supply),
      returnBy: words(v.returnBy),
      against: words(v.against),
    }),
  });
  return (
    <Form of={form} submit="Keep" variant="default" send={form.send} after={close} cancel={close}>
      {seesMoney && <MoneyInput label="Cost" currency={currency} autoFocus {...form.field('cost')} />}
      <TextInput label="It has run, km" inputMode="numeric" {...form.field('km')} />
      <TextInput label="Days until it is here" inputMode="numeric" {...form.field('days')} />
      <Select
        label="Parts to be had"
        data={[
          { value: '', label: 'Not looked at' },
          ...partSupplies.map((value) => ({ value, label: supplyWords[value] })),
        ]}
        {...form.field('supply')}
      />
      <DateField label="May go back until" {...form.field('returnBy')} />
      <TextInput label="Not recommended, because" {...form.field('against')} />
    </Form>
  );
}
