import { expose } from 'comlink';
import type { Endpoint } from 'comlink';
import nodeEndpoint from 'comlink/dist/umd/node-adapter.js';
import { afterEach, describe, expect, it } from 'vitest';
import { noTerms } from '@bay/core/money';
import { emptyInput, measureChoice } from '@bay/core/plan';
import { Desk, GivenUp } from './desk.ts';
import { tasks } from './tasks.ts';

/** A worker made of the two ends of a channel: the protocol is the real one, the thread is this one. */
function channelWorker(own: object = tasks) {
  const { port1, port2 } = new MessageChannel();
  let ended = 0;
  expose(own, (nodeEndpoint as unknown as (p: unknown) => Endpoint)(port2));
  const near = (nodeEndpoint as unknown as (p: unknown) => Endpoint)(port1);
  const listen = near.addEventListener.bind(near);
  const worker = Object.assign(near, {
    // The adapter takes every listener for one of messages.
    addEventListener: (type: string, heard: (event: Event) => void) =>
      type === 'message' ? listen(type, heard) : undefined,
    terminate: () => {
      ended += 1;
      port1.close();
      port2.close();
    },
  }) as unknown as Worker;
  return { worker, ended: () => ended };
}

const made: ReturnType<typeof channelWorker>[] = [];
const desks: Desk[] = [];
const desk = (own?: object): Desk => {
  const d = new Desk(() => {
    const w = channelWorker(own);
    made.push(w);
    return w.worker;
  });
  desks.push(d);
  return d;
};
afterEach(() => {
  for (const d of desks.splice(0)) d.dispose();
  made.splice(0);
});

const choice = (id: string) => ({
  id,
  name: id,
  facts: new Map(),
  cost: undefined,
  pieces: [],
  km: undefined,
  days: undefined,
  against: undefined,
});
const input = { input: emptyInput(), choices: [choice('a'), choice('b')], terms: noTerms };
/** A task that ends only when it is given up. */
const endless = { measureChoices: () => new Promise(() => undefined) };

describe('work beside the screen', () => {
  it('gives what the computation itself gives, and says how far it is', async () => {
    const seen: number[] = [];
    const rows = await desk().start('measureChoices', input, (share) => seen.push(share));
    expect(rows).toEqual(input.choices.map((c) => measureChoice(input.input, c, noTerms)));
    expect(seen).toEqual([0, 0.5]);
  });
  it('refuses a second task while one is under way', async () => {
    const d = desk(endless);
    const first = d.start('measureChoices', input);
    await expect(d.start('measureChoices', input)).rejects.toThrow(
      'Another task is under way here.',
    );
    d.cancel();
    await expect(first).rejects.toBeInstanceOf(GivenUp);
  });
  it('given up, it ends its worker, and the next task begins in a new one', async () => {
    const d = desk(endless);
    const first = d.start('measureChoices', input);
    expect(d.busy).toBe(true);
    d.cancel();
    await expect(first).rejects.toBeInstanceOf(GivenUp);
    expect(d.busy).toBe(false);
    expect(made[0]!.ended()).toBe(1);
    const second = d.start('measureChoices', input);
    expect(made).toHaveLength(2);
    d.dispose();
    await expect(second).rejects.toBeInstanceOf(GivenUp);
    expect(made[1]!.ended()).toBe(1);
  });
  it('works on in the same worker, and dispose ends it', async () => {
    const d = desk();
    await d.start('measureChoices', input);
    await d.start('measureChoices', input);
    expect(made).toHaveLength(1);
    d.dispose();
    expect(made[0]!.ended()).toBe(1);
  });
  it('passes on what the computation throws, and is free again', async () => {
    const d = desk({ measureChoices: () => Promise.reject(new Error('no such bay')) });
    await expect(d.start('measureChoices', input)).rejects.toThrow('no such bay');
    expect(d.busy).toBe(false);
  });
});
