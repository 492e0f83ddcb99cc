import { kitLineOf, kitLines } from '@bay/core/kit';
import { noteChange } from '../commands/run.ts';
import { badInput, notFound } from '../http/problem.ts';
import { kindRule } from '../records/kind.ts';

const words = {
  wanted: 'wanted',
  ordered: 'ordered',
  here: 'here',
  fitted: 'fitted',
  'sent-back': 'sent back',
  'not-needed': 'not needed',
} as const;

export const kitKinds = [
  kindRule({
    kind: 'kit',
    logKind: 'kit',
    home: {
      table: 'kit_line',
      columns: { status: 'status', options: 'options', note: 'note', supplierId: 'supplier_id' },
    },
    check: (_data, { key }) => {
      if (!kitLines.some((l) => l.id === key)) throw notFound('This kit line');
    },
    complete: async (tx, data) => {
      const known =
        !data.supplierId ||
        (await tx.selectFrom('supplier').select('id').where('id', '=', data.supplierId).executeTakeFirst());
      if (!known) throw badInput({ 'data.supplierId': 'This supplier is not in the list.' });
      return data;
    },
    after: (_tx, data, { before, caller }) => {
      if (data.supplierId !== before?.supplierId) noteChange(caller, { kind: 'suppliers' });
      return Promise.resolve();
    },
    describe: (data, { key }) =>
      `${words[data.status]}: ${kitLineOf(key).title}${data.options ? `, ${data.options}` : ''}${data.note ? ` (${data.note})` : ''}`,
  }),
];
