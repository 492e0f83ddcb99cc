import type { z } from 'zod';
import type { Endpoint, Problem } from '@bay/contract/endpoint';
import { undoCommand } from '@bay/contract/logbook';
import { remember } from './done.ts';
import { heardTime } from './now.ts';

/** An answer that was not what was asked for: the server's sentence, or that there was none. */
export class Refused extends Error {
  readonly problem: Problem;

  constructor(problem: Problem) {
    super(problem.title);
    this.problem = problem;
  }

  /** Nobody answered: no network, or no server. */
  get unanswered(): boolean {
    return this.problem.code === 'no-connection';
  }
}

let token = '';
let owner: string | undefined;
/** The session's token, sent back with every change, and whose it is. */
export const keepToken = (next: string, personId: string | undefined): void => {
  token = next;
  owner = personId;
};

/**
 * A page that was kept, or another tab's change of person, leaves an old token here. It is asked for anew, and taken only when
 * the same person is still at the device: nobody writes under a name that the screen does not show.
 */
async function renewToken(): Promise<boolean> {
  const answer = await fetch('/api/me', { credentials: 'same-origin' }).catch(() => undefined);
  if (!answer?.ok) return false;
  const me = (await answer.json()) as { token: string; person: { id: string } | null };
  if (me.person === null || me.person.id !== owner) return false;
  token = me.token;
  return true;
}

export type In<E extends Endpoint> = {
  params?: z.input<E['params']>;
  query?: z.input<E['query']>;
  body?: z.input<E['body']>;
  signal?: AbortSignal;
};

export const pathOf = (endpoint: Endpoint, params: unknown): string =>
  endpoint.path.replace(/:(\w+)/g, (_, key: string) =>
    encodeURIComponent(String((params as Record<string, unknown>)[key])),
  );

const noConnection = (): Refused =>
  new Refused({
    type: 'about:blank',
    code: 'no-connection',
    title: 'No connection. What you typed is still here; try again.',
    status: 0,
  });

/** Sends a change as it is, whatever endpoint it belongs to. */
export async function sendRaw(
  method: string,
  url: string,
  body: Record<string, unknown> | FormData | undefined,
  signal?: AbortSignal,
  renewed = false,
): Promise<unknown> {
  const change = method !== 'get';
  const form = body instanceof FormData;
  let response: Response;
  const askedAt = Date.now();
  try {
    response = await fetch(url, {
      method: method.toUpperCase(),
      credentials: 'same-origin',
      ...(signal ? { signal } : {}),
      ...(change
        ? {
            headers: { 'x-bay-token': token, ...(form ? {} : { 'content-type': 'application/json' }) },
            body: form ? body : JSON.stringify(body ?? {}),
          }
        : {}),
    });
  } catch (error) {
    if (error instanceof DOMException && error.name === 'AbortError') throw error;
    throw noConnection();
  }
  heardTime(response.headers.get('date'), askedAt);
  if (!response.ok) {
    const problem = (await response.json().catch(() => undefined)) as Problem | undefined;
    // A proxy that finds no server behind it answers for it.
    if (problem === undefined && response.status >= 502) throw noConnection();
    if (problem?.code === 'page-out-of-date' && !renewed && (await renewToken()))
      return sendRaw(method, url, body, signal, true);
    throw new Refused(
      problem ?? {
        type: 'about:blank',
        code: 'failed',
        title: `The server answered ${response.status}.`,
        status: response.status,
      },
    );
  }
  return response.json();
}

/** Calls an endpoint of the contract. Throws {@link Refused} with a sentence when it is refused or the network is gone. */
export async function call<E extends Endpoint>(endpoint: E, input: In<E> = {}): Promise<z.output<E['reply']>> {
  const path = pathOf(endpoint, input.params);
  const query = new URLSearchParams(
    Object.entries((input.query ?? {}) as Record<string, string>).filter(([, v]) => v !== undefined),
  ).toString();
  const body = input.body as (Record<string, unknown> & { commandId?: string }) | undefined;
  const reply = (await sendRaw(endpoint.method, query ? `${path}?${query}` : path, body, input.signal)) as z.output<
    E['reply']
  >;
  if (body?.commandId && endpoint !== (undoCommand as Endpoint))
    remember({ commandId: body.commandId, label: endpoint.summary, at: Date.now() });
  return reply;
}

/** Fields and one file, as the server reads a form. */
export function formOf(fields: Readonly<Record<string, unknown>>, file: Blob): FormData {
  const form = new FormData();
  for (const [name, value] of Object.entries(fields))
    if (value !== undefined) form.append(name, typeof value === 'string' ? value : JSON.stringify(value));
  form.append('file', file);
  return form;
}

/** An id for a command: sent twice with the same id, it is done once. */
export function newId(): string {
  if (typeof crypto.randomUUID === 'function') return crypto.randomUUID();
  // On plain http over the shop's network the short form is not offered.
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = (bytes[6]! & 15) | 64;
  bytes[8] = (bytes[8]! & 63) | 128;
  const hex = [...bytes].map((b) => b.toString(16).padStart(2, '0')).join('');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}`;
}

/** The sentence of an error, for people. */
export const sentenceOf = (error: unknown): string =>
  error instanceof Refused ? error.problem.title : 'That did not work. Try again.';
export const fieldsOf = (error: unknown): Record<string, string> =>
  error instanceof Refused ? (error.problem.fields ?? {}) : {};
