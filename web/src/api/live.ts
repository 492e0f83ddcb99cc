import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { LiveEvent } from '@bay/contract/live';
import { readAgain } from './patch.ts';

const firstRetryMs = 1000;
const longestRetryMs = 30_000;

/** Listens to what others do and reads again what changed. Returns whether the line is up. */
export function useLive(shopId: string | undefined): boolean {
  const client = useQueryClient();
  const [up, setUp] = useState(true);
  useEffect(() => {
    if (!shopId) return;
    let source: EventSource;
    let again: ReturnType<typeof setTimeout> | undefined;
    let first = true;
    let waitMs = firstRetryMs;
    const connect = (): void => {
      source = new EventSource('/api/events');
      source.addEventListener('hello', () => {
        setUp(true);
        waitMs = firstRetryMs;
        // After a break anything may have changed meanwhile.
        if (!first) void client.invalidateQueries();
        first = false;
      });
      source.addEventListener('again', () => void client.invalidateQueries());
      source.addEventListener(
        'change',
        (event) => void readAgain(client, JSON.parse((event as MessageEvent<string>).data) as LiveEvent),
      );
      source.addEventListener('error', () => {
        setUp(false);
        // The browser tries again by itself after a broken line, but not after a refusal.
        if (source.readyState !== EventSource.CLOSED) return;
        again = setTimeout(connect, waitMs);
        waitMs = Math.min(waitMs * 2, longestRetryMs);
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
