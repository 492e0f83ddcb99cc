import type { z } from 'zod';
import type { Endpoint, Problem } from '@bay/contract/endpoint';

/** An answer that was not what was asked for: the server's sentence, or that there was none. */
export class Refused extends Error {
  readonly problem: Problem;

  constructor(problem: Problem) {
    super(problem.title);
    this.problem = problem;
  }
}

let token = '';
/** The session's token, sent back with every change. */
export const keepToken = (next: string): void => {
  token = next;
};

type In<E extends Endpoint> = {
  params?: z.input<E['params']>;
  query?: z.input<E['query']>;
  body?: z.input<E['body']>;
  signal?: AbortSignal;
};

/** Calls an endpoint of the contract. Throws {@link Refused} with a sentence when it is refused or the network is gone. */
export async function call<E extends Endpoint>(endpoint: E, input: In<E> = {}): Promise<z.output<E['reply']>> {
  const path = endpoint.path.replace(/:(\w+)/g, (_, key: string) => encodeURIComponent(String((input.params as Record<string, unknown>)[key])));
  const query = new URLSearchParams(Object.entries((input.query ?? {}) as Record<string, string>).filter(([, v]) => v !== undefined)).toString();
  const change = endpoint.method !== 'get';
  let response: Response;
  try {
    response = await fetch(query ? `${path}?${query}` : path, {
      method: endpoint.method.toUpperCase(),
      credentials: 'same-origin',
      ...(input.signal ? { signal: input.signal } : {}),
      ...(change ? { headers: { 'content-type': 'application/json', 'x-bay-token': token }, body: JSON.stringify(input.body ?? {}) } : {}),
    });
  } catch (error) {
    if (error instanceof DOMException && error.name === 'AbortError') throw error;
    throw new Refused({ type: 'about:blank', title: 'No connection. What you typed is still here; try again.', status: 0 });
  }
  if (!response.ok) {
    const problem = (await response
      .json()
      .catch(() => ({ type: 'about:blank', title: `The server answered ${response.status}.`, status: response.status }))) as Problem;
    throw new Refused(problem);
  }
  return (await response.json()) as z.output<E['reply']>;
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
export const sentenceOf = (error: unknown): string => (error instanceof Refused ? error.problem.title : 'That did not work. Try again.');
export const fieldsOf = (error: unknown): Record<string, string> => (error instanceof Refused ? (error.problem.fields ?? {}) : {});
