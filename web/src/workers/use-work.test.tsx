// @vitest-environment happy-dom
import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { noTerms } from '@bay/core/money';
import { emptyInput } from '@bay/core/plan';
import { Desk, GivenUp } from './desk.ts';
import type { Progress } from './tasks.ts';
import { useWork } from './useWork.ts';

interface Under {
  input: unknown;
  progress: Progress;
  resolve: (rows: unknown) => void;
  reject: (error: Error) => void;
}
let under: Under[] = [];
let disposed = 0;

// The desk itself is tested with the real protocol; here it only keeps what is under way.
beforeEach(() => {
  under = [];
  disposed = 0;
  let running: Under | undefined;
  vi.spyOn(Desk.prototype, 'start').mockImplementation(
    (_name, input, progress = () => undefined) => {
      if (running) return Promise.reject(new Error('Another task is under way here.'));
      return new Promise<never>((resolve, reject) => {
        running = { input, progress, resolve: resolve as (rows: unknown) => void, reject };
        under.push(running);
      }).finally(() => (running = undefined));
    },
  );
  vi.spyOn(Desk.prototype, 'cancel').mockImplementation(() => running?.reject(new GivenUp()));
  vi.spyOn(Desk.prototype, 'dispose').mockImplementation(() => void (disposed += 1));
});
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

const inputOf = (name: string) => ({
  input: emptyInput(),
  terms: noTerms,
  choices: [
    {
      id: name,
      name,
      facts: new Map(),
      cost: undefined,
      pieces: [],
      km: undefined,
      days: undefined,
      against: undefined,
    },
  ],
});
const show = () =>
  renderHook(({ input }) => useWork('measureChoices', input), {
    initialProps: { input: inputOf('a') },
  });
const started = (n: number) => waitFor(() => expect(under).toHaveLength(n));

describe('what is computed beside the screen', () => {
  it('says how far it is, then what came of it', async () => {
    const { result } = show();
    await started(1);
    act(() => under[0]!.progress(0.5));
    expect(result.current).toMatchObject({ share: 0.5, result: undefined });
    await act(async () => under[0]!.resolve(['rows']));
    expect(result.current).toMatchObject({ share: undefined, result: ['rows'], error: undefined });
  });
  it('says nothing of how far it is once the result is there', async () => {
    const { result } = show();
    await started(1);
    await act(async () => under[0]!.resolve(['rows']));
    act(() => under[0]!.progress(0.5));
    expect(result.current.share).toBeUndefined();
  });
  it('begins anew with another input, gives up what was under way, and keeps the last result meanwhile', async () => {
    const { result, rerender } = show();
    await started(1);
    await act(async () => under[0]!.resolve(['first']));
    rerender({ input: inputOf('b') });
    await started(2);
    expect(result.current).toMatchObject({ result: ['first'], share: 0 });
    rerender({ input: inputOf('c') });
    await started(3);
    // What was given up says nothing any more.
    act(() => under[1]!.progress(0.9));
    expect(result.current.share).toBe(0);
    await act(async () => under[2]!.resolve(['third']));
    expect(result.current).toMatchObject({ result: ['third'], error: undefined });
  });
  it('is cancelled without an error, and can be tried again', async () => {
    const { result } = show();
    await started(1);
    await act(async () => result.current.cancel());
    expect(result.current).toMatchObject({ share: undefined, error: undefined });
    act(() => result.current.again());
    await started(2);
    await act(async () => under[1]!.resolve(['again']));
    expect(result.current.result).toEqual(['again']);
  });
  it('says what went wrong', async () => {
    const { result } = show();
    await started(1);
    await act(async () => under[0]!.reject(new Error('no such bay')));
    expect(result.current.error?.message).toBe('no such bay');
  });
  it('leaves no worker behind when it is shown no more', () => {
    show().unmount();
    expect(disposed).toBe(1);
  });
});
