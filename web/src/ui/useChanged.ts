import { useState } from 'react';

/** Whether a value is another than the one it was first shown with: what was so from the beginning does not move. */
export function useChanged(value: unknown): boolean {
  const [first] = useState(value);
  const [changed, set] = useState(false);
  if (!changed && value !== first) set(true);
  return changed;
}
