import { Button, Modal, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { askSorts } from '@bay/core/logbook';
import { may } from '@bay/contract/rights';
import { newId, useCrew, useMe } from '../api/index.ts';
import { usePut } from '../sheet/index.ts';
import { Trouble } from '../ui/index.ts';

const sorts: Record<(typeof askSorts)[number], string> = {
  question: 'A question',
  reading: 'A reading',
  approval: 'An approval',
  signature: 'A signature',
};

/** Asks one person of the shop, the manager, or the customer; it waits for them until they answer. */
export function AskForm({ close }: { close: () => void }) {
  const put = usePut();
  const me = useMe().data?.person;
  const crew = useCrew().data?.crew ?? [];
  const [key] = useState(newId);
  const [ask, setAsk] = useState<keyof typeof sorts>('question');
  const [to, setTo] = useState('manager');
  const [what, setWhat] = useState('');
  const [amount, setAmount] = useState('');
  const money = may(me?.role, 'see-money') && ask === 'approval';
  return (
    <Modal opened onClose={close} title="Ask somebody">
      <form
        onSubmit={(e) => {
          e.preventDefault();
          put.mutate(
            {
              kind: 'ask',
              key,
              data: { ask, to, what, ...(money && amount ? { amount: Number(amount.replace(',', '.')) } : {}) },
              revision: 0,
            },
            { onSuccess: close },
          );
        }}
      >
        <Select
          label="What is asked"
          data={Object.entries(sorts).map(([value, label]) => ({ value, label }))}
          value={ask}
          onChange={(a) => setAsk((a ?? 'question') as keyof typeof sorts)}
        />
        <Select
          label="Of whom"
          data={[
            { value: 'manager', label: 'The manager' },
            ...(may(me?.role, 'share-with-customer')
              ? [{ value: 'customer', label: 'The customer, by their link' }]
              : []),
            ...crew.filter((p) => p.role !== 'onlooker').map((p) => ({ value: p.id, label: p.name })),
          ]}
          value={to}
          onChange={(t) => setTo(t ?? 'manager')}
        />
        <TextInput label="In words" value={what} onChange={(e) => setWhat(e.currentTarget.value)} data-autofocus />
        {money && (
          <TextInput
            label="Amount"
            inputMode="decimal"
            value={amount}
            onChange={(e) => setAmount(e.currentTarget.value)}
            error={amount !== '' && Number.isNaN(Number(amount.replace(',', '.'))) ? 'A number.' : undefined}
          />
        )}
        <Trouble of={put} />
        <div className="row-actions">
          <Button
            type="submit"
            loading={put.isPending}
            disabled={
              what.trim().length < 2 || (money && amount !== '' && Number.isNaN(Number(amount.replace(',', '.'))))
            }
          >
            Ask
          </Button>
        </div>
      </form>
    </Modal>
  );
}
