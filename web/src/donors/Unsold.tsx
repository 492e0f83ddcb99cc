import { Button, Checkbox, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { buyerKinds, buyerWords, reservationHolds, returnRange, salesByBuyer, unsoldOf } from '@bay/core/donors';
import type { ReservationRecord, Unsold } from '@bay/core/donors';
import { moneyFigures, noCurrency, showMoney } from '@bay/core/money';
import { counted } from '@bay/core/units';
import { useCurrency } from '../money/index.ts';
import { useJob, useRecordForm, useRecords } from '../sheet/index.ts';
import { DateField } from '../ui/DateField.tsx';
import { dayAfter, dayWords, FormDialog, money, MoneyInput, today, words } from '../ui/index.ts';

const buyers = [
  { value: '', label: 'Nobody said' },
  ...buyerKinds.map((value) => ({ value, label: buyerWords[value] })),
];

/** Several parts are sold at once and earn together: a drivetrain after its test drive. One sells the same way. */
export function SaleForm({ parts, close }: { parts: readonly Unsold[]; close: () => void }) {
  const currency = useCurrency();
  const one = parts.length === 1 ? parts[0] : undefined;
  const form = useRecordForm({
    kind: 'donor-entry',
    about: `sale ${parts.map((p) => p.key).join()}`,
    initial: { what: one?.title ?? '', soldTo: '', buyer: '', on: today(), amount: '', note: '' },
    sent: (v) => ({
      sort: 'sold',
      what: v.what.trim(),
      soldTo: v.soldTo.trim(),
      buyer: words(v.buyer),
      on: v.on,
      amount: money(v.amount, currency),
      note: words(v.note),
      ...(one ? { partKey: one.key } : { partKeys: parts.map((p) => p.key) }),
    }),
    names: { partKeys: 'what', partKey: 'what' },
  });
  const altered = parts.filter((p) => p.notOriginal);
  const worth = parts.every((p) => p.advised !== undefined) ? parts.reduce((sum, p) => sum + p.advised!, 0) : undefined;
  return (
    <FormDialog
      title={one ? `Sold: ${one.title}` : `${counted(parts.length, 'part')} sold as one`}
      submit="Sold"
      size="lg"
      of={form}
      send={form.send}
      close={close}
    >
      {!one && <p className="quiet">{parts.map((p) => p.title).join(' · ')}</p>}
      {altered.length > 0 && (
        <p className="ochre">
          Not original: {altered.map((p) => `${p.title} (${p.notOriginal})`).join('; ')}. The buyer is told.
        </p>
      )}
      {worth !== undefined && <p className="quiet">Counted on for their age: {showMoney(worth, currency)}</p>}
      <div className="fields">
        <TextInput label="Called" placeholder="engine, gearbox and loom, driven" {...form.field('what')} />
        <TextInput label="To whom" data-autofocus {...form.field('soldTo')} />
        <Select label="What kind of buyer" data={buyers} allowDeselect={false} {...form.field('buyer')} />
        <DateField label="On" past {...form.field('on')} />
        <MoneyInput label="For" currency={currency} {...form.field('amount')} />
      </div>
      <TextInput label="What the buyer was told, or why it may go" {...form.field('note')} />
    </FormDialog>
  );
}

/** Somebody asked for a part: nobody else gets it until a day. */
export function ReserveForm({
  part,
  now,
  close,
}: {
  part: Unsold;
  now?: [string, ReservationRecord] | undefined;
  close: () => void;
}) {
  const currency = useCurrency();
  const form = useRecordForm({
    kind: 'reservation',
    key: now?.[0],
    about: `reserve ${part.key}`,
    initial: { who: now?.[1].who ?? '', until: now?.[1].until ?? dayAfter(7), deposit: '', how: '' },
    sent: (v) => ({
      partKey: part.key,
      who: v.who.trim(),
      until: v.until,
      deposit: v.deposit.trim() === '' ? now?.[1].deposit : money(v.deposit, currency),
      ...(v.how.trim() === '' ? {} : { ended: { how: v.how.trim() } }),
    }),
    names: { 'ended.how': 'how' },
  });
  return (
    <FormDialog title={`Reserved: ${part.title}`} submit="Keep" of={form} send={form.send} close={close}>
      <div className="fields">
        <TextInput label="For whom" data-autofocus {...form.field('who')} />
        <DateField label="Until" {...form.field('until')} />
        <MoneyInput label="Deposit" currency={currency} {...form.field('deposit')} />
      </div>
      {now && <TextInput label="It ended, because" placeholder="never came" {...form.field('how')} />}
    </FormDialog>
  );
}

/** Parts that nobody bought yet, the oldest first: what they are worth, what is to be decided, and several sold as one. */
export function UnsoldParts({ stands }: { stands: number }) {
  const { mayWrite } = useJob();
  const currency = useCurrency();
  const parts = useRecords('part');
  const reservations = Object.entries(useRecords('reservation')).filter(([, r]) => reservationHolds(r, today()));
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const [selling, setSelling] = useState(false);
  const [reserving, setReserving] = useState<Unsold>();
  const unsold = unsoldOf(parts, today());
  const entries = Object.values(useRecords('donor-entry'));
  const past = salesByBuyer(entries, parts);
  if (unsold.length === 0 && past.length === 0) return null;
  const { least, likely, most, unvalued } = returnRange(stands, unsold);
  const show = (amount: number): string =>
    amount < 0 ? `− ${showMoney(-amount, currency)}` : showMoney(amount, currency);
  const figures = (amount: number | undefined): string => (amount === undefined ? '–' : moneyFigures(amount, currency));
  const picked = unsold.filter((u) => chosen.includes(u.key));
  const reservedFor = (key: string) => reservations.find(([, r]) => r.partKey === key);
  return (
    <section aria-label="Not sold yet">
      <div className="bench-head">
        <h3>Not sold yet</h3>
        <span className="quiet">
          {unsold.length === 0
            ? 'nothing'
            : `it may end between ${show(least)} and ${show(most)}, most likely ${show(likely)} (an estimate)${
                unvalued > 0 ? `; ${counted(unvalued, 'part has', 'parts have')} no value and count as nothing` : ''
              }`}
        </span>
        {mayWrite && unsold.length > 0 && (
          <span className="right no-print">
            <Button variant="default" disabled={picked.length === 0} onClick={() => setSelling(true)}>
              {picked.length > 1 ? `Sell ${picked.length} as one` : 'Sell what is ticked'}
            </Button>
          </span>
        )}
      </div>
      {unsold.length > 0 && (
        <div className="scroll-x">
          <table className="data">
            <thead>
              <tr>
                <th>Part</th>
                <th className="num">Days here</th>
                <th className="num">{currency === noCurrency ? 'Value' : `Value, ${currency}`}</th>
                <th className="num">For its age</th>
                <th>To decide</th>
              </tr>
            </thead>
            <tbody>
              {unsold.map((u) => {
                const held = reservedFor(u.key);
                return (
                  <tr key={u.key}>
                    <td>
                      {mayWrite ? (
                        <Checkbox
                          label={`${u.label ? `${u.label}, ` : ''}${u.title}`}
                          checked={chosen.includes(u.key)}
                          onChange={(e) =>
                            setChosen(e.currentTarget.checked ? [...chosen, u.key] : chosen.filter((k) => k !== u.key))
                          }
                        />
                      ) : (
                        u.title
                      )}
                      {u.notOriginal && <span className="ochre"> not original: {u.notOriginal}</span>}
                    </td>
                    <td className="num">{u.days}</td>
                    <td className="num">{figures(u.value)}</td>
                    <td className="num">{figures(u.advised)}</td>
                    <td>
                      {held ? (
                        <span>
                          reserved for {held[1].who} until {dayWords(held[1].until)}
                          {held[1].deposit ? `, ${showMoney(held[1].deposit, currency)} paid` : ''}
                        </span>
                      ) : (
                        u.words
                      )}{' '}
                      {mayWrite && (
                        <button
                          type="button"
                          className="plain-button small bare"
                          aria-label={`${held ? 'Change the reservation' : 'Reserve'}: ${u.title}`}
                          onClick={() => setReserving(u)}
                        >
                          {held ? 'Change' : 'Reserve'}
                        </button>
                      )}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </div>
      )}
      {past.length > 0 && (
        <p className="quiet">
          Who bought:{' '}
          {past
            .map(
              (b) =>
                `${buyerWords[b.buyer].toLowerCase()}, ${counted(b.sales, 'sale')}, ${showMoney(b.sum, currency)}${
                  b.ofValue === undefined ? '' : ` (${Math.round(b.ofValue * 100)} % of their value)`
                }`,
            )
            .join(' · ')}
        </p>
      )}
      {selling && (
        <SaleForm
          parts={picked}
          close={() => {
            setSelling(false);
            setChosen([]);
          }}
        />
      )}
      {reserving && (
        <ReserveForm part={reserving} now={reservedFor(reserving.key)} close={() => setReserving(undefined)} />
      )}
    </section>
  );
}
