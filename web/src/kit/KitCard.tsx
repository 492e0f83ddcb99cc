import { Autocomplete, Button, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { factDef } from '@bay/core/facts';
import { kitStatuses, orderStops } from '@bay/core/kit';
import type { KitLine, KitRecord, KitStatus } from '@bay/core/kit';
import { typedMoney } from '@bay/core/money';
import { may } from '@bay/contract/rights';
import { useMe } from '../api/index.ts';
import { FactEditor, usualBearer } from '../facts/index.ts';
import { useCurrency } from '../money/index.ts';
import { TriedBefore } from '../fit/index.ts';
import { PlaceOrderForm, useSupplierByName, useSuppliers } from '../orders/index.ts';
import { useJob, usePut, useRecordForm, useRecords } from '../sheet/index.ts';
import { Because, Form, money, MoneyInput, Trouble, words } from '../ui/index.ts';
import { useToOrder } from './useToOrder.ts';

export const statusWords: Record<KitStatus, string> = {
  wanted: 'Wanted',
  ordered: 'Ordered',
  here: 'Here',
  fitted: 'Fitted',
  'sent-back': 'Sent back',
  'not-needed': 'Not needed',
};

function KitForm({ line, record }: { line: KitLine; record: KitRecord | undefined }) {
  const { plan } = useJob();
  const currency = useCurrency();
  const seesMoney = may(useMe().data?.person?.role, 'see-money');
  const suppliers = useSuppliers() ?? [];
  const supplierByName = useSupplierByName();
  const form = useRecordForm({
    kind: 'kit',
    key: line.def.id,
    initial: {
      status: record?.status ?? 'wanted',
      options: record?.options ?? line.filled.map((f) => f.text).join(', '),
      supplier: suppliers.find((s) => s.id === record?.supplierId)?.name ?? '',
      despite: record?.despite ?? '',
      price: record?.price === undefined ? '' : typedMoney(record.price, currency),
      note: record?.note ?? '',
    },
    sent: (v) => ({
      status: v.status,
      options: words(v.options),
      note: words(v.note),
      despite: words(v.despite),
      ...(seesMoney ? { price: money(v.price, currency) } : {}),
    }),
  });
  const { status, options, note, supplier } = form.values;
  const stops = orderStops(line, plan.facts, { ...record, status, options });
  const open = status === 'ordered' && stops.length > 0;
  const ordering = open && form.values.despite.trim().length < 10;
  return (
    <Form
      of={form}
      submit="Save"
      disabled={ordering || (status === 'not-needed' && note.trim() === '')}
      send={async (data) => form.send({ ...data, supplierId: await supplierByName.mutateAsync(supplier) })}
    >
      <div className="fields">
        <Select
          label="State"
          data={kitStatuses.map((value) => ({ value, label: statusWords[value] }))}
          {...form.field('status')}
        />
        <TextInput label="Exact options" {...form.field('options')} />
        <Autocomplete size="md" label="From" data={suppliers.map((s) => s.name)} {...form.field('supplier')} />
        {seesMoney && <MoneyInput label="Paid" currency={currency} {...form.field('price')} />}
        <TextInput label={status === 'not-needed' ? 'Why not' : 'Note'} {...form.field('note')} />
      </div>
      {open && (
        <>
          <p className="oxide">Not to be ordered yet: {stops.join('; ')}.</p>
          <TextInput label="Why it is ordered all the same" {...form.field('despite')} />
        </>
      )}
    </Form>
  );
}

/** Parts on the car that are not its own, at the places of this line: the order waits until somebody held it against them. */
function Beside({ line, what }: { line: string; what: readonly string[] }) {
  const { mayWrite } = useJob();
  const put = usePut();
  const records = Object.entries(useRecords('foreign-part')).filter(([, r]) => !r.gone && what.includes(r.what));
  return (
    <div className="row-actions">
      <span className="ochre">Beside it, and not this car's own:</span>
      {records.map(([key, r]) =>
        mayWrite ? (
          <button
            key={key}
            type="button"
            className="plain-button small"
            aria-label={`Goes beside ${r.what}`}
            disabled={put.isPending}
            onClick={() => put.mutate({ kind: 'foreign-part', key, data: { ...r, held: [...(r.held ?? []), line] } })}
          >
            {r.what}: held against it, goes
          </button>
        ) : (
          <span key={key}>{r.what}</span>
        ),
      )}
      <Trouble of={put} />
    </div>
  );
}

/** One kit line opened: what to settle, what stops the order, where it comes from and what it cost. */
export function KitCard({ line, record }: { line: KitLine; record: KitRecord | undefined }) {
  const { plan, mayWrite } = useJob();
  // A form begun without them would take the supplier away.
  const suppliers = useSuppliers();
  const [fact, setFact] = useState<string>();
  const [ordering, setOrdering] = useState(false);
  const toOrder = useToOrder();
  const mayOrder = record === undefined || record.status === 'wanted' || record.status === 'sent-back';
  return (
    <div className="card-open">
      <p>
        <b>Settle before ordering:</b> {line.def.options}
      </p>
      <p className="quiet">
        Without it: {line.def.leftOut}. Usually {line.def.price.join(' / ')} (low, likely, high; estimates, in no
        currency).
      </p>
      {line.filled.length > 0 && <p className="quiet">From the cards: {line.filled.map((f) => f.text).join('; ')}</p>}
      <Because ids={line.because} facts={plan.facts} />
      {line.beside && <Beside line={line.def.id} what={line.beside} />}
      {line.blanks.length > 0 && (
        <div className="row-actions">
          <span className="ochre">The order stops at a blank:</span>
          {line.blanks.map((id) => (
            <button key={id} type="button" className="plain-button small" onClick={() => setFact(id)}>
              {factDef(id).label}
            </button>
          ))}
        </div>
      )}
      <TriedBefore kitLine={line.def.id} />
      {mayWrite && mayOrder && (
        <div className="row-actions">
          <Button variant="default" aria-label={`Order it: ${line.def.title}`} onClick={() => setOrdering(true)}>
            Order it
          </Button>
        </div>
      )}
      {ordering && (
        <PlaceOrderForm lines={[toOrder.line(line)]} steps={toOrder.steps} close={() => setOrdering(false)} />
      )}
      {mayWrite &&
        (suppliers ? (
          <KitForm line={line} record={record} />
        ) : (
          <p className="quiet">Whom the shop buys from is not known here yet; the line is written once it is.</p>
        ))}
      {fact && <FactEditor factId={fact} bearer={usualBearer(fact)} close={() => setFact(undefined)} />}
    </div>
  );
}
