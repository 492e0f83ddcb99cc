import type { LogKind } from '@bay/core/logbook';
import type { Tx } from '../db/connection.ts';
import type { Caller } from '../http/register.ts';
import { Refusal } from '../http/problem.ts';
import { announce } from '../live/events.ts';

export interface LogLine {
  jobId: string;
  kind: LogKind;
  station?: string | undefined;
  text: string;
  about?: string | undefined;
  data?: Record<string, unknown>;
  /** Only the demo loader writes in the past. */
  at?: Date | undefined;
}

export async function writeLogEntry(tx: Tx, caller: Caller, entry: LogLine): Promise<number> {
  const row = await tx
    .insertInto('log_entry')
    .values({
      shop_id: caller.shopId,
      job_id: entry.jobId,
      kind: entry.kind,
      station: entry.station ?? null,
      text: entry.text,
      about: entry.about ?? null,
      data: JSON.stringify(entry.data ?? {}),
      by_id: caller.personId,
      ...(entry.at ? { at: entry.at } : {}),
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  return row.id;
}

/**
 * Every change is a command: one transaction that writes the rows, the log, and the notification. Its client-made id makes
 * it safe to send again: the second time it does nothing and answers the same.
 */
export async function runCommand<R extends object>(
  tx: Tx,
  caller: Caller,
  name: string,
  commandId: string,
  work: () => Promise<{ reply: R; jobId?: string; what?: string }>,
): Promise<R> {
  // Two copies of one command at once: the second waits for the first to commit.
  const claimed = await tx
    .insertInto('command')
    .values({ id: commandId, shop_id: caller.shopId, by_id: caller.personId, name })
    .onConflict((c) => c.column('id').doNothing())
    .returning('id')
    .executeTakeFirst();
  if (!claimed) {
    const earlier = await tx.selectFrom('command_reply').select('reply').where('command_id', '=', commandId).executeTakeFirst();
    if (!earlier) throw new Refusal(409, 'This command id is already taken.');
    return earlier.reply as R;
  }
  const { reply, jobId, what } = await work();
  await tx
    .insertInto('command_reply')
    .values({ command_id: commandId, shop_id: caller.shopId, reply: JSON.stringify(reply) })
    .execute();
  await announce(tx, { shopId: caller.shopId, jobId, what: what ?? name, by: caller.initials });
  return reply;
}
