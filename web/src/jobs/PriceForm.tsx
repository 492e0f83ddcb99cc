import { TextInput } from '@mantine/core';
import { typedMoney } from '@bay/core/money';
import { may } from '@bay/contract/rights';
import { useMe } from '../api/index.ts';
import { useCurrency } from '../money/index.ts';
import { useRecordForm, useRecords } from '../sheet/index.ts';
import { Form, money, MoneyInput, words } from '../ui/index.ts';

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
      against: known?.against ?? '',
    },
    sent: (v) => ({
      note: known?.note,
      ...(seesMoney ? { cost: money(v.cost, currency) } : {}),
      km: numberOf(v.km),
      days: numberOf(v.days),
      against: words(v.against),
    }),
  });
  return (
    <Form of={form} submit="Keep" variant="default" send={form.send} after={close} cancel={close}>
      {seesMoney && <MoneyInput label="Cost" currency={currency} autoFocus {...form.field('cost')} />}
      <TextInput label="It has run, km" inputMode="numeric" {...form.field('km')} />
      <TextInput label="Days until it is here" inputMode="numeric" {...form.field('days')} />
      <TextInput label="Not recommended, because" {...form.field('against')} />
    </Form>
  );
}
