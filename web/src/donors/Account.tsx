import { Select, TextInput } from '@mantine/core';
import { lazy, Suspense } from 'react';
import { donorAccount, donorEntrySorts, donorEntryWords } from '@bay/core/donors';
import type { PartRecord } from '@bay/core/parts';
import { moneyFigures, noCurrency, showMoney } from '@bay/core/money';
import { may } from '@bay/contract/rights';
import { counted } from '@bay/core/units';
import { useMe } from '../api/index.ts';
import { useCurrency } from '../money/index.ts';
import { useJob, useRecordForm, useRecords } from '../sheet/index.ts';
import { DateField } from '../ui/DateField.tsx';
import { dayWords, Form, money, MoneyInput, today, words } from '../ui/index.ts';

const BreakEven = lazy(() => import('./BreakEven.tsx'));

/** Parts that earned and do not stand in the account yet: sold ones, or those that went into a job. */
function useEarners(sort: string) {
  const parts = useRecords('part');
  const written = new Set(Object.values(useRecords('donor-entry')).flatMap((e) => e.partKey ?? []));
  const earns = (p: PartRecord): boolean =>
    sort === 'sold' ? p.fate === 'sold' : sort === 'issued' && (p.forJob !== undefined || p.fate === 'fitted');
  return Object.entries(parts)
    .filter(([key, p]) => !written.has(key) && earns(p))
    .map(([value, p]) => ({ value, label: p.label ? `${p.label}, ${p.title}` : p.title }));
}

function EntryForm() {
  const currency = useCurrency();
  const parts = useRecords('part');
  const form = useRecordForm({
    kind: 'donor-entry',
    initial: { sort: 'sold', what: '', on: today(), amount: '', partKey: '' },
    sent: (v) => ({
      sort: v.sort,
      what: v.partKey === '' ? v.what : parts[v.partKey]!.title,
      on: words(v.on),
      amount: money(v.amount, currency),
      partKey: words(v.partKey),
    }),
    names: { 'data.partKey': 'partKey' },
  });
  const earners = useEarners(form.values.sort);
  return (
    <Form of={form} submit="Write it to the account" variant="default" send={form.send} after={form.startAnew}>
      <div className="fields">
        <Select
          label="What it is"
          data={donorEntrySorts.map((value) => ({ value, label: donorEntryWords[value] }))}
          allowDeselect={false}
          {...form.field('sort')}
        />
        {earners.length > 0 && (
          <Select
            label="Which part"
            data={[{ value: '', label: 'something else' }, ...earners]}
            allowDeselect={false}
            {...form.field('partKey')}
          />
        )}
        {form.values.partKey === '' && (
          <TextInput label="For what" placeholder="gearbox to a breaker" {...form.field('what')} />
        )}
        <DateField label="On" past {...form.field('on')} />
        <MoneyInput label="Amount" currency={currency} {...form.field('amount')} />
      </div>
    </Form>
  );
}

/** What the donor cost against what it brought back, step by step, for those who see money. */
export function Account() {
  const { mayWrite } = useJob();
  const currency = useCurrency();
  const sees = may(useMe().data?.person?.role, 'see-money');
  const account = donorAccount(Object.values(useRecords('donor-entry')));
  if (!sees) return null;
  const { steps, spent, back, evenOn, unknown } = account;
  const left = back - spent;
  const said =
    steps.length === 0
      ? 'Nothing is written yet.'
      : `${showMoney(spent, currency)} spent, ${showMoney(back, currency)} back: ${
          left >= 0 ? `${showMoney(left, currency)} over` : `${showMoney(-left, currency)} still out`
        }${evenOn ? `, even since ${dayWords(evenOn)}` : ''}${unknown > 0 ? `; ${counted(unknown, 'entry has', 'entries have')} no amount` : ''}.`;
  return (
    <section className="panel" aria-label="Account of the donor">
      <h3>What it cost, what it brought back</h3>
      <p className="quiet">{said}</p>
      {steps.length > 1 && (
        <Suspense fallback={<div className="loading-figure" />}>
          <BreakEven steps={steps} currency={currency} />
        </Suspense>
      )}
      {steps.length > 0 && (
        <div className="scroll-x">
          <table className="data">
            <thead>
              <tr>
                <th>On</th>
                <th>What</th>
                <th className="num">{currency === noCurrency ? 'Amount' : `Amount, ${currency}`}</th>
                <th className="num">Stands at</th>
              </tr>
            </thead>
            <tbody>
              {steps.map((s, i) => (
                <tr key={i}>
                  <td>{dayWords(s.on)}</td>
                  <td>
                    {donorEntryWords[s.sort]}: {s.what}
                  </td>
                  <td className="num">
                    {s.amount < 0 ? '− ' : ''}
                    {moneyFigures(Math.abs(s.amount), currency)}
                  </td>
                  <td className={`num ${s.stands < 0 ? 'oxide' : 'teal'}`}>
                    {s.stands < 0 ? '− ' : ''}
                    {moneyFigures(Math.abs(s.stands), currency)}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      {mayWrite && <EntryForm />}
    </section>
  );
}
