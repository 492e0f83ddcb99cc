import { Select, TextInput } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { inShop, toCome, toGive } from '@bay/core/orders';
import { cancelOrderLine, changeOrder, giveBack, receiveOrder, sendBack, settleBack } from '@bay/contract/orders';
import type { Order } from '@bay/contract/orders';
import { command, keys, newId } from '../api/index.ts';
import { useCurrency } from '../money/index.ts';
import { counting } from './counting.ts';
import { DateField } from '../ui/DateField.tsx';
import { FormDialog, money, MoneyInput, today, useForm, words } from '../ui/index.ts';

/** Sends what a form says of an order, on top of what was seen of it. */
function useSendTo(order: Order) {
  const client = useQueryClient();
  return async (
    endpoint:
      | typeof giveBack
      | typeof receiveOrder
      | typeof changeOrder
      | typeof cancelOrderLine
      | typeof sendBack
      | typeof settleBack,
    body: object,
    label: string,
    more: Record<string, string> = {},
  ): Promise<void> => {
    await command(endpoint, { params: { orderId: order.id, ...more }, body }, { label });
    await client.invalidateQueries({ queryKey: keys.orders() });
  };
}

/** What came of an order, right or wrong. */
export function ReceiveForm({ order, close }: { order: Order; close: () => void }) {
  const send = useSendTo(order);
  const lines = order.lines.filter((l) => toCome(l) > 0);
  const form = useForm({
    draft: `order:${order.id}:receive`,
    since: order.revision,
    initial: {
      came: lines.map((l) => String(toCome(l))),
      wrong: lines.map(() => '0'),
      instead: lines.map(() => ''),
      note: '',
    },
    command: receiveOrder,
    sent: (v) => ({
      revision: order.revision,
      lines: lines.map((l, i) => ({
        id: l.id,
        came: counting(v.came[i]!),
        wrong: counting(v.wrong[i]!),
        instead: words(v.instead[i]!),
      })),
      note: v.note.trim(),
    }),
  });
  const at = (list: 'came' | 'wrong' | 'instead', i: number, n: string): void =>
    form.set({ [list]: form.values[list].map((c, k) => (k === i ? n : c)) });
  return (
    <FormDialog
      title={`Came from ${order.supplier}`}
      submit="It is here"
      of={form}
      close={close}
      send={(body) => send(receiveOrder, body, 'arrival written')}
    >
      {lines.map((l, i) => (
        <div key={l.id} className="fields">
          <p style={{ gridColumn: '1 / -1', margin: '8px 0 0' }}>
            <b>{l.title}</b>{' '}
            <span className="quiet">
              {toCome(l)} to come, job {l.jobNumber}
            </span>
          </p>
          <TextInput
            label={`Right: ${l.title}`}
            inputMode="numeric"
            value={form.values.came[i]}
            onChange={(e) => at('came', i, e.currentTarget.value)}
          />
          <TextInput
            label={`Wrong or damaged: ${l.title}`}
            inputMode="numeric"
            value={form.values.wrong[i]}
            onChange={(e) => at('wrong', i, e.currentTarget.value)}
          />
          <TextInput
            label={`Another thing in its place: ${l.title}`}
            value={form.values.instead[i]}
            onChange={(e) => at('instead', i, e.currentTarget.value)}
          />
        </div>
      ))}
      <TextInput label="Note" {...form.field('note')} />
    </FormDialog>
  );
}

/** Another day, a number, words of the carrier. */
export function ChangeOrderForm({ order, close }: { order: Order; close: () => void }) {
  const send = useSendTo(order);
  const form = useForm({
    draft: `order:${order.id}:change`,
    since: order.revision,
    initial: {
      promisedOn: order.promisedOn ?? '',
      reference: order.reference,
      tracking: order.tracking,
      note: order.note,
    },
    command: changeOrder,
    sent: (v) => ({
      revision: order.revision,
      promisedOn: words(v.promisedOn) ?? null,
      reference: v.reference.trim(),
      tracking: v.tracking.trim(),
      note: v.note.trim(),
    }),
  });
  return (
    <FormDialog
      title={`Order ${order.number}`}
      submit="Keep"
      of={form}
      close={close}
      send={(body) => send(changeOrder, body, 'order changed')}
    >
      <div className="fields">
        <DateField label="Promised for" {...form.field('promisedOn')} />
        <TextInput label="Their number for it" {...form.field('reference')} />
        <TextInput label="What the carrier says" {...form.field('tracking')} />
        <TextInput label="Note" {...form.field('note')} />
      </div>
    </FormDialog>
  );
}

