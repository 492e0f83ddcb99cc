/** Runs at most `most` pieces of work at a time; the others wait in the order in which they came. */
export function limited(most: number): <T>(work: () => Promise<T>) => Promise<T> {
  let running = 0;
  const waiting: (() => void)[] = [];
  return async (work) => {
    if (running >= most) await new Promise<void>((go) => waiting.push(go));
    running += 1;
    try {
      return await work();
    } finally {
      running -= 1;
      waiting.shift()?.();
    }
  };
}
