import { sql } from 'kysely';
import * as contract from '@bay/contract/handover';
import { runCommand, writeLogEntry } from '../commands/run.ts';
import type { Tx } from '../db/connection.ts';
import type { Registry } from '../http/register.ts';
import { readHead } from '../jobs/store.ts';
import { readPage } from '../logbook/store.ts';

const shownLines = 60;

/** The last line this person knows: what they wrote themselves, or stood in the book when they took the job over. */
async function lastKnown(tx: Tx, jobId: string, personId: string): Promise<{ id: number; at: string } | undefined> {
  const { rows } = await sql<{ id: number | null; at: Date | null }>`
    select id, at from (
      select log_id as id, at from looked where job_id = ${jobId} and person_id = ${personId}
      union all (select id, at from log_entry where job_id = ${jobId} and by_id = ${personId} order by id desc limit 1)
    ) known order by id desc limit 1`.execute(tx);
  const row = rows[0];
  return !row || row.id === null ? undefined : { id: row.id, at: row.at!.toISOString() };
}

export function takeoverRoutes(on: Registry): void {
  on.shop(contract.readTakeover, async (tx, { params }, caller) => {
    await readHead(tx, params.jobId);
    const known = await lastKnown(tx, params.jobId, caller.personId);
    const { n } = await tx
      .selectFrom('log_entry')
      .select(({ fn }) => fn.countAll<number>().as('n'))
      .where('job_id', '=', params.jobId)
      .where('id', '>', known?.id ?? 0)
      .executeTakeFirstOrThrow();
    const { entries } = await readPage(tx, params.jobId, undefined, shownLines);
    const fresh = entries.filter((e) => e.id > (known?.id ?? 0));
    return { since: known?.at ?? null, entries: fresh, more: Number(n) - fresh.length };
  });

  on.shop(contract.takeOver, (tx, { params, body }, caller) =>
    runCommand(tx, caller, 'take-over', body, async () => {
      await readHead(tx, params.jobId);
      const logId = await writeLogEntry(tx, caller, {
        jobId: params.jobId,
        kind: 'takeover',
        text: 'takes the job over, sheet read',
      });
      const row = {
        shop_id: caller.shopId,
        job_id: params.jobId,
        person_id: caller.personId,
        log_id: logId,
        at: new Date(),
      };
      await tx
        .insertInto('looked')
        .values(row)
        .onConflict((c) => c.columns(['shop_id', 'job_id', 'person_id']).doUpdateSet(row))
        .execute();
      return { reply: { at: row.at.toISOString() }, jobId: params.jobId };
    }),
  );
}
