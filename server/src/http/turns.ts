type Turn = <T>(work: () => Promise<T>) => Promise<T>;

/** Runs at most `most` pieces of work at a time; the others wait in the order in which they came. */
export function limited(most: number): Turn {
  let running = 0;
  const waiting: (() => void)[] = [];
  return async (work) => {
    if (running < most) running += 1;
    else await new Promise<void>((go) => waiting.push(go));
    try {
      return await work();
    } finally {
      // Whoever waits takes the place over; nobody who comes just now slips in between.
      const next = waiting.shift();
      if (next) next();
      else running -= 1;
    }
  };
}

/** The same for each key by itself: what one of them does, or is held up by, leaves room for the others. */
export function turnsOf(most: number): <T>(key: string, work: () => Promise<T>) => Promise<T> {
  const turns = new Map<string, { run: Turn; inside: number }>();
  return async (key, work) => {
    const turn = turns.get(key) ?? { run: limited(most), inside: 0 };
    turns.set(key, turn);
    turn.inside += 1;
    try {
      return await turn.run(work);
    } finally {
      turn.inside -= 1;
      if (turn.inside === 0) turns.delete(key);
    }
  };
}
