import { kitLineOf, kitLines } from '@bay/core/kit';
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
    describe: (data, { key }) =>
      `${words[data.status]}: ${kitLineOf(key).title}${data.options ? `, ${data.options}` : ''}${data.note ? ` (${data.note})` : ''}`,
  }),
];
