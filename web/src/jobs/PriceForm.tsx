import { typedMoney } from '@bay/core/money';
import { useCurrency } from '../money/index.ts';
import { useRecordForm, useRecords } from '../sheet/index.ts';
import { Form, money, MoneyInput } from '../ui/index.ts';

/** What a candidate would cost. */
export function PriceForm({ unitId, close }: { unitId: string; close: () => void }) {
  const currency = useCurrency();
  const known = useRecords('candidate')[unitId];
  const form = useRecordForm({
    kind: 'candidate',
    key: unitId,
    initial: { cost: known?.cost === undefined ? '' : typedMoney(known.cost, currency) },
    sent: ({ cost }) => ({ note: known?.note, cost: money(cost, currency) }),
  });
  return (
    <Form of={form} submit="Keep" variant="default" send={form.send} after={close} cancel={close}>
      <MoneyInput label="Cost" currency={currency} autoFocus {...form.field('cost')} />
    </Form>
  );
}
