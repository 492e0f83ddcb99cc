import type { z } from 'zod';
import type { Endpoint } from '@bay/contract/endpoint';
import { newId, pathOf, Refused, sendRaw } from './client.ts';
import type { In } from './client.ts';
import { drop, enqueue, outbox } from './outbox.ts';
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
 * Sends a command. With a network it is sent at once and can be taken back for half a minute. Without one it waits on the
 * device, if it may, and the screen goes on as if it were done. What waits already is never overtaken.
 */
export async function command<E extends Endpoint>(
  endpoint: E,
  input: Omit<In<E>, 'body'> & { body: object },
  options: CommandOptions<E>,
): Promise<z.output<E['reply']>> {
  const commandId = options.commandId ?? newId();
  const { method } = endpoint;
  const url = pathOf(endpoint, input.params);
  // It carries who wrote it: an answer or a switch that comes between sends nothing under another name.
  const body: Record<string, unknown> = { ...input.body, ...(me ? { writtenBy: me.id } : {}) };
  const { label, jobId, offline, file } = options;
  const ahead = outbox.now().some((w) => w.personId === me?.id && w.state === 'waiting');
  if (!ahead || !offline) {
    try {
      const reply = (await sendRaw(
        method,
        url,
        file ? formOf({ ...body, commandId }, file) : { ...body, commandId },
        options.signal,
      )) as z.output<E['reply']>;
      if (!options.lasting) remember({ commandId, label, jobId, at: Date.now() });
      return reply;
    } catch (error) {
      if (!(error instanceof Refused) || !error.unanswered || !offline || !me) throw error;
    }
  }
  if (!me)
    throw new Refused({
      type: 'about:blank',
      code: 'signed-out',
      title: 'Nobody is at this device. Tap your name.',
      status: 401,
    });
  const waiting = await enqueue({ commandId, personId: me.id, by: me.name, jobId, label, method, url, body, file });
  remember({ commandId, label, jobId, at: Date.now(), takeBack: () => drop(waiting).then(options.restore) });
  return offline();
}

export function formOf(fields: Readonly<Record<string, unknown>>, file: Blob): FormData {
  const form = new FormData();
  for (const [name, value] of Object.entries(fields))
    if (value !== undefined) form.append(name, typeof value === 'string' ? value : JSON.stringify(value));
  form.append('file', file);
  return form;
}
