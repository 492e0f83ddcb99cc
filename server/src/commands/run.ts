import { sql } from 'kysely';
import type { LogKind } from '@bay/core/logbook';
import type { Change } from '@bay/contract/live';
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
  const at = entry.at ?? caller.command?.at;
  const row = await tx
    .insertInto('log_entry')
    .values({
      shop_id: caller.shopId,
      job_id: entry.jobId,
      kind: entry.kind,
      station: entry.station ?? null,
      text: entry.text,
      // What the writer said it belongs to goes before what the record would say of itself.
      about: caller.command?.about ?? entry.about ?? null,
      data: JSON.stringify(entry.data ?? {}),
      by_id: caller.personId,
      command_id: caller.command?.id ?? null,
      ...(at ? { at } : {}),
      // What the demo loader writes in the past was not late.
      ...(entry.at ? { received_at: entry.at } : {}),
    })
    .returning('id')
    .executeTakeFirstOrThrow();
  noteChange(caller, { kind: 'log', entryId: row.id });
  return row.id;
}

/** Says what the running command changed; told to every device at its commit. */
export const noteChange = (caller: Caller, change: Change): void => void caller.command?.changes.push(change);

/** When the running command was done: now, or as long ago as the device says that it waited there. */
export const momentOf = (caller: Caller, at?: Date): Date => at ?? caller.command?.at ?? new Date();

/** Name of a command that was taken back before it came: nothing is ever done under its id. */
export const takenBack = 'taken-back';

export interface CommandHead {
  commandId: string;
  agoMs?: number | undefined;
  writtenBy?: string | undefined;
}

/**
 * Every change is a command: one transaction that writes the rows, the log, and the notification. Its client-made id makes
 * it safe to send again: the second time it does nothing and answers the same. The rows it changes are kept for a while as
 * they were, so that it can be undone.
 */
export async function runCommand<R extends object>(
  tx: Tx,
  caller: Caller,
  name: string,
  head: CommandHead,
  work: () => Promise<{ reply: R; jobId?: string | undefined }>,
): Promise<R> {
  if (head.writtenBy !== undefined && head.writtenBy.toLowerCase() !== caller.personId)
    throw new Refusal(409, 'Somebody else is at this device now. It is sent when the one who wrote it is back.', {
      code: 'somebody-else',
    });
  // Two copies of one command at once: the second waits for the first to commit.
  const claimed = await tx
    .insertInto('command')
    .values({
      id: head.commandId,
      shop_id: caller.shopId,
      by_id: caller.personId,
      name,
      digest: caller.asked ?? null,
    })
    .onConflict((c) => c.columns(['shop_id', 'id']).doNothing())
    .returning('id')
    .executeTakeFirst();
  if (!claimed) {
    const earlier = await tx
      .selectFrom('command')
      .leftJoin('command_reply', 'command.id', 'command_id')
      .select(['name', 'reply', 'digest'])
      .where('command.id', '=', head.commandId)
      .where('by_id', '=', caller.personId)
      .executeTakeFirst();
    if (earlier?.name === takenBack)
      throw new Refusal(409, 'This was taken back before it came here. Nothing was written.');
    if (!earlier?.reply || (earlier.digest !== null && earlier.digest !== (caller.asked ?? null)))
      throw new Refusal(409, 'This command id is already taken. Nothing was written.');
    return earlier.reply as R;
  }
  caller.command = {
    id: head.commandId,
    changes: [],
    ...(head.agoMs ? { at: new Date(Date.now() - head.agoMs) } : {}),
  };
  await sql`select set_config('bay.command', ${head.commandId}, true)`.execute(tx);
  const { reply, jobId } = await work();
  await tx
    .insertInto('command_reply')
    .values({ command_id: head.commandId, shop_id: caller.shopId, reply: JSON.stringify(reply) })
    .execute();
  await announce(tx, {
    shopId: caller.shopId,
    jobId,
    by: caller.initials,
    id: head.commandId,
    changes: caller.command.changes,
  });
  return reply;
}
