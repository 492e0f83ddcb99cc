import { Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import {
  heardStates,
  heardWords,
  mileageFrom,
  mileageFromWords,
  purchaseOf,
  purchaseSources,
  purchaseSourceWords,
} from '@bay/core/donors';
import type { PurchaseRecord } from '@bay/core/donors';
import { showMoney, typedMoney } from '@bay/core/money';
import { capital } from '@bay/core/units';
import { useCurrency } from '../money/index.ts';
import { useJob, usePut, useRecordForm } from '../sheet/index.ts';
import { DateField } from '../ui/DateField.tsx';
import {
  dayWords,
  FormDialog,
  fromToday,
  measured,
  MeasuredInput,
  money,
  MoneyInput,
  today,
  Trouble,
  words,
} from '../ui/index.ts';

type Of = (typeof purchaseOf)[number];
const options = <T extends string>(of: readonly T[], said: Readonly<Record<T, string>>) =>
  of.map((value) => ({ value, label: said[value] }));

/** Purchases of the donor and of the units that came from it: those of a donor car stand on the job, the others go with their unit. */
export function usePurchases(): [Of, PurchaseRecord][] {
  const { sheet } = useJob();
  return sheet.records.flatMap((r) => (r.kind === 'purchase' ? [[r.data.of, r.data] as [Of, PurchaseRecord]] : []));
}

export function PurchaseForm({ of, close }: { of: Of; close: () => void }) {
  const now = usePurchases().find(([what]) => what === of)?.[1];
  const currency = useCurrency();
  const form = useRecordForm({
    kind: 'purchase',
    key: of,
    initial: {
      seller: now?.seller ?? '',
      source: now?.source ?? 'used',
      on: now?.on ?? today(),
      price: now?.price === undefined ? '' : typedMoney(now.price, currency),
      papers: now?.papers ?? '',
      odometer: now?.odometerTyped ?? '',
      odometerFrom: now?.odometerFrom ?? 'odometer',
      heard: now?.heard ?? 'nobody-said',
      damage: now?.damage ?? '',
      warranty: now?.warranty ?? '',
      returnBy: now?.returnBy ?? '',
    },
    sent: (v) => {
      const known = v.odometer.trim() !== '';
      return {
        of,
        seller: v.seller.trim(),
        source: v.source,
        on: v.on,
        price: money(v.price, currency),
        papers: words(v.papers),
        odometerKm: measured(v.odometer, 'km'),
        odometerTyped: words(v.odometer),
        odometerFrom: known ? v.odometerFrom : undefined,
        heard: v.heard,
        damage: words(v.damage),
        warranty: words(v.warranty),
        returnBy: words(v.returnBy),
        ...(now?.settled ? { settled: { how: now.settled.how } } : {}),
      };
    },
    names: { odometerKm: 'odometer', odometerTyped: 'odometer' },
  });
  return (
    <FormDialog title={`How the ${of} was bought`} submit="Keep" size="lg" of={form} send={form.send} close={close}>
      <div className="fields">
        <TextInput label="From whom" data-autofocus {...form.field('seller')} />
        <Select
          label="What kind of purchase"
          data={options(purchaseSources, purchaseSourceWords)}
          allowDeselect={false}
          {...form.field('source')}
        />
        <DateField label="Bought on" past {...form.field('on')} />
        <MoneyInput label="Price" currency={currency} {...form.field('price')} />
        <MeasuredInput label="Mileage" unit="km" {...form.field('odometer')} />
        <Select
          label="Mileage is"
          data={options(mileageFrom, mileageFromWords)}
          allowDeselect={false}
          {...form.field('odometerFrom')}
        />
        <Select
          label="Running"
          data={options(heardStates, heardWords)}
          allowDeselect={false}
          {...form.field('heard')}
        />
        <DateField label="May go back until" {...form.field('returnBy')} />
      </div>
      <TextInput label="Papers that came with it" placeholder="certificate, service book" {...form.field('papers')} />
      <TextInput
        label="Damage: which side, what was cut"
        placeholder="hit front left, loom cut by rescuers"
        {...form.field('damage')}
      />
      <TextInput label="Warranty, with its limits" {...form.field('warranty')} />
    </FormDialog>
  );
}

/** A line on a purchase: what is known, and the day until which it may go back. */
function Line({ of, bought, change }: { of: Of; bought: PurchaseRecord | undefined; change: () => void }) {
  const { mayWrite } = useJob();
  const currency = useCurrency();
  const put = usePut();
  if (!bought)
    return (
      <li>
        <span className="quiet">{capital(of)}: nobody wrote how it was bought</span>
        {mayWrite && (
          <button type="button" className="plain-button small bare" onClick={change}>
            Write how the {of} was bought
          </button>
        )}
      </li>
    );
  const { price, odometerKm, odometerTyped, odometerFrom, returnBy, settled } = bought;
  const facts = [
    purchaseSourceWords[bought.source].toLowerCase(),
    dayWords(bought.on),
    price === undefined ? 'no price' : showMoney(price, currency),
    odometerKm === undefined
      ? 'no mileage'
      : `${odometerTyped ?? `${odometerKm} km`} ${mileageFromWords[odometerFrom!]}`,
    heardWords[bought.heard].toLowerCase(),
    bought.papers ? `papers: ${bought.papers}` : 'no papers',
  ];
  const over = returnBy !== undefined && returnBy < today();
  const settle = (how: 'kept' | 'sent-back'): void =>
    put.mutate({ kind: 'purchase', key: of, data: { ...bought, settled: { how } } });
  return (
    <li>
      <span>
        <b>
          {capital(of)} from {bought.seller}
        </b>{' '}
        <span className="quiet">{facts.join(', ')}</span>
        {bought.damage && <span className="ochre"> · {bought.damage}</span>}
        {bought.warranty && <span> · warranty: {bought.warranty}</span>}
        {settled ? (
          <span className="quiet"> · {settled.how === 'kept' ? 'stays' : 'went back'}</span>
        ) : (
          returnBy && (
            <span className={over ? 'oxide' : 'ochre'}>
              {' '}
              · {over ? 'could go back until' : 'may go back until'} {dayWords(returnBy)} ({fromToday(returnBy)})
            </span>
          )
        )}
        <Trouble of={put} />
      </span>
      {mayWrite && (
        <span className="row-actions">
          {returnBy && !settled && (
            <>
              <button
                type="button"
                className="plain-button small"
                disabled={put.isPending}
                onClick={() => settle('kept')}
              >
                The {of} stays
              </button>
              <button
                type="button"
                className="plain-button small bare"
                disabled={put.isPending}
                onClick={() => settle('sent-back')}
              >
                The {of} went back
              </button>
            </>
          )}
          <button
            type="button"
            className="plain-button small bare"
            aria-label={`Change the purchase: ${of}`}
            onClick={change}
          >
            Change
          </button>
        </span>
      )}
    </li>
  );
}

/** How donor, engine and gearbox were bought, by whom it is said, and until when they may go back. */
export function Purchases() {
  const { sheet } = useJob();
  const purchases = new Map(usePurchases());
  const [open, setOpen] = useState<Of>();
  const here = purchaseOf.filter((of) => sheet.units.some((u) => u.role === of));
  if (here.length === 0) return null;
  return (
    <section className="panel" aria-label="How it was bought">
      <h3>How it was bought</h3>
      <ul className="things">
        {here.map((of) => (
          <Line key={of} of={of} bought={purchases.get(of)} change={() => setOpen(of)} />
        ))}
      </ul>
      {open && <PurchaseForm of={open} close={() => setOpen(undefined)} />}
    </section>
  );
}
