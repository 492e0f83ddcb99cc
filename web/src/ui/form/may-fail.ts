/** A device may have no room or no right to keep anything; the form works all the same. */
export function mayFail<T>(work: () => T): T | undefined {
  try {
    return work();
  } catch {
    return undefined;
  }
}
