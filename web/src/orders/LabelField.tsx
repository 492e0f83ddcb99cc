import { TextInput } from '@mantine/core';
import { useState } from 'react';
import { listOrders } from '@bay/contract/orders';
import type { Order } from '@bay/contract/orders';
import { call, sentenceOf } from '../api/index.ts';
import styles from './orders.module.css';

/** A label that is scanned or typed, their number or ours, leads to the order that it belongs to. A scanner ends with Enter. */
export function LabelField({ found }: { found: (order: Order) => void }) {
  const [typed, setTyped] = useState('');
  const [said, setSaid] = useState('');
  const look = async (): Promise<void> => {
    const q = typed.trim();
    if (q === '') return;
    try {
      const { orders } = await call(listOrders, { query: { open: 'true', q } });
      if (orders.length === 1) {
        setTyped('');
        setSaid('');
        found(orders[0]!);
      } else
        setSaid(
          orders.length === 0
            ? `No open order has the number "${q}".`
            : `${orders.length} orders have the number "${q}": take the one below.`,
        );
    } catch (error) {
      setSaid(sentenceOf(error));
    }
  };
  return (
    <form
      className={styles['label']}
      onSubmit={(e) => {
        e.preventDefault();
        void look();
      }}
    >
      <TextInput
        label="Scan or type what came"
        placeholder="their number, or ours"
        classNames={{ input: 'mono' }}
        value={typed}
        onChange={(e) => {
          setTyped(e.currentTarget.value);
          setSaid('');
        }}
        error={said || undefined}
      />
    </form>
  );
}
