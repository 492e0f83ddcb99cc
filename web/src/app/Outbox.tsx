import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useSyncExternalStore } from 'react';
import { drain, keys, outbox } from '../api/index.ts';
import type { Waiting } from '../api/index.ts';
import styles from './app.module.css';

export const useOutbox = (): readonly Waiting[] => useSyncExternalStore(outbox.watch, outbox.now);

/** Sends what waits whenever there is a chance that it goes: at the start, when the line is back, and every few seconds. */
export function useDraining(personId: string | undefined, up: boolean): void {
  const client = useQueryClient();
  useOutbox();
  const waits = outbox.waitsFor(personId);
  useEffect(() => {
    if (!personId || !waits) return;
    const go = (): void =>
      void drain(personId).then((jobs) => {
        for (const id of jobs) void client.invalidateQueries({ queryKey: keys.job(id) });
      });
    go();
    const timer = setInterval(go, 4000);
    window.addEventListener('online', go);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', go);
    };
  }, [client, personId, waits, up]);
}

/** "4 waiting to be sent": what is on this device only, for everybody to see. */
export function OutboxButton({ open }: { open: () => void }) {
  const all = useOutbox();
  const stuck = all.filter((w) => w.state === 'conflict' || w.state === 'refused').length;
  if (all.length === 0) return null;
  const waiting = all.length - stuck;
  return (
    <button type="button" className={styles['outbox-button']} onClick={open}>
      {waiting > 0 && `${waiting} waiting to be sent`}
      {waiting > 0 && stuck > 0 && ', '}
      {stuck > 0 && `${stuck} to decide`}
    </button>
  );
}
