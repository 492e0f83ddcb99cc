import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { addSupplier, listSuppliers } from '@bay/contract/kit';
import type { Supplier } from '@bay/contract/kit';
import { call, command, keys, newId } from '../api/index.ts';

/** Whom the shop buys from, the same in every job; nothing while that is not known here. */
export const useSuppliers = (): readonly Supplier[] | undefined =>
  useQuery({ queryKey: keys.suppliers, queryFn: () => call(listSuppliers) }).data?.suppliers;

/** The id of a supplier by the name that was typed: the one there is, or a new one. */
export function useSupplierByName() {
  const client = useQueryClient();
  const known = useSuppliers();
  return useMutation({
    mutationFn: async (typed: string): Promise<string | undefined> => {
      const name = typed.trim();
      if (name === '') return undefined;
      const same = known?.find((s) => s.name.toLowerCase() === name.toLowerCase());
      if (same) return same.id;
      const supplierId = newId();
      const { supplier } = await command(
        addSupplier,
        { body: { supplierId, name } },
        { label: 'supplier added', offline: () => ({ supplier: { id: supplierId, name, revision: 1, lines: 0 } }) },
      );
      client.setQueryData<{ suppliers: Supplier[] }>(
        keys.suppliers,
        (old) => old && { suppliers: [...old.suppliers.filter((s) => s.id !== supplier.id), supplier] },
      );
      return supplier.id;
    },
  });
}
