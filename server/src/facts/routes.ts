import * as contract from '@bay/contract/facts';
import type { FactRow } from '@bay/contract/facts';
import { runCommand } from '../commands/run.ts';
import type { Registry } from '../http/register.ts';
import { readHead } from '../jobs/store.ts';
import { bearerId, writeFact } from './store.ts';

export function factRoutes(on: Registry): void {
  on.shop(contract.putFact, (tx, { params, body }, caller) =>
    runCommand(tx, caller, 'put-fact', body, async () => ({
      reply: await writeFact(tx, caller, { ...params, ...body }),
      jobId: params.jobId,
    })),
  );

  on.shop(contract.factHistory, async (tx, { params }) => {
    await readHead(tx, params.jobId);
    const bearer = await bearerId(tx, params.jobId, params.bearer, params.factId);
    const rows = await tx
      .selectFrom('fact_version')
      .innerJoin('person', 'person.id', 'fact_version.by_id')
      .select([
        'fact_version.parts',
        'fact_version.typed',
        'fact_version.source',
        'fact_version.note',
        'fact_version.at',
        'fact_version.revision',
        'person.name as by',
      ])
      .where('bearer_id', '=', bearer)
      .where('fact_id', '=', params.factId)
      .orderBy('fact_version.id', 'desc')
      .limit(50)
      .execute();
    return {
      versions: rows.map((r): FactRow => ({
        bearerId: bearer,
        factId: params.factId,
        parts: r.parts,
        typed: r.typed,
        source: r.source as FactRow['source'],
        note: r.note,
        by: r.by,
        at: r.at.toISOString(),
        revision: r.revision,
      })),
    };
  });
}
