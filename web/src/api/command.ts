import type { z } from 'zod';
import type { Endpoint } from '@bay/contract/endpoint';
import { undoCommand } from '@bay/contract/logbook';
import { call, formOf, newId, pathOf, sendRaw } from './client.ts';
import type { In } from './client.ts';
import { enqueue, outbox, sendFirst, withdraw } from './outbox.ts';
import type { Waiting } from './outbox.ts';
import { remember } from './done.ts';

let me: { id: string; name: string } | undefined;
/** Whose commands these are: what waits on a shared tablet is sent under the name of the one who did it. */
export const keepPerson = (person: { id: string; name: string } | null): void => {
  me = person ?? undefined;
};

export interface CommandOptions<E extends Endpoint> {
  /** What it is, for the strip that offers to take it back and for the list of what waits: "hold written". */
  label: string;
  jobId?: string | undefined;
  commandId?: string | undefined;
  /**
   * The answer a device gives itself when nobody answers. Left out, the command needs a connection: signing a gate, money,
   * people.
   */
  offline?: (() => z.output<E['reply']>) | undefined;
  /** Puts the screen back when a command that waits is taken back before it was sent. */
  restore?: (() => void) | undefined;
  /** It is not offered to be taken back. */
  lasting?: true;
  file?: Blob | undefined;
  signal?: AbortSignal | undefined;
}

/**
 * Sends a command and remembers it for half a minute, to be taken back. One that may wait is put into the outbox before it is sent: what
 * was typed is on the device whatever becomes of the network or the page, and when nobody answers the screen goes on as if it were
 * done. What waits already is never overtaken.
 */
export async function command<E extends Endpoint>(
  endpoint: E,
  input: Omit<In<E>, 'body'> & { body: object },
  options: CommandOptions<E>,
): Promise<z.output<E['reply']>> {
  const commandId = options.commandId ?? newId();
  const { method } = endpoint;
  const url = pathOf(endpoint, input.params);
  const { label, jobId, offline, file, signal } = options;
  const done = { commandId, label, jobId, at: Date.now() };
  if (offline && me) {
    const ahead =
      navigator.onLine === false || outbox.now().some((w) => w.personId === me?.id && w.state === 'waiting');
    const body = { ...input.body } as Record<string, unknown>;
    const item = { commandId, personId: me.id, by: me.name, jobId, label, method, url, body, file };
    // A device that can keep nothing (a private window) can still send.
    const kept = await enqueue(item, ahead ? 'waiting' : 'sending').catch(() => undefined);
    if (kept) {
      const sent = ahead ? 'waits' : await sendFirst(kept, signal);
      if (sent !== 'waits') {
        if (!options.lasting) remember(done);
        return sent.reply as z.output<E['reply']>;
      }
      remember({
        ...done,
        label: `${label}, waits to be sent`,
        takeBack: () => takeBackWaiting(kept, options.restore),
      });
      return offline();
    }
  }
  // It carries who wrote it: an answer or a switch that comes between sends nothing under another name.
  const body = { ...input.body, commandId, ...(me ? { writtenBy: me.id } : {}) };
  const reply = (await sendRaw(method, url, file ? formOf(body, file) : body, signal)) as z.output<E['reply']>;
  if (!options.lasting) remember(done);
  return reply;
}

/** Takes back what waited: here while it never left, at the server when it did. */
async function takeBackWaiting(w: Waiting, restore: (() => void) | undefined): Promise<void> {
  const { method } = undoCommand;
  const undo = { method, url: pathOf(undoCommand, { target: w.commandId }), body: { orRefuseIt: true } };
  const how = await withdraw(w, undo);
  if (how === 'sent') await call(undoCommand, { params: { target: w.commandId }, body: { commandId: newId() } });
  else restore?.();
}
