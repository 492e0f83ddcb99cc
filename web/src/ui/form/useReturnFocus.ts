import { useEffect, useState } from 'react';

/** When what was opened goes, the focus goes back to where it was opened from, unless somebody took it elsewhere already. */
export function useReturnFocus(): void {
  const [from] = useState(() => document.activeElement);
  useEffect(
    () => () => {
      setTimeout(() => {
        const lost = document.activeElement === null || document.activeElement === document.body;
        if (lost && from instanceof HTMLElement && from.isConnected) from.focus({ preventScroll: true });
      });
    },
    [from],
  );
}
