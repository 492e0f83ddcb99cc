import { kitLines, orderStops } from '@bay/core/kit';
import { isOwn } from '@bay/core/memory';
import { titleOf } from '@bay/core/plan';
import type { KitRecord } from '@bay/core/kit';
import type { Tx } from '../db/connection.ts';
import { planNow } from '../plan/material.ts';
import { noteChange } from '../commands/run.ts';
import { badInput, notFound, Refusal } from '../http/problem.ts';
import { kindRule } from '../records/kind.ts';

const words = {
  wanted: 'wanted',
  ordered: 'ordered',
  here: 'here',
  fitted: 'fitted',
  'sent-back': 'sent back',
  'not-needed': 'not needed',
} as const;

/** An order stops at a blank, at a proposal nobody chose, and at what nobody knows to be needed; somebody may say by name why it goes out all the same. */
async function mayBeOrdered(tx: Tx, jobId: string, key: string, data: KitRecord): Promise<void> {
  const { plan } = await planNow(tx, jobId);
  const line = plan.kit.find((l) => l.def.id === key);
  if (!line) throw new Refusal(409, 'This job does not ask for it: nothing of it is ordered.');
  const stops = orderStops(line, plan.facts, data);
  if (stops.length > 0 && !data.despite) throw new Refusal(409, `Not to be ordered yet: ${stops.join('; ')}.`);
}

export const kitKinds = [
  kindRule({
    kind: 'kit',
    logKind: 'kit',
    home: {
      table: 'kit_line',
      columns: { status: 'status', options: 'options', note: 'note', supplierId: 'supplier_id', despite: 'despite' },
    },
    check: (_data, { key }) => {
      if (!isOwn(key) && !kitLines.some((l) => l.id === key)) throw notFound('This kit line');
    },
    complete: async (tx, data, { jobId, key, before }) => {
      const known =
        !data.supplierId ||
        (await tx.selectFrom('supplier').select('id').where('id', '=', data.supplierId).executeTakeFirst());
      if (!known) throw badInput({ 'data.supplierId': 'This supplier is not in the list.' });
      if (isOwn(key) && !before && !(await planNow(tx, jobId)).plan.kit.some((l) => l.def.id === key))
        throw notFound('This kit line');
      if (data.status === 'ordered' && before?.status !== 'ordered') await mayBeOrdered(tx, jobId, key, data);
      return data;
    },
    after: (_tx, data, { before, caller }) => {
      if (data.supplierId !== before?.supplierId) noteChange(caller, { kind: 'suppliers' });
      return Promise.resolve();
    },
    describe: (data, { key }) =>
      `${words[data.status]}: ${titleOf(key)}${data.options ? `, ${data.options}` : ''}${data.note ? ` (${data.note})` : ''}${data.status === 'ordered' && data.despite ? `, ordered although something was open: ${data.despite}` : ''}`,
  }),
];
