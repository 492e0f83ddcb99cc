// @vitest-environment happy-dom
import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { QueryClient } from '@tanstack/react-query';
import { keys } from '../api/index.ts';
import { showAs } from '../testing.tsx';
import Finder from './Finder.tsx';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

/** The server answers when it is let. */
function slowServer(hits: readonly object[]) {
  let answer = (): void => undefined;
  vi.stubGlobal(
    'fetch',
    () =>
      new Promise<Response>((resolve) => {
        answer = () => resolve(Response.json({ hits }));
      }),
  );
  return () => answer();
}
const chosen = () =>
  screen.getAllByRole('option').find((o) => o.getAttribute('aria-selected') === 'true')
    ?.textContent;

describe('find or do', () => {
  it('what was chosen stays chosen when the server finds more, and whatever comes stands below it', async () => {
    const let_ = slowServer([
      { kind: 'job', title: 'Della’s car', detail: 'of years ago', to: '/jobs/x' },
    ]);
    const client = new QueryClient({
      defaultOptions: { queries: { retry: false, staleTime: Infinity } },
    });
    client.setQueryData(keys.crew, {
      crew: [{ id: 'p', name: 'Della Pruitt', initials: 'DP', role: 'technician' }],
    });
    showAs({}, <Finder close={() => undefined} />, client);
    await userEvent.type(screen.getByRole('combobox'), 'della');
    await waitFor(() => expect(chosen()).toContain('Della Pruitt'));
    // Asked only once the hand rests.
    await waitFor(() => expect(client.isFetching()).toBeGreaterThan(0));
    let_();
    await screen.findByText('Della’s car');
    expect(screen.getAllByRole('option').map((o) => o.textContent)[0]).toContain('Della Pruitt');
    expect(chosen()).toContain('Della Pruitt');
    await userEvent.keyboard('{ArrowDown}');
    expect(chosen()).toContain('Della’s car');
  });
});
