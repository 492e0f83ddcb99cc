import { readAgreement, solvePosition } from '@bay/contract/fit';
import { agreementOf } from '@bay/core/fit';
import type { Registry } from '../http/register.ts';
import { turnsOf } from '../http/turns.ts';
import { solveInThread } from './solve.ts';
import { forecastsRead } from './store.ts';

/** A shop's problems one after the other: each takes a whole core. */
const inTurn = turnsOf(1);

export function fitRoutes(on: Registry): void {
  on.lookedUp(
    solvePosition,
    () => Promise.resolve(),
    (_, { body, res }, { shopId }) => {
      const gone = new AbortController();
      res.once('close', () => gone.abort());
      return inTurn(shopId, () => solveInThread(body, gone.signal));
    },
  );
  on.shop(readAgreement, async (tx) => {
    const agreement = agreementOf(await forecastsRead(tx));
    return agreement ? { agreement } : {};
  });
}
