import * as contract from '@bay/contract/donors';
import type { Registry } from '../http/register.ts';
import { readHead } from '../jobs/store.ts';
import { wantedBut } from './wanted.ts';

export function donorRoutes(on: Registry): void {
  on.shop(contract.readWanted, async (tx, { params: { jobId } }) => {
    await readHead(tx, jobId);
    return { wanted: await wantedBut(tx, jobId) };
  });
}
