import { sql } from 'kysely';
import * as contract from '@bay/contract/kit';
import type { Supplier } from '@bay/contract/kit';
import { noteChange, runCommand } from '../commands/run.ts';
import type { Tx } from '../db/connection.ts';
import { notFound, Refusal } from '../http/problem.ts';
import type { Registry } from '../http/register.ts';

async function suppliersOf(tx: Tx, only?: { id: string } | { name: string }): Promise<Supplier[]> {
  let query = tx
    .selectFrom('supplier')
    .select((s) => [
      'id',
      'name',
      'revision',
      s
        .selectFrom('kit_line')
        .select(s.fn.countAll<number>().as('n'))
        .whereRef('kit_line.supplier_id', '=', 'supplier.id')
        .as('lines'),
    ])
    .orderBy(sql`lower(name)`);
  if (only && 'id' in only) query = query.where('id', '=', only.id);
  if (only && 'name' in only) query = query.where(sql`lower(name)`, '=', only.name.toLowerCase());
  return (await query.execute()).map((s) => ({ ...s, lines: s.lines ?? 0 }));
}

export function supplierRoutes(on: Registry): void {
  on.shop(contract.listSuppliers, async (tx) => ({ suppliers: await suppliersOf(tx) }));

  on.shop(contract.addSupplier, (tx, { body }, caller) =>
    runCommand(tx, caller, 'add-supplier', body, async () => {
      const { supplierId: id, name } = body;
      await tx
        .insertInto('supplier')
        .values({ id, shop_id: caller.shopId, name })
        .onConflict((c) => c.doNothing())
        .execute();
      const [supplier] = await suppliersOf(tx, { name });
      if (!supplier) throw new Refusal(409, 'This id belongs to another supplier.');
      noteChange(caller, { kind: 'suppliers' });
      return { reply: { supplier } };
    }),
  );

  on.shop(contract.renameSupplier, (tx, { params, body }, caller) =>
    runCommand(tx, caller, 'rename-supplier', body, async () => {
      const [now] = await suppliersOf(tx, { id: params.supplierId });
      if (!now) throw notFound('This supplier');
      if (now.revision !== body.revision)
        throw new Refusal(409, `Somebody named it ${now.name} meanwhile.`, { current: now });
      const [same] = await suppliersOf(tx, { name: body.name });
      if (same && same.id !== now.id) throw new Refusal(409, `${same.name} is in the list already.`);
      const renamed = await tx
        .updateTable('supplier')
        .set({ name: body.name, revision: now.revision + 1 })
        .where('id', '=', now.id)
        .where('revision', '=', body.revision)
        .returning('id')
        .executeTakeFirst();
      if (!renamed) throw new Refusal(409, 'Somebody gave it another name meanwhile.');
      noteChange(caller, { kind: 'suppliers' });
      return { reply: { supplier: { ...now, name: body.name, revision: now.revision + 1 } } };
    }),
  );
}
