import { stepBasis, taskTitle } from '@bay/core/plan';
import { startClock, stopClock } from '../clock/store.ts';
import { kindRule } from '../records/kind.ts';

const words = { open: 'undone', 'on-it': 'started', done: 'done', waived: 'not needed here' } as const;

export const pullKinds = [
  kindRule({
    kind: 'task',
    logKind: 'step',
    describe: (data, { key }) => {
      const handed = data.handedTo ? `, handed over to ${data.handedTo}` : '';
      return `${words[data.status]}: ${taskTitle(key)}${handed}${data.note ? ` (${data.note})` : ''}`;
    },
    // One tap starts a step and its clock; what ends the step ends the clock that ran on it.
    after: async (tx, data, { key, jobId, caller, at }) => {
      if (data.status === 'on-it') {
        const { station, minutes } = stepBasis(key);
        await startClock(tx, caller, {
          jobId,
          about: key,
          title: taskTitle(key),
          station,
          work: 'work',
          estimate: minutes,
          at: new Date(at),
        });
      } else await stopClock(tx, caller, new Date(at), key);
    },
  }),
];
