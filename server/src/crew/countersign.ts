import type { RequestHandler } from 'express';
import type { Tries } from '../http/tries.ts';
import * as contract from '@bay/contract/records';
import { may } from '@bay/contract/rights';
import { runCommand } from '../commands/run.ts';
import { Refusal } from '../http/problem.ts';
import type { Registry } from '../http/register.ts';
import { writeSecond } from '../records/store.ts';
import { personWithPin, pinTries } from './pins.ts';

export function countersignRoutes(on: Registry, counting: Tries): void {
  const tries = pinTries(counting);
  // Only a PIN that is tried is counted; a person in their own session signs without one.
  const whereTried: RequestHandler = (req, res, next) =>
    (req.body as { person?: unknown } | undefined)?.person ? tries(req, res, next) : next();
  on.shop(
    contract.countersign,
    (tx, { params, body }, caller) =>
      runCommand(tx, caller, 'countersign', body, async () => {
        const signer = body.person
          ? await personWithPin(tx, body.person.personId, body.person.pin)
          : { id: caller.personId, name: caller.name, role: caller.role };
        if (!may(signer.role, 'sign-gates')) throw new Refusal(403, 'Your role does not sign gates.');
        const record = await writeSecond(
          tx,
          caller,
          { personId: signer.id, name: signer.name },
          { ...params, revision: body.revision },
        );
        return { reply: { record }, jobId: params.jobId };
      }),
    whereTried,
  );
}
