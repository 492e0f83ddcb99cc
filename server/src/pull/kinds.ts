import { planInputOf, recordsOf, workSteps } from '@bay/core/jobs';
import { computePlan, taskTitle } from '@bay/core/plan';
import type { TaskRecord } from '@bay/core/pull';
import { startClock, stopClock } from '../clock/store.ts';
import type { Tx } from '../db/connection.ts';
import { readMaterial } from '../jobs/store.ts';
import { readShopSchools } from '../plan/store.ts';
import { kindRule, stamped } from '../records/kind.ts';

const words = { open: 'undone', 'on-it': 'started', done: 'done', waived: 'not needed here' } as const;

async function stepOf(tx: Tx, jobId: string, key: string) {
  const material = (await readMaterial(tx, [jobId])).get(jobId)!;
  const plan = computePlan(planInputOf({ jobId, ...material, shopSchools: await readShopSchools(tx) }));
  return workSteps(plan, recordsOf<TaskRecord>(material, 'task'), true).find((s) => s.key === key);
}

export const pullKinds = [
  kindRule({
    kind: 'task',
    logKind: 'step',
    prepare: (data, context) => stamped(data, context),
    describe: (data, { key }) => {
      const handed = data.handedTo ? `, handed over to ${data.handedTo}` : '';
      return `${words[data.status]}: ${taskTitle(key)}${handed}${data.note ? ` (${data.note})` : ''}`;
    },
    // One tap starts a step and its clock; what ends the step ends the clock that ran on it.
    after: async (tx, data, { key, jobId, caller, at }) => {
      if (data.status === 'on-it') {
        const step = await stepOf(tx, jobId, key);
        await startClock(tx, caller, {
          jobId,
          about: key,
          title: taskTitle(key),
          station: step?.station ?? 'pull',
          work: 'work',
          estimate: step?.minutes,
          at: new Date(at),
        });
      } else await stopClock(tx, caller, new Date(at), key);
    },
  }),
];
