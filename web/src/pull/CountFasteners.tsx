import { IconMinus, IconPlus } from '@tabler/icons-react';
import { useEffect, useRef, useState } from 'react';
import type { FastenerCount } from '@bay/core/pull';
import styles from './pull.module.css';

/** Time without a tap until a count is written, milliseconds. */
const pause = 800;

/** "14 of 15 out": a tap for each fastener; written once the tapping rests. */
export function CountFasteners({
  title,
  way,
  count,
  write,
}: {
  title: string;
  way: 'out' | 'in';
  count: FastenerCount | undefined;
  write: (count: FastenerCount) => void;
}) {
  const [shown, setShown] = useState<FastenerCount>(count ?? { done: 0, of: 0 });
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const [typed, setTyped] = useState(false);
  // What somebody else counted shows, unless this hand is counting.
  useEffect(() => {
    if (!typed && count) setShown(count);
  }, [count, typed]);
  // What was counted is written also when the row is left before the tapping rests.
  const pending = useRef<FastenerCount>(undefined);
  const send = useRef(write);
  useEffect(() => {
    send.current = write;
  });
  useEffect(
    () => () => {
      clearTimeout(timer.current);
      if (pending.current) send.current(pending.current);
    },
    [],
  );
  const set = (next: FastenerCount): void => {
    const held = { of: Math.max(0, Math.min(200, next.of)), done: 0 };
    held.done = Math.max(0, Math.min(held.of, next.done));
    setShown(held);
    setTyped(true);
    clearTimeout(timer.current);
    pending.current = held.of > 0 ? held : undefined;
    timer.current = setTimeout(() => {
      setTyped(false);
      pending.current = undefined;
      if (held.of > 0) write(held);
    }, pause);
  };
  return (
    <div className={styles['fasteners']} role="group" aria-label={`Count of: ${title}`}>
      <button
        type="button"
        aria-label="One fewer"
        disabled={shown.done === 0}
        onClick={() => set({ ...shown, done: shown.done - 1 })}
      >
        <IconMinus size={20} aria-hidden="true" />
      </button>
      <output aria-live="polite" className="mono">
        {shown.done}
      </output>
      <button
        type="button"
        aria-label="One more"
        disabled={shown.done >= shown.of}
        onClick={() => set({ ...shown, done: shown.done + 1 })}
      >
        <IconPlus size={20} aria-hidden="true" />
      </button>
      <label>
        of{' '}
        <input
          type="text"
          inputMode="numeric"
          aria-label={`How many there are: ${title}`}
          value={shown.of === 0 ? '' : shown.of}
          onChange={(e) => /^\d{0,3}$/.test(e.target.value) && set({ ...shown, of: Number(e.target.value) })}
        />{' '}
        {way}
      </label>
    </div>
  );
}
