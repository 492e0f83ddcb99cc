import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';

interface Change {
  jobId?: string;
  what: string;
}

/** Listens to what others do and reads again what changed. Returns whether the line is up. */
export function useLive(shopId: string | undefined): boolean {
  const client = useQueryClient();
  const [up, setUp] = useState(true);
  useEffect(() => {
    if (!shopId) return;
    const source = new EventSource('/api/events');
    let first = true;
    source.addEventListener('hello', () => {
      setUp(true);
      // After a break anything may have changed meanwhile.
      if (!first) void client.invalidateQueries();
      first = false;
    });
    source.addEventListener('again', () => void client.invalidateQueries());
    source.addEventListener('change', (event) => {
      const change = JSON.parse((event as MessageEvent<string>).data) as Change;
      if (change.jobId) {
        void client.invalidateQueries({ queryKey: ['job', change.jobId] });
        void client.invalidateQueries({ queryKey: ['log', change.jobId] });
      }
      if (change.what === 'schools') {
        void client.invalidateQueries({ queryKey: ['schools'] });
        void client.invalidateQueries({ queryKey: ['job'] });
      }
      void client.invalidateQueries({ queryKey: ['floor'] });
      void client.invalidateQueries({ queryKey: ['units'] });
      void client.invalidateQueries({ queryKey: ['crew'] });
    });
    source.addEventListener('error', () => setUp(false));
    // A page that is left must give its connection back at once: a browser opens only six to one server.
    const leave = (): void => source.close();
    window.addEventListener('pagehide', leave);
    return () => {
      window.removeEventListener('pagehide', leave);
      source.close();
    };
  }, [client, shopId]);
  return up;
}
