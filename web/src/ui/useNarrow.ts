import { useState } from 'react';

/** A list narrowed to what has the words that somebody looks for; `none` is what to say where nothing has them. */
export function useNarrow<T>(
  items: readonly T[],
  wordsOf: (item: T) => string,
): {
  sought: string;
  set: (next: string) => void;
  shown: T[];
  none: string | undefined;
} {
  const [sought, set] = useState('');
  const wanted = sought.trim().toLowerCase();
  const shown = items.filter((item) => wordsOf(item).toLowerCase().includes(wanted));
  return {
    sought,
    set,
    shown,
    none: items.length > 0 && shown.length === 0 ? `Nothing here has "${sought.trim()}".` : undefined,
  };
}
