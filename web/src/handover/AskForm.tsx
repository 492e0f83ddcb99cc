import { Select, TextInput } from '@mantine/core';
import { noCurrency } from '@bay/core/money';
import type { askSorts } from '@bay/core/logbook';
import { may } from '@bay/contract/rights';
import { useCrew, useMe } from '../api/index.ts';
import { useRecordForm } from '../sheet/index.ts';
import { FormDialog, money, MoneyInput } from '../ui/index.ts';

const sorts: Record<(typeof askSorts)[number], string> = {
  question: 'A question',
  reading: 'A reading',
  approval: 'An approval',
  signature: 'A signature',
};

/** Asks one person of the shop, the manager, or the customer; it waits for them until they answer. */
export function AskForm({ close }: { close: () => void }) {
  const me = useMe().data;
  const role = me?.person?.role;
  const currency = me?.shop?.currency ?? noCurrency;
  const crew = useCrew().data?.crew ?? [];
  const form = useRecordForm({
    kind: 'ask',
    initial: { ask: 'question', to: 'manager', what: '', amount: '' },
    sent: ({ amount, ...v }) => ({
      ...v,
      ...(v.ask === 'approval' ? { amount: money(amount, currency) } : {}),
    }),
  });
  return (
    <FormDialog title="Ask somebody" submit="Ask" of={form} send={form.send} close={close}>
      <Select
        label="What is asked"
        data={Object.entries(sorts).map(([value, label]) => ({ value, label }))}
        {...form.field('ask')}
      />
      <Select
        label="Of whom"
        data={[
          { value: 'manager', label: 'The manager' },
          ...(may(role, 'share-with-customer') ? [{ value: 'customer', label: 'The customer, by their link' }] : []),
          ...crew.filter((p) => p.role !== 'onlooker').map((p) => ({ value: p.id, label: p.name })),
        ]}
        {...form.field('to')}
      />
      <TextInput label="In words" data-autofocus {...form.field('what')} />
      {may(role, 'see-money') && form.values.ask === 'approval' && (
        <MoneyInput label="Amount" currency={currency} {...form.field('amount')} />
      )}
    </FormDialog>
  );
}
