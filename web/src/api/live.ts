import { useQueryClient } from '@tanstack/react-query';
import type { QueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';

interface Change {
  jobId?: string;
  what: string;
}

/** What is read again after any change on a job. */
const ofJob = ['job', 'log', 'history', 'takeover', 'clocks', 'links'] as const;
/** What is read again after any change in the shop. */
const ofShop = ['floor', 'units', 'crew', 'waiting', 'bench', 'sessions'] as const;

function readAgain(client: QueryClient, change: Change): void {
  if (change.jobId) for (const key of ofJob) void client.invalidateQueries({ queryKey: [key, change.jobId] });
  if (change.what === 'schools') {
    void client.invalidateQueries({ queryKey: ['schools'] });
    void client.invalidateQueries({ queryKey: ['job'] });
  }
  // A device that was signed out finds out at once.
  if (change.what === 'sessions' || change.what === 'crew') void client.invalidateQueries({ queryKey: ['me'] });
  for (const key of ofShop) void client.invalidateQueries({ queryKey: [key] });
}

/** Listens to what others do and reads again what changed. Returns whether the line is up. */
export function useLive(shopId: string | undefined): boolean {
  const client = useQueryClient();
  const [up, setUp] = useState(true);
  useEffect(() => {
    if (!shopId) return;
    let source: EventSource;
    let again: ReturnType<typeof setTimeout> | undefined;
    let first = true;
    const connect = (): void => {
      source = new EventSource('/api/events');
      source.addEventListener('hello', () => {
        setUp(true);
        // After a break anything may have changed meanwhile.
        if (!first) void client.invalidateQueries();
        first = false;
      });
      source.addEventListener('again', () => void client.invalidateQueries());
      source.addEventListener('change', (event) => readAgain(client, JSON.parse((event as MessageEvent<string>).data) as Change));
      source.addEventListener('error', () => {
        setUp(false);
        // The browser tries again by itself after a broken line, but not after a refusal.
        if (source.readyState === EventSource.CLOSED) again = setTimeout(connect, 2000);
      });
    };
    connect();
    // A page that is left must give its connection back at once: a browser opens only six to one server.
    const leave = (): void => {
      clearTimeout(again);
      source.close();
    };
    window.addEventListener('pagehide', leave);
    return () => {
      window.removeEventListener('pagehide', leave);
      leave();
    };
  }, [client, shopId]);
  return up;
}