/** A line that does not come any more. */
export function CancelForm({ order, close }: { order: Order; close: () => void }) {
  const send = useSendTo(order);
  const open = order.lines.filter((l) => toCome(l) > 0);
  const form = useForm({
    draft: `order:${order.id}:cancel`,
    initial: { lineId: open[0]?.id ?? '', why: '' },
    command: cancelOrderLine,
    sent: (v) => ({ revision: order.revision, lineId: v.lineId, why: v.why }),
  });
  return (
    <FormDialog
      title="It does not come"
      submit="Cancel this line"
      of={form}
      close={close}
      send={(body) => send(cancelOrderLine, body, 'line cancelled')}
    >
      <Select
        label="Which line"
        data={open.map((l) => ({ value: l.id, label: l.title }))}
        allowDeselect={false}
        {...form.field('lineId')}
      />
      <TextInput label="Why it does not come" {...form.field('why')} />
    </FormDialog>
  );
}

/** Something goes back. */
export function SendBackForm({ order, close }: { order: Order; close: () => void }) {
  const send = useSendTo(order);
  const here = order.lines.filter((l) => inShop(l) > 0);
  const [id] = useState(newId);
  const form = useForm({
    draft: `order:${order.id}:back`,
    initial: { lineId: here[0]?.id ?? '', count: '1', reason: '', on: today(), until: '' },
    command: sendBack,
    sent: (v) => ({
      revision: order.revision,
      id,
      lineId: v.lineId,
      count: counting(v.count),
      reason: v.reason,
      on: v.on,
      until: words(v.until),
    }),
  });
  return (
    <FormDialog
      title="It goes back"
      submit="Send it back"
      of={form}
      close={close}
      send={(body) => send(sendBack, body, 'return written')}
    >
      <div className="fields">
        <Select
          label="What goes back"
          data={here.map((l) => ({ value: l.id, label: `${l.title}, ${inShop(l)} here` }))}
          allowDeselect={false}
          {...form.field('lineId')}
        />
        <TextInput label="How many go back" inputMode="numeric" {...form.field('count')} />
        <TextInput label="Why it goes back" {...form.field('reason')} />
        <DateField label="Goes back on" past {...form.field('on')} />
        <DateField label="Taken back until" {...form.field('until')} />
      </div>
    </FormDialog>
  );
}

/** What the shop owes goes back: an old part, or a borrowed tool. */
export function GiveBackForm({ order, close }: { order: Order; close: () => void }) {
  const send = useSendTo(order);
  const owing = order.lines.filter((l) => toGive(l) > 0);
  const form = useForm({
    draft: `order:${order.id}:give`,
    initial: { lineId: owing[0]?.id ?? '', count: String(owing[0] ? toGive(owing[0]) : 1) },
    command: giveBack,
    sent: (v) => ({ revision: order.revision, lineId: v.lineId, count: counting(v.count) }),
  });
  return (
    <FormDialog
      title={order.sort === 'borrowed' ? 'It is given back' : 'The old part went back'}
      submit="It is back"
      of={form}
      close={close}
      send={(body) => send(giveBack, body, 'written as given back')}
    >
      <div className="fields">
        <Select
          label="Which one"
          data={owing.map((l) => ({ value: l.id, label: `${l.title}, ${toGive(l)} owed` }))}
          allowDeselect={false}
          {...form.field('lineId')}
        />
        <TextInput label="How many" inputMode="numeric" {...form.field('count')} />
      </div>
    </FormDialog>
  );
}

/** What came back for what went back. */
export function SettleForm({ order, backId, close }: { order: Order; backId: string; close: () => void }) {
  const send = useSendTo(order);
  const currency = useCurrency();
  const form = useForm({
    draft: `order:${order.id}:settle:${backId}`,
    initial: { moneyBack: '' },
    command: settleBack,
    sent: (v) => ({ revision: order.revision, moneyBack: money(v.moneyBack, currency) ?? 0 }),
  });
  return (
    <FormDialog
      title="Money back"
      submit="It is settled"
      of={form}
      close={close}
      send={(body) => send(settleBack, body, 'return settled', { backId })}
    >
      <MoneyInput label="Came back (blank: nothing will)" currency={currency} {...form.field('moneyBack')} />
    </FormDialog>
  );
}
