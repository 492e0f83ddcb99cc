import { Button, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { deadlineReasons, nearItsEnd } from '@bay/core/arrival';
import type { ArrivalRecord } from '@bay/core/arrival';
import { typedMoney } from '@bay/core/money';
import { formatMeasure } from '@bay/core/units';
import { arrivalPdf } from '@bay/contract/arrival';
import { may } from '@bay/contract/rights';
import { pathOf, useMe } from '../api/index.ts';
import { useCurrency } from '../money/index.ts';
import { useJob, useRecordForm, useRecords } from '../sheet/index.ts';
import { dayWords, Form, FormDialog, measured, MeasuredInput, money, MoneyInput, words } from '../ui/index.ts';
import styles from './arrival.module.css';
import { SignHere } from './SignHere.tsx';

const deadlineWords: Readonly<Record<(typeof deadlineReasons)[number], string>> = {
  none: 'No day that binds',
  event: 'A day of the family or a feast',
  race: 'A race or a meeting',
  inspection: 'An inspection that ends',
  season: 'The season',
  other: 'Something else',
};
const fromWords = { odometer: 'Read from it', paper: 'From papers', said: 'As said' } as const;

function ArrivalForm({ now, close }: { now: ArrivalRecord | undefined; close: () => void }) {
  const currency = useCurrency();
  const seesMoney = may(useMe().data?.person?.role, 'see-money');
  const form = useRecordForm({
    kind: 'arrival',
    key: 'sheet',
    initial: {
      odometer: now?.odometerKm === undefined ? '' : formatMeasure(now.odometerKm, 'km', 0),
      odometerFrom: now?.odometerFrom ?? '',
      keys: now?.keys === undefined ? '' : String(now.keys),
      fuel: now?.fuel ?? '',
      fluids: now?.fluids ?? '',
      lamps: now?.lamps ?? '',
      codes: now?.codes ?? '',
      things: now?.things ?? '',
      deadline: now?.deadline ?? 'none',
      deadlineNote: now?.deadlineNote ?? '',
      budget: now?.budget === undefined ? '' : typedMoney(now.budget, currency),
    },
    sent: (v) => ({
      odometerKm: measured(v.odometer, 'km'),
      odometerFrom: words(v.odometerFrom),
      keys: v.keys.trim() === '' ? undefined : Number(v.keys),
      fuel: words(v.fuel),
      fluids: words(v.fluids),
      lamps: words(v.lamps),
      codes: words(v.codes),
      things: words(v.things),
      deadline: v.deadline,
      deadlineNote: words(v.deadlineNote),
      ...(seesMoney ? { budget: money(v.budget, currency) } : {}),
      ...(now?.received ? { received: now.received } : {}),
    }),
    names: { odometerKm: 'odometer' },
  });
  return (
    <Form of={form} submit="Save the sheet" send={form.send} after={close} cancel={close}>
      <div className="fields">
        <MeasuredInput label="Odometer" unit="km" {...form.field('odometer')} />
        <Select
          label="Where that is from"
          data={[
            { value: '', label: 'Not said' },
            ...Object.entries(fromWords).map(([value, label]) => ({ value, label })),
          ]}
          {...form.field('odometerFrom')}
        />
        <TextInput label="Keys, count" inputMode="numeric" {...form.field('keys')} />
        <TextInput label="Fuel in it" placeholder="a quarter" {...form.field('fuel')} />
        <TextInput label="Fluids" placeholder="oil at the lower mark, coolant brown" {...form.field('fluids')} />
        <TextInput label="Warning lamps" {...form.field('lamps')} />
        <TextInput label="Codes stored" {...form.field('codes')} />
        <TextInput label="Things that stay in it" {...form.field('things')} />
        <Select
          label="By a day, because of"
          data={deadlineReasons.map((value) => ({ value, label: deadlineWords[value] }))}
          allowDeselect={false}
          {...form.field('deadline')}
        />
        <TextInput label="Which day, and what for" {...form.field('deadlineNote')} />
        {seesMoney && <MoneyInput label="What it may cost" currency={currency} {...form.field('budget')} />}
      </div>
      {now?.received && <p className="ochre">A change lets the signature fall: the customer signs anew.</p>}
    </Form>
  );
}

function SignForm({ now, close }: { now: ArrivalRecord | undefined; close: () => void }) {
  const form = useRecordForm({
    kind: 'arrival',
    key: 'sheet',
    about: 'signature of arrival',
    initial: { name: '', strokes: [] as [number, number][][] },
    sent: (v) => ({ ...now, received: { name: v.name, strokes: v.strokes } }),
    names: { 'received.name': 'name', 'received.strokes': 'strokes' },
    merges: true,
  });
  const strokes = form.field('strokes');
  return (
    <FormDialog title="The customer signs" submit="Signed" of={form} send={form.send} close={close} size="lg">
      <p>It says how the car came, what works, and what is in it. The paper is printed from it.</p>
      <TextInput label="Name" data-autofocus {...form.field('name')} />
      <SignHere strokes={strokes.value} set={strokes.onChange} error={strokes.error} />
    </FormDialog>
  );
}

/** What was taken down with the car when it came, and the customer's name under it. */
export function TakenIn() {
  const { sheet, mayWrite } = useJob();
  const now = useRecords('arrival')['sheet'];
  const [open, setOpen] = useState<'edit' | 'sign'>();
  const worn = now?.odometerKm === undefined ? [] : nearItsEnd(now.odometerKm, 'car');
  const rows: [string, string | undefined][] = [
    [
      'Odometer',
      now?.odometerKm === undefined
        ? undefined
        : `${formatMeasure(now.odometerKm, 'km', 0)}${now.odometerFrom ? `, ${fromWords[now.odometerFrom].toLowerCase()}` : ''}`,
    ],
    ...(worn.length > 0 ? ([['Near the end of its usual life', worn.join(', ')]] as [string, string][]) : []),
    ['Keys', now?.keys === undefined ? undefined : String(now.keys)],
    ['Fuel in it', now?.fuel],
    ['Fluids', now?.fluids],
    ['Warning lamps', now?.lamps],
    ['Codes stored', now?.codes],
    ['Things in it', now?.things],
    [
      'By a day',
      now?.deadline === undefined || now.deadline === 'none'
        ? undefined
        : `${deadlineWords[now.deadline]}${now.deadlineNote ? `: ${now.deadlineNote}` : ''}`,
    ],
  ];
  return (
    <section className="panel" aria-label="Taken in">
      <div className="bench-head">
        <h3>Taken in</h3>
        <span className="quiet">
          {now?.received
            ? `signed by ${now.received.name}, ${dayWords(now.received.at ?? '')}`
            : 'not signed by the customer'}
        </span>
        <span className="right">
          <a href={pathOf(arrivalPdf, { jobId: sheet.job.id })}>Receipt as PDF</a>
        </span>
      </div>
      {open === 'edit' ? (
        <ArrivalForm now={now} close={() => setOpen(undefined)} />
      ) : (
        <>
          <dl className={styles['pairs']}>
            {rows.map(([name, value]) => (
              <div key={name}>
                <dt>{name}</dt>
                <dd className={value === undefined ? 'quiet' : undefined}>{value ?? 'not written'}</dd>
              </div>
            ))}
          </dl>
          {mayWrite && (
            <div className="row-actions">
              <Button variant="default" onClick={() => setOpen('edit')}>
                {now ? 'Change the sheet' : 'Write the sheet'}
              </Button>
              {now && !now.received && <Button onClick={() => setOpen('sign')}>The customer signs</Button>}
            </div>
          )}
        </>
      )}
      {open === 'sign' && <SignForm now={now} close={() => setOpen(undefined)} />}
    </section>
  );
}
