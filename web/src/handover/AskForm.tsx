import { Select, TextInput } from '@mantine/core';
import { noCurrency } from '@bay/core/money';
import type { askSorts } from '@bay/core/logbook';
import { may } from '@bay/contract/rights';
import { useCrew, useMe } from '../api/index.ts';
import { PhotoPicker } from '../logbook/index.ts';
import { useOpenSteps, useRecordForm } from '../sheet/index.ts';
import { FormDialog, money, MoneyInput, Several, words } from '../ui/index.ts';

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
    initial: {
      ask: 'question',
      to: 'manager',
      what: '',
      amount: '',
      tax: '',
      why: '',
      otherwise: '',
      holds: [] as string[],
      photos: [] as string[],
    },
    sent: ({ ask, to, what, ...v }) => ({
      ask,
      to,
      what,
      ...(ask === 'approval'
        ? {
            amount: money(v.amount, currency),
            tax: v.tax.trim() === '' ? undefined : Number(v.tax.replace(',', '.')),
            why: words(v.why),
            otherwise: words(v.otherwise),
            holds: v.holds.length > 0 ? v.holds : undefined,
            photoId: v.photos[0],
          }
        : {}),
    }),
    names: { photoId: 'photos' },
  });
  const approval = form.values.ask === 'approval';
  const open = useOpenSteps(approval);
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
      {approval && (
        <>
          {may(role, 'see-money') && (
            <div className="fields">
              <MoneyInput label="Amount, before tax" currency={currency} {...form.field('amount')} />
              <TextInput label="Tax, % (blank: as usual)" inputMode="decimal" {...form.field('tax')} />
            </div>
          )}
          <TextInput label="Why it is wanted" {...form.field('why')} />
          <TextInput label="What happens without it" {...form.field('otherwise')} />
          <Several label="Steps that wait for the yes" data={open} {...form.field('holds')} />
          <PhotoPicker about="" chosen={form.values.photos} set={(photos) => form.set({ photos: photos.slice(-1) })} />
        </>
      )}
    </FormDialog>
  );
}
