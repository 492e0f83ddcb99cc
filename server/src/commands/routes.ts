import * as contract from '@bay/contract/logbook';
import type { Registry } from '../http/register.ts';
import { withMoney } from '../db/sees-money.ts';
import { noteChange, runCommand } from './run.ts';
import { undoCommand } from './undo.ts';

export function commandRoutes(on: Registry): void {
  on.shop(contract.undoCommand, (tx, { params, body }, caller) =>
    runCommand(tx, caller, 'undo', body, async () => {
      const { undone, jobIds } = await withMoney(tx, () => undoCommand(tx, caller, params.target, body.orRefuseIt));
      noteChange(caller, { kind: 'all' });
      return { reply: { undone }, jobId: jobIds[0] };
    }),
  );
}
