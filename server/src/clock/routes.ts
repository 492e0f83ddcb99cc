import * as contract from '@bay/contract/clock';
import { runCommand, writeLogEntry } from '../commands/run.ts';
import type { Registry } from '../http/register.ts';
import { readHead } from '../jobs/store.ts';
import { clockOff, clocksOfJob, correctClock, startClock } from './store.ts';

export function clockRoutes(on: Registry): void {
  on.shop(contract.startClock, (tx, { params, body }, caller) =>
    runCommand(tx, caller, 'start-clock', body, async () => {
      await readHead(tx, params.jobId);
      const clock = await startClock(tx, caller, { ...body, jobId: params.jobId });
      await writeLogEntry(tx, caller, {
        jobId: params.jobId,
        kind: 'clock',
        station: body.station,
        about: body.about,
        text: `on: ${body.title}${body.work === 'work' ? '' : `, ${body.work}`}${body.redoes ? `, redoes ${body.redoes}` : ''}`,
      });
      return { reply: { clock }, jobId: params.jobId };
    }),
  );

  on.shop(contract.stopClock, (tx, { body }, caller) =>
    runCommand(tx, caller, 'stop-clock', body, async () => {
      const clock = await clockOff(tx, caller);
      return { reply: { clock: clock ?? null }, ...(clock ? { jobId: clock.jobId } : {}) };
    }),
  );

  on.shop(contract.correctClock, (tx, { params, body }, caller) =>
    runCommand(tx, caller, 'correct-clock', body, async () => {
      const clock = await correctClock(tx, caller, params.clockId, body);
      return { reply: { clock }, jobId: clock.jobId };
    }),
  );

  on.shop(contract.readClocks, async (tx, { params }) => {
    await readHead(tx, params.jobId);
    return { clocks: await clocksOfJob(tx, params.jobId) };
  });
}
