import { useEffect, useState } from 'react';
import type { ClockRow } from '@bay/contract/clock';
import { useMe } from '../api/index.ts';
import { sinceWords, Trouble } from '../ui/index.ts';
import { useClock } from './useClock.ts';
import styles from './clock.module.css';

/** Draws again each half minute, so that a running clock is seen to run. */
export function useTick(seconds = 30): void {
  const [, set] = useState(0);
  useEffect(() => {
    const timer = setInterval(() => set((n) => n + 1), seconds * 1000);
    return () => clearInterval(timer);
  }, [seconds]);
}

/** Who is clocked on at this job, and one tap for the own clock. */
export function Running({ clocks }: { clocks: readonly ClockRow[] }) {
  const me = useMe().data?.person;
  const { stop } = useClock();
  useTick();
  if (clocks.length === 0) return null;
  return (
    <span className={styles['running']}>
      {clocks.map((c) => (
        <span key={c.id} className={styles['running-one']} title={`${c.person}: ${c.title}`}>
          <span className="disc">{c.initials}</span> <span className="mono">{sinceWords(c.startedAt)}</span>
          {c.personId === me?.id && (
            <button
              type="button"
              className="plain-button small"
              disabled={stop.isPending}
              onClick={() => stop.mutate(c.jobId)}
            >
              Clock off
            </button>
          )}
        </span>
      ))}
      <Trouble of={stop} />
    </span>
  );
}
