import * as contract from '@bay/contract/jobs';
import { notFound } from '../http/problem.ts';
import type { Registry } from '../http/register.ts';
import { readHead } from '../jobs/store.ts';
import { readNames, shownRow } from '../records/shown.ts';

export function donorRoutes(on: Registry): void {
  on.shop(contract.readPart, async (tx, { params }) => {
    const row = await tx
      .selectFrom('record')
      .innerJoin('person', 'person.id', 'record.by_id')
      .select(['record.job_id', 'record.data', 'record.revision', 'record.at', 'person.name as by'])
      .where('kind', '=', 'part')
      .where('key', '=', params.partId)
      .executeTakeFirst();
    if (!row) throw notFound('This part');
    const job = await readHead(tx, row.job_id);
    const { data, revision, by, at } = row;
    const record = shownRow(
      { kind: 'part', key: params.partId, data, revision, by, at: at.toISOString() },
      await readNames(tx),
    );
    return { jobId: job.id, number: job.number, carName: job.carName, record };
  });
}
