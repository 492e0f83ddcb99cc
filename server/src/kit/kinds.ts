import { kitLineOf } from '@bay/core/kit';
import { kindRule, stamped } from '../records/kind.ts';

const words = { wanted: 'wanted', ordered: 'ordered', here: 'here', fitted: 'fitted', 'sent-back': 'sent back', 'not-needed': 'not needed' } as const;

export const kitKinds = [
  kindRule({
    kind: 'kit',
    logKind: 'kit',
    prepare: (data, context) => stamped(data, context),
    describe: (data, { key }) =>
      `${words[data.status]}: ${kitLineOf(key).title}${data.options ? `, ${data.options}` : ''}${data.note ? ` (${data.note})` : ''}`,
  }),
];
