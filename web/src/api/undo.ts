import { undoCommand } from '@bay/contract/logbook';
import { call, newId } from './client.ts';
import { forget } from './done.ts';
import type { Done } from './done.ts';

/** Takes the last thing back. What it was is said by the answer; a refusal is thrown with its sentence. */
export async function takeBack(d: Done): Promise<void> {
  if (d.takeBack) await d.takeBack();
  else await call(undoCommand, { params: { target: d.commandId }, body: { commandId: newId() } });
  forget(d);
}
