import * as contract from '@bay/contract/logbook';
import { runCommand } from '../commands/run.ts';
import type { Registry } from '../http/register.ts';
import { readHead } from '../jobs/store.ts';
import { readPage, writeLine } from './store.ts';

export function logbookRoutes(on: Registry): void {
  on.shop(contract.readLog, async (tx, { params, query }) => {
    await readHead(tx, params.jobId);
    return readPage(tx, params.jobId, query.before, query.limit);
  });

  on.shop(contract.writeLog, (tx, { params, body }, caller) =>
    runCommand(tx, caller, 'write-log', body.commandId, async () => ({
      reply: { entry: await writeLine(tx, caller, params.jobId, body.line, body.today) },
      jobId: params.jobId,
      what: 'log',
    })),
  );
}
