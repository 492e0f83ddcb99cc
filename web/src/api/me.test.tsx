// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { lockTablet } from '@bay/contract/crew';
import type { Me } from '@bay/contract/crew';
import { call } from './client.ts';
import { keys } from './keys.ts';
import { useEntering, useMe } from './me.ts';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const meOf = (name: string | null, token: string): Me => ({
  needsSetup: false,
  shop: { id: '00000000-0000-4000-8000-0000000000b1', name: 'Shop', bays: ['1'], currency: 'EUR' },
  person:
    name === null
      ? null
      : {
          id: '00000000-0000-4000-8000-000000000001',
          name,
          initials: 'AB',
          role: 'technician',
          hasPin: true,
          signsIn: false,
        },
  token,
});

describe('who is at a shared tablet', () => {
  it('an answer that was asked for before somebody came is not taken for who is here now', async () => {
    // What is asked stands until it is answered by hand: the order of answers is the test's.
    const waiting = new Map<string, (answer: Me) => void>();
    const sent: { url: string; token: string | undefined }[] = [];
    vi.stubGlobal('fetch', (url: string, init: { headers?: Record<string, string> } = {}) => {
      sent.push({ url, token: init.headers?.['x-bay-token'] });
      return new Promise<Response>((resolve) =>
        waiting.set(url, (answer) => resolve(Response.json(answer))),
      );
    });
    const answered = async (url: string, me: Me): Promise<void> => {
      await waitFor(() => expect(waiting.has(url)).toBe(true));
      await act(async () => {
        waiting.get(url)!(me);
        await Promise.resolve();
      });
      waiting.delete(url);
    };
    const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
    const wrapper = ({ children }: { children: React.ReactNode }) => (
      <QueryClientProvider client={client}>{children}</QueryClientProvider>
    );
    const { result } = renderHook(
      () => ({ me: useMe(), locking: useEntering(() => call(lockTablet)) }),
      { wrapper },
    );
    await answered('/api/me', meOf('Osk Tiller', 'token-of-osk'));
    await waitFor(() => expect(result.current.me.data?.person?.name).toBe('Osk Tiller'));

    // Asked once more, and not answered before the tablet is locked.
    act(() => void client.refetchQueries({ queryKey: keys.me }));
    await waitFor(() => expect(waiting.has('/api/me')).toBe(true));
    act(() => result.current.locking.mutate(undefined));
    await answered('/api/lock', meOf(null, 'token-of-nobody'));
    await waitFor(() => expect(result.current.me.data?.person).toBeNull());
    await answered('/api/me', meOf('Osk Tiller', 'token-of-osk'));
    expect(result.current.me.data?.person).toBeNull();

    // Nor is its token sent with what comes after.
    act(() => result.current.locking.mutate(undefined));
    await waitFor(() => expect(sent.filter((s) => s.url === '/api/lock')).toHaveLength(2));
    expect(sent.at(-1)!.token).toBe('token-of-nobody');
  });
});
