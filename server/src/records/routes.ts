import * as contract from '@bay/contract/records';
import { runCommand } from '../commands/run.ts';
import type { Registry } from '../http/register.ts';
import { writeRecord } from './store.ts';

export function recordRoutes(on: Registry): void {
  on.shop(contract.putRecord, (tx, { params, body }, caller) =>
    runCommand(tx, caller, 'put-record', body, async () => {
      const record = await writeRecord(tx, caller, { ...params, data: body.data, revision: body.revision });
      return { reply: { record }, jobId: params.jobId };
    }),
  );
}
