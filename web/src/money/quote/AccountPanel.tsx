import { Button, Select, TextInput } from '@mantine/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { showMoney } from '@bay/core/money';
import {
  accountPdf,
  addPayment,
  extrasPdf,
  moneyLines,
  paymentSorts,
  readAccount,
  receiptPdf,
} from '@bay/contract/money';
import { call, command, keys, newId, pathOf } from '../../api/index.ts';
import { useJob } from '../../sheet/index.ts';
import { DateField } from '../../ui/DateField.tsx';
import { dayWords, Failed, FormDialog, Loading, money, MoneyInput, today, useForm, words } from '../../ui/index.ts';
import { useCurrency } from '../useCurrency.ts';
import styles from './quote.module.css';

const sortWords: Record<(typeof paymentSorts)[number], string> = {
  deposit: 'Deposit',
  part: 'Part payment',
  final: 'Final payment',
  back: 'Given back',
};

function PaymentForm({ due, close }: { due: number | undefined; close: () => void }) {
  const { sheet } = useJob();
  const client = useQueryClient();
  const currency = useCurrency();
  // The same for every try: a payment whose answer was lost is not there twice.
  const [id] = useState(newId);
  const form = useForm({
    draft: `${sheet.job.id}:payment`,
    initial: { sort: 'deposit', amount: '', on: today(), note: '' },
    command: addPayment,
    sent: (v) => ({ id, sort: v.sort, amount: money(v.amount, currency), on: words(v.on), note: v.note.trim() }),
  });
  return (
    <FormDialog
      title="Money received"
      submit="Write it down"
      of={form}
      close={close}
      send={async (body) => {
        await command(
          addPayment,
          { params: { jobId: sheet.job.id }, body },
          { label: 'payment written', jobId: sheet.job.id },
        );
        await client.invalidateQueries({ queryKey: keys.account(sheet.job.id) });
      }}
    >
      {due !== undefined && <p className="quiet">Still due: {showMoney(due, currency)}.</p>}
      <div className="fields">
        <Select
          label="What it is"
          data={paymentSorts.map((value) => ({ value, label: sortWords[value] }))}
          allowDeselect={false}
          {...form.field('sort')}
        />
        <MoneyInput label="Amount" currency={currency} {...form.field('amount')} />
        <DateField label="On" past {...form.field('on')} />
        <TextInput label="Note" {...form.field('note')} />
      </div>
    </FormDialog>
  );
}

/** Where the money of the job stands: quoted, agreed besides, spent, paid, left. */
export function AccountPanel() {
  const { sheet, mayWrite } = useJob();
  const currency = useCurrency();
  const jobId = sheet.job.id;
  const read = useQuery({ queryKey: keys.account(jobId), queryFn: () => call(readAccount, { params: { jobId } }) });
  const [paying, setPaying] = useState(false);
  if (read.isPending) return <Loading />;
  if (read.isError) return <Failed sentence={read.error.message} again={() => void read.refetch()} />;
  const a = read.data;
  const yes = a.extras.filter((x) => x.yes === true);
  const asked = a.extras.filter((x) => x.yes === null);
  const show = (amount: number): string => showMoney(amount, currency);
  const paid = a.payments.reduce((sum, p) => sum + (p.sort === 'back' ? -p.amount : p.amount), 0);
  return (
    <section className="panel" aria-label="Where the money stands">
      <h3>Where the money stands</h3>
      <dl className={styles['total']}>
        <dt>{a.quoted ? `Quote ${a.quoted.number}, accepted, before tax` : 'No quote was accepted yet'}</dt>
        <dd>{a.quoted ? show(a.quoted.net) : '–'}</dd>
        {yes.map((x) => (
          <div key={x.key} style={{ display: 'contents' }}>
            <dt>Agreed besides: {x.what}</dt>
            <dd>{show(x.amount)}</dd>
          </div>
        ))}
        {asked.map((x) => (
          <div key={x.key} style={{ display: 'contents' }}>
            <dt className="ochre">Asked, not answered: {x.what}</dt>
            <dd className="quiet">{show(x.amount)}</dd>
          </div>
        ))}
        <dt>Hours until now, {a.hours} h</dt>
        <dd>{a.hoursCost === null ? 'cost of an hour not set' : `− ${show(a.hoursCost)}`}</dd>
        <dt>Parts paid</dt>
        <dd>− {show(a.parts)}</dd>
        <dt className={styles['sum']}>Left of what was agreed</dt>
        <dd className={`${styles['sum']} ${a.left !== null && a.left < 0 ? 'oxide' : ''}`}>
          {a.left === null ? '–' : show(a.left)}
        </dd>
        <dt>Paid by the customer</dt>
        <dd>{show(paid)}</dd>
        <dt>Still due, with tax</dt>
        <dd>{a.due === null ? '–' : show(a.due)}</dd>
      </dl>
      {a.payments.length > 0 && (
        <ul className="rows">
          {a.payments.map((p) => (
            <li key={p.id}>
              {sortWords[p.sort]}, {dayWords(p.on)}: <span className="mono">{show(p.amount)}</span>{' '}
              <span className="quiet">
                {p.note} {p.by}
              </span>{' '}
              <a
                href={pathOf(receiptPdf, { jobId, paymentId: p.id })}
                aria-label={`Receipt of ${dayWords(p.on)} as PDF`}
              >
                Receipt
              </a>
            </li>
          ))}
        </ul>
      )}
      <div className="row-actions">
        {mayWrite && (
          <Button variant="default" onClick={() => setPaying(true)}>
            Money received
          </Button>
        )}
        <Button variant="subtle" component="a" href={pathOf(moneyLines, { jobId })}>
          Lines as CSV
        </Button>
        <Button variant="subtle" component="a" href={pathOf(extrasPdf, { jobId })}>
          Extra work as PDF
        </Button>
        <Button variant="subtle" component="a" href={pathOf(accountPdf, { jobId })}>
          Account as PDF
        </Button>
      </div>
      {paying && <PaymentForm due={a.due ?? undefined} close={() => setPaying(false)} />}
    </section>
  );
}
