import { z } from 'zod';
import { kitStatuses } from '@bay/core/kit';
import { command, endpoint, id, line } from './endpoint.ts';
import { kind, text } from './kind.ts';
import { amountOfMoney } from './money.ts';

export const kitKinds = {
  kit: kind<'kit'>(
    z.object({
      status: z.enum(kitStatuses),
      options: text(300).optional(),
      note: text(500).optional(),
      despite: text(300).min(10, 'Say it in a sentence.').optional(),
      supplierId: id.optional(),
      price: amountOfMoney.optional(),
    }),
    { money: 'price' },
  ),
};

/** Somebody the shop buys from; the same in every job. */
export const supplier = z.object({
  id,
  name: z.string(),
  revision: z.number(),
  /** Kit lines, of any job, that come from there. */
  lines: z.number(),
});
export type Supplier = z.infer<typeof supplier>;

export const listSuppliers = endpoint({
  method: 'get',
  path: '/api/suppliers',
  summary: 'Whom the shop buys from',
  access: 'look',
  reply: z.object({ suppliers: z.array(supplier) }),
});
export const addSupplier = endpoint({
  method: 'post',
  path: '/api/suppliers',
  summary: 'Somebody new to buy from; one of that name is taken as the same',
  access: 'work',
  body: z.object({ ...command, supplierId: id, name: line(80) }),
  reply: z.object({ supplier }),
});
export const renameSupplier = endpoint({
  method: 'put',
  path: '/api/suppliers/:supplierId',
  summary: 'A supplier has another name; what came from there stays',
  access: 'work',
  params: z.object({ supplierId: id }),
  body: z.object({ ...command, name: line(80), revision: z.number().int().min(1) }),
  reply: z.object({ supplier }),
});
