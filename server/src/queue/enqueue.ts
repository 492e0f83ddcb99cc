import { sql } from 'kysely';
import type { Tx } from '../db/connection.ts';

/** Work that is done beside the answers to people, by any worker on any machine. */
export interface Tasks {
  /** Makes the small copies of a photo. */
  'photo-copies': { shopId: string; photoId: string };
  /** Forgets what is kept for a while only: changes that can no longer be undone, replies nobody asks for again. */
  forget: Record<string, never>;
}

/** Puts work into the queue; it is there when the transaction commits, and only then. */
export const enqueue = <T extends keyof Tasks>(tx: Tx, task: T, payload: Tasks[T]): Promise<unknown> =>
  sql`select enqueue(${task}, ${JSON.stringify(payload)}::json)`.execute(tx);
