import { titleOf } from '@bay/core/plan';
import { buildSteps } from '@bay/core/prep';
import { kindRule, stamped } from '../records/kind.ts';

const buildTitle = (key: string): string => buildSteps.find((s) => s.id === key)?.title ?? titleOf(key.replace(/^donor-/, ''));
const words = { open: 'undone', 'on-it': 'started', done: 'done', waived: 'not needed here' } as const;

export const pullKinds = [
  kindRule({
    kind: 'task',
    logKind: 'step',
    prepare: (data, context) => stamped(data, context),
    describe: (data, { key }) => {
      const handed = data.handedTo ? `, handed over to ${data.handedTo}` : '';
      return `${words[data.status]}: ${buildTitle(key)}${handed}${data.note ? ` (${data.note})` : ''}`;
    },
  }),
];
