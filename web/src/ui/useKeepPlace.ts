import { useEffect, useRef } from 'react';

/**
 * What was done goes from a list, and the focus with it: then it goes to the row that stands there now, so that a list is worked
 * through without looking for one's place again. `rows` finds the button of each row.
 */
export function useKeepPlace<E extends HTMLElement>(rows: string): React.RefObject<E | null> {
  const list = useRef<E>(null);
  const place = useRef<number>(undefined);
  useEffect(() => {
    const own = list.current;
    if (!own) return undefined;
    const all = (): HTMLElement[] => [...own.querySelectorAll<HTMLElement>(rows)];
    const came = (e: FocusEvent): void => {
      const row = (e.target as HTMLElement).closest('li, section');
      const at = all().findIndex((button) => row?.contains(button));
      place.current = at < 0 ? undefined : at;
    };
    // Who leaves the list leaves it; a row that is taken away tells nobody.
    const left = (): void => {
      place.current = undefined;
    };
    own.addEventListener('focusin', came);
    own.addEventListener('focusout', left);
    return () => {
      own.removeEventListener('focusin', came);
      own.removeEventListener('focusout', left);
    };
  }, [rows]);
  useEffect(() => {
    if (place.current === undefined || document.activeElement !== document.body) return;
    const all = [...(list.current?.querySelectorAll<HTMLElement>(rows) ?? [])];
    const at = place.current;
    place.current = undefined;
    all[Math.min(at, all.length - 1)]?.focus({ preventScroll: true });
  });
  return list;
}
