import { counted } from '@bay/core/units';
import { TextInput } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { renameSupplier } from '@bay/contract/kit';
import type { Supplier } from '@bay/contract/kit';
import { command, keys } from '../api/index.ts';
import { useJob } from '../sheet/index.ts';
import { FormDialog, useForm } from '../ui/index.ts';
import { useSuppliers } from '../orders/index.ts';

function Rename({ supplier, close }: { supplier: Supplier; close: () => void }) {
  const client = useQueryClient();
  const form = useForm({
    draft: `supplier:${supplier.id}`,
    initial: { name: supplier.name },
    command: renameSupplier,
    sent: ({ name }) => ({ name, revision: supplier.revision }),
  });
  return (
    <FormDialog
      title={supplier.name}
      submit="Rename"
      of={form}
      send={async (body) => {
        await command(renameSupplier, { params: { supplierId: supplier.id }, body }, { label: 'supplier renamed' });
        await client.invalidateQueries({ queryKey: keys.suppliers });
      }}
      close={close}
    >
      <TextInput label="Name" data-autofocus {...form.field('name')} />
    </FormDialog>
  );
}

/** Whom the shop buys from, in every job; a wrong name is mended once. */
export function Suppliers() {
  const { mayWrite } = useJob();
  const suppliers = useSuppliers();
  const [renaming, setRenaming] = useState<Supplier>();
  if (!suppliers || suppliers.length === 0) return null;
  return (
    <section>
      <h3 className="group-title">Suppliers of the shop</h3>
      <ul className="rows">
        {suppliers.map((s) => (
          <li key={s.id} className="row-actions" style={{ marginTop: 0 }}>
            <span style={{ flex: 1 }}>
              {s.name} <span className="quiet">{counted(s.lines, 'line')} in all jobs</span>
            </span>
            {mayWrite && (
              <button
                type="button"
                className="plain-button small bare"
                aria-label={`Rename ${s.name}`}
                onClick={() => setRenaming(s)}
              >
                Rename
              </button>
            )}
          </li>
        ))}
      </ul>
      {renaming && <Rename supplier={renaming} close={() => setRenaming(undefined)} />}
    </section>
  );
}
