import * as contract from '@bay/contract/parts';
import { notFound } from '../http/problem.ts';
import type { Registry } from '../http/register.ts';
import { readHead } from '../jobs/store.ts';
import { readNames, shownRow } from '../records/shown.ts';
import { findRecord } from '../records/store.ts';

export function partRoutes(on: Registry): void {
  on.shop(contract.readPart, async (tx, { params }) => {
    const part = await tx
      .selectFrom('part')
      .select(['job_id', 'key'])
      .where('id', '=', params.partId)
      .executeTakeFirst();
    if (!part) throw notFound('This part');
    const job = await readHead(tx, part.job_id);
    const { data, revision, by, at } = (await findRecord(tx, part.job_id, 'part', part.key))!;
    const record = shownRow(
      { kind: 'part', key: part.key, data, revision, by, at: at.toISOString() },
      await readNames(tx),
    );
    return { jobId: job.id, number: job.number, carName: job.carName, record };
  });
}
