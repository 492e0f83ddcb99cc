import { useEffect, useState } from 'react';

/** The same button in the row after the one a thing was opened from, or the first that the row has. */
function inNextRow(from: HTMLElement): HTMLElement | undefined {
  const row = from.closest('li, tr');
  const next = row?.nextElementSibling;
  if (!next) return undefined;
  const place = [...row.querySelectorAll<HTMLElement>('button, a')].indexOf(from);
  const there = next.querySelectorAll<HTMLElement>('button:not(:disabled), a');
  return there[place] ?? there[0];
}

/** Whether what was opened was saved before it went. */
export type Saved = Readonly<React.RefObject<boolean>>;

/**
 * When what was opened goes, the focus goes back to where it was opened from, unless somebody took it elsewhere already. What
 * was saved is done with: then it goes on to the next row, where there is one.
 */
export function useReturnFocus(saved?: Saved): void {
  const [{ from, next }] = useState(() => {
    const active = document.activeElement;
    return active instanceof HTMLElement ? { from: active, next: inNextRow(active) } : {};
  });
  useEffect(
    () => () => {
      setTimeout(() => {
        const lost = document.activeElement === null || document.activeElement === document.body;
        if (!lost) return;
        const to = [...(saved?.current ? [next] : []), from, next].find((one) => one?.isConnected);
        to?.focus({ preventScroll: true });
      });
    },
    [from, next, saved],
  );
}
