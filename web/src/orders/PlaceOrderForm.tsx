import { Autocomplete, Checkbox, Select, TextInput } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { orderSorts } from '@bay/core/orders';
import { placeOrder } from '@bay/contract/orders';
import { may } from '@bay/contract/rights';
import { command, keys, newId, useMe } from '../api/index.ts';
import { counting } from './counting.ts';
import { useSupplierByName, useSuppliers } from './useSuppliers.ts';
import { useCurrency } from '../money/index.ts';
import { DateField } from '../ui/DateField.tsx';
import { FormDialog, money, MoneyInput, today, useForm, words } from '../ui/index.ts';

/** Something that is to be ordered for a job. */
export interface ToOrder {
  jobId: string;
  kitId?: string;
  title: string;
  options: string;
  /** What is open about it; it goes out all the same only for a reason. */
  stops: readonly string[];
}

export interface StepChoice {
  value: string;
  label: string;
}

const sortWords = {
  goods: 'Goods',
  'outside-work': 'Work that goes out and comes back',
  borrowed: 'A tool, borrowed or hired',
} as const;

const replaced = (all: readonly string[], at: number, by: string): string[] =>
  all.map((one, i) => (i === at ? by : one));

/** An order of one or several things; each may be waited for by a step, which is held until it came. */
export function PlaceOrderForm({
  lines,
  steps,
  unnamed = false,
  close,
}: {
  lines: readonly ToOrder[];
  /** One thing that no kit asks for, most often a tool that is borrowed: it is named here. */
  unnamed?: boolean;
  /** Steps of the job that may wait for it. */
  steps: readonly StepChoice[];
  close: () => void;
}) {
  const client = useQueryClient();
  const currency = useCurrency();
  const seesMoney = may(useMe().data?.person?.role, 'see-money');
  const suppliers = useSuppliers() ?? [];
  const supplierByName = useSupplierByName();
  // The same for every try: an order whose answer was lost is not there twice.
  const [ids] = useState(() => ({ order: newId(), lines: lines.map(newId) }));
  const [supplier, setSupplier] = useState('');
  const [noSupplier, setNoSupplier] = useState(false);
  const stopped = lines.filter((l) => l.stops.length > 0);
  const form = useForm({
    draft: `order:${lines.map((l) => l.kitId ?? l.title).join()}`,
    initial: {
      sort: unnamed ? 'borrowed' : 'goods',
      title: '',
      orderedOn: today(),
      promisedOn: '',
      reference: '',
      step: '',
      despite: '',
      counts: lines.map(() => '1'),
      prices: lines.map(() => ''),
      freight: '',
      owes: false,
      owedBy: '',
      deposits: lines.map(() => ''),
    },
    command: placeOrder,
    names: { 'lines.0.owedBy': 'owedBy', 'lines.0.title': 'title', 'lines.0.count': 'counts' },
    sent: (v) => ({
      id: ids.order,
      sort: v.sort,
      // It is found or made by its name when the order is sent.
      supplierId: ids.order,
      orderedOn: v.orderedOn,
      promisedOn: words(v.promisedOn),
      reference: v.reference.trim(),
      ...(seesMoney ? { freight: money(v.freight, currency) } : {}),
      lines: lines.map((l, i) => ({
        id: ids.lines[i]!,
        jobId: l.jobId,
        kitId: l.kitId,
        title: unnamed ? v.title.trim() : l.title,
        options: l.options.slice(0, 300),
        count: counting(v.counts[i]!),
        step: words(v.step),
        ...(l.stops.length > 0 ? { despite: words(v.despite) } : {}),
        ...(v.owes || v.sort === 'borrowed' ? { owes: true, owedBy: words(v.owedBy) } : {}),
        ...(seesMoney
          ? {
              price: money(v.prices[i]!, currency),
              ...(v.owes || v.sort === 'borrowed' ? { deposit: money(v.deposits[i]!, currency) } : {}),
            }
          : {}),
      })),
    }),
  });
  const owing = form.values.owes || form.values.sort === 'borrowed';
  const needsReason = stopped.length > 0 && form.values.despite.trim().length < 10;
  return (
    <FormDialog
      title={
        unnamed
          ? 'Order or borrow something else'
          : lines.length === 1
            ? `Order: ${lines[0]!.title}`
            : `Order ${lines.length} lines`
      }
      submit={form.values.sort === 'borrowed' ? 'It is borrowed' : 'It is ordered'}
      size="lg"
      of={form}
      close={close}
      disabled={needsReason}
      send={async (body) => {
        const supplierId = await supplierByName.mutateAsync(supplier);
        setNoSupplier(supplierId === undefined);
        if (supplierId === undefined) throw new Error('Say from whom it comes.');
        await command(placeOrder, { body: { ...body, supplierId } }, { label: 'order written' });
        await client.invalidateQueries({ queryKey: keys.orders() });
      }}
    >
      {unnamed && <TextInput label="What it is called" data-autofocus {...form.field('title')} />}
      <div className="fields">
        <Autocomplete
          size="md"
          label="From"
          data={suppliers.map((s) => s.name)}
          value={supplier}
          onChange={setSupplier}
          error={noSupplier && supplier.trim() === '' ? 'Say from whom it comes.' : undefined}
        />
        <Select
          label="What it is"
          data={orderSorts.map((value) => ({ value, label: sortWords[value] }))}
          allowDeselect={false}
          {...form.field('sort')}
        />
        <TextInput label="Their number for it" {...form.field('reference')} />
        <DateField label="Ordered on" past {...form.field('orderedOn')} />
        <DateField label="Promised for" {...form.field('promisedOn')} />
        {steps.length > 0 && (
          <Select
            label="A step that waits for it"
            searchable
            clearable
            data={[...steps]}
            value={form.values.step === '' ? null : form.values.step}
            onChange={(step) => form.set({ step: step ?? '' })}
          />
        )}
        {owing && <DateField label="Goes back by" {...form.field('owedBy')} />}
        {seesMoney && <MoneyInput label="Freight" currency={currency} {...form.field('freight')} />}
      </div>
      {lines.map((l, i) => (
        <div key={l.kitId ?? l.title} className="fields">
          <p style={{ gridColumn: '1 / -1', margin: '8px 0 0' }}>
            {unnamed ? null : <b>{l.title}</b>} <span className="quiet">{l.options}</span>
            {l.stops.length > 0 && <span className="oxide"> Open: {l.stops.join('; ')}.</span>}
          </p>
          <TextInput
            label={lines.length === 1 ? 'How many' : `How many: ${l.title}`}
            inputMode="numeric"
            value={form.values.counts[i]}
            error={i === 0 ? form.field('counts').error : undefined}
            onChange={(e) => form.set({ counts: replaced(form.values.counts, i, e.currentTarget.value) })}
          />
          {seesMoney && (
            <MoneyInput
              label={lines.length === 1 ? 'Each' : `Each: ${l.title}`}
              currency={currency}
              value={form.values.prices[i]!}
              onChange={(next) =>
                form.set({
                  prices: replaced(
                    form.values.prices,
                    i,
                    (next as React.ChangeEvent<HTMLInputElement>).currentTarget.value,
                  ),
                })
              }
            />
          )}
          {seesMoney && owing && (
            <MoneyInput
              label={lines.length === 1 ? 'Deposit for each' : `Deposit for each: ${l.title}`}
              currency={currency}
              value={form.values.deposits[i]!}
              onChange={(next) =>
                form.set({
                  deposits: replaced(
                    form.values.deposits,
                    i,
                    (next as React.ChangeEvent<HTMLInputElement>).currentTarget.value,
                  ),
                })
              }
            />
          )}
        </div>
      ))}
      {form.values.sort === 'goods' && (
        <Checkbox
          mt="sm"
          label="The old part goes back against a deposit"
          checked={form.values.owes}
          onChange={(e) => form.set({ owes: e.currentTarget.checked })}
        />
      )}
      {stopped.length > 0 && (
        <TextInput label="Why it is ordered although something is open" {...form.field('despite')} />
      )}
    </FormDialog>
  );
}
