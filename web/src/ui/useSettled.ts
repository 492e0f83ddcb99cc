import { useEffect, useState } from 'react';

/** Longer than a finger that trembles taps twice, milliseconds. */
const settling = 700;

/**
 * False for a moment after what asks came on the screen. Where one thing to confirm takes the place of the one before, a second tap
 * that was meant for the first must not confirm the next.
 */
export function useSettled(): boolean {
  const [settled, set] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => set(true), settling);
    return () => clearTimeout(timer);
  }, []);
  return settled;
}
