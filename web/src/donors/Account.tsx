import { Select, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useState } from 'react';
import { donorAccount, donorEntrySorts, donorEntryWords, partsOfEntry } from '@bay/core/donors';
import type { DonorTermsRecord } from '@bay/core/donors';
import type { PartRecord } from '@bay/core/parts';
import { moneyFigures, noCurrency, showMoney, typedMoney } from '@bay/core/money';
import { hoursOf } from '@bay/core/clock';
import { readClocks } from '@bay/contract/clock';
import { may } from '@bay/contract/rights';
import { counted } from '@bay/core/units';
import { call, keys, nowIso, useMe } from '../api/index.ts';
import { useCurrency, useShopTerms } from '../money/index.ts';
import { useJob, useRecordForm, useRecords } from '../sheet/index.ts';
import { DateField } from '../ui/DateField.tsx';
import { dayWords, Form, FormDialog, money, MoneyInput, today, words } from '../ui/index.ts';
import { UnsoldParts } from './Unsold.tsx';

const BreakEven = lazy(() => import('./BreakEven.tsx'));

/** Parts that earned and do not stand in the account yet: sold ones, or those that went into a job. */
function useEarners(sort: string) {
  const parts = useRecords('part');
  const written = new Set(Object.values(useRecords('donor-entry')).flatMap(partsOfEntry));
  const earns = (p: PartRecord): boolean =>
    sort === 'sold'
      ? p.fate === 'sold'
      : sort === 'core'
        ? p.fate === 'sent-back'
        : sort === 'issued' && (p.forJob !== undefined || p.fate === 'fitted');
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

/** Hours that were clocked at the donor, by the day on which each clock began. */
function useDonorWork(sees: boolean) {
  const jobId = useJob().sheet.job.id;
  const { hourCost } = useShopTerms(sees);
  const clocks = useQuery({
    queryKey: keys.clocks(jobId),
    queryFn: () => call(readClocks, { params: { jobId } }),
    enabled: sees,
  });
  const now = nowIso();
  const hours = (clocks.data?.clocks ?? [])
    .filter((c) => c.station === 'donor' && c.work !== 'waiting')
    .map((c) => ({ on: c.startedAt.slice(0, 10), hours: hoursOf(c, now) }));
  return { hours, hourCost };
}

/** What a donor costs a day while it stands. */
export function StandingForm({ now, close }: { now: DonorTermsRecord | undefined; close: () => void }) {
  const currency = useCurrency();
  const form = useRecordForm({
    kind: 'donor-terms',
    key: 'donor',
    initial: { aDay: now?.aDay === undefined ? '' : typedMoney(now.aDay, currency), from: now?.from ?? today() },
    sent: (v) => ({ aDay: money(v.aDay, currency), from: v.from }),
  });
  return (
    <FormDialog title="What it costs to stand" submit="Keep" of={form} send={form.send} close={close}>
      <div className="fields">
        <MoneyInput label="A day" currency={currency} autoFocus {...form.field('aDay')} />
        <DateField label="From" past {...form.field('from')} />
      </div>
      <p className="quiet">It counts until today, or until the shell went.</p>
    </FormDialog>
  );
}

/** What the donor cost against what it brought back, step by step, for those who see money. */
export function Account() {
  const { mayWrite } = useJob();
  const currency = useCurrency();
  const sees = may(useMe().data?.person?.role, 'see-money');
  const entries = Object.values(useRecords('donor-entry'));
  const purchase = useRecords('purchase')['donor'];
  const terms = useRecords('donor-terms')['donor'];
  const shellGone = useRecords('shell')['donor']?.on;
  const work = useDonorWork(sees);
  const [standing, setStanding] = useState(false);
  if (!sees) return null;
  const account = donorAccount({ entries, purchase, terms, shellGone, work, today: today() });
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
      <div className="bench-head">
        <h3>What it cost, what it brought back</h3>
        {mayWrite && (
          <span className="right no-print">
            <button type="button" className="plain-button small" onClick={() => setStanding(true)}>
              {terms?.aDay === undefined
                ? 'What it costs to stand'
                : `Stands at ${showMoney(terms.aDay, currency)} a day`}
            </button>
          </span>
        )}
      </div>
      <p className="quiet">{said}</p>
      {steps.length > 1 && (
        <Suspense fallback={<div className="loading-figure" />}>
          <BreakEven steps={steps} currency={currency} />
        </Suspense>
      )}
      {steps.length > 0 && (
        // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex -- what scrolls must be reachable by keyboard
        <div className="scroll-x" tabIndex={0} role="region" aria-label="Entries of the account">
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
      <UnsoldParts stands={left} />
      {mayWrite && <EntryForm />}
      {standing && <StandingForm now={terms} close={() => setStanding(false)} />}
    </section>
  );
}
