import { kitLineOf, kitLines } from '@bay/core/kit';
import { notFound } from '../http/problem.ts';
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
    check: (_data, { key }) => {
      if (!kitLines.some((l) => l.id === key)) throw notFound('This kit line');
    },
    describe: (data, { key }) =>
      `${words[data.status]}: ${kitLineOf(key).title}${data.options ? `, ${data.options}` : ''}${data.note ? ` (${data.note})` : ''}`,
  }),
];
