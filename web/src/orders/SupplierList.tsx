import { Select, Textarea } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import Papa from 'papaparse';
import { readSupplierList } from '@bay/core/orders';
import { counted } from '@bay/core/units';
import { readFeed } from '@bay/contract/orders';
import { command, keys } from '../api/index.ts';
import { dayWords, FormDialog, useForm } from '../ui/index.ts';
import { useSuppliers } from './useSuppliers.ts';

/** A supplier's list of promised days, pasted from a file or a mail: each row is looked at before any is sent. */
export function SupplierList({ close, said }: { close: () => void; said: (words: string) => void }) {
  const client = useQueryClient();
  const suppliers = useSuppliers() ?? [];
  const form = useForm({ draft: 'supplier list', initial: { supplier: suppliers[0]?.id ?? '', table: '' } });
  const { supplier, table } = form.values;
  const list =
    table.trim() === ''
      ? undefined
      : readSupplierList(Papa.parse<string[]>(table.trim(), { skipEmptyLines: true }).data);
  const ready = list !== undefined && list.wrong.length === 0 && list.orders.length > 0 && supplier !== '';
  return (
    <FormDialog
      title="A supplier's list"
      submit="Take it in"
      of={form}
      disabled={!ready}
      close={close}
      size="lg"
      send={async () => {
        const reply = await command(
          readFeed,
          { body: { supplierId: supplier, orders: list!.orders } },
          { label: "supplier's list" },
        );
        await client.invalidateQueries({ queryKey: keys.orders() });
        const { moved, unknown } = reply;
        said(
          `${counted(moved, 'order')} moved${unknown.length > 0 ? `; not on order here: ${unknown.join(', ')}` : ''}.`,
        );
      }}
    >
      <Select
        label="Whose"
        data={suppliers.map((s) => ({ value: s.id, label: s.name }))}
        allowDeselect={false}
        {...form.field('supplier')}
      />
      <Textarea
        label="The table, with its head row"
        description="reference, promised, tracking; commas, semicolons or tabs between them"
        minRows={5}
        autosize
        data-autofocus
        classNames={{ input: 'mono' }}
        {...form.field('table')}
      />
      {list?.wrong.map((w) => (
        <p key={w} className="oxide">
          {w}
        </p>
      ))}
      {ready && (
        <ul className="rows" aria-label="What it says">
          {list.orders.map((o) => (
            <li key={o.reference}>
              <span className="mono">{o.reference}</span>
              {o.promisedOn && `, ${dayWords(o.promisedOn)}`}
              {o.tracking && <span className="quiet">, {o.tracking}</span>}
            </li>
          ))}
        </ul>
      )}
    </FormDialog>
  );
}
