import { useSyncExternalStore } from 'react';
import { clockError } from '../api/index.ts';
import { spanWords } from '../ui/index.ts';
import styles from './app.module.css';

/** A difference that nobody would see on a clock is not spoken of. */
const worthSayingMs = 120_000;

/** Says that this device does not know what time it is, and that nothing is wrong because of it. */
export function WrongClock() {
  const behind = useSyncExternalStore(clockError.watch, clockError.now);
  if (Math.abs(behind) < worthSayingMs) return null;
  return (
    <div className={styles['offline']} role="status">
      The clock of this device is {spanWords(Math.abs(behind))} {behind > 0 ? 'behind' : 'ahead'}. What is written here
      has the shop’s time. Set the device right.
    </div>
  );
}
