/** The critical path: when each step can be done at the earliest, how long it may wait, and which steps allow no wait at all. */

export interface ChainStep {
  id: string;
  /** How long it takes, in any one unit, not under nothing. */
  length: number;
  /** Steps that must be done first; those that are not given fall away. */
  after: readonly string[];
}

export interface Placed {
  /** Earliest start, from the beginning. */
  start: number;
  finish: number;
  /** How much later it may be done and the whole is done no later. */
  slack: number;
}

export interface Chain {
  /** Length of the longest chain: no number of hands makes the whole shorter. */
  length: number;
  /** One longest chain, the first step first. */
  steps: readonly string[];
  placed: ReadonlyMap<string, Placed>;
}

/**
 * Critical path without limits of hands, by a forward and a backward pass. `given` stands in an order in which what comes first is
 * named first; an edge that runs against it belongs to an order that contradicts itself, and is left out. Refuses a length under
 * nothing. Source: Kelley and Walker 1959, from memory; checked against a linear programme.
 */
export function longestChain(given: readonly ChainStep[]): Chain {
  const at = new Map(given.map((s, i) => [s.id, i]));
  const first = given.map((s, i) => s.after.flatMap((id) => ((at.get(id) ?? i) < i ? [at.get(id)!] : [])));
  const finish: number[] = [];
  const from: (number | undefined)[] = [];
  given.forEach((step, i) => {
    if (!(step.length >= 0)) throw new RangeError(`A step takes no time under nothing: "${step.id}"`);
    let last: number | undefined;
    for (const f of first[i]!) if (last === undefined || finish[f]! > finish[last]!) last = f;
    from.push(last);
    finish.push((last === undefined ? 0 : finish[last]!) + step.length);
  });
  const length = Math.max(0, ...finish);
  const latest = given.map(() => length);
  for (let i = given.length - 1; i >= 0; i -= 1)
    for (const f of first[i]!) latest[f] = Math.min(latest[f]!, latest[i]! - given[i]!.length);
  const steps: string[] = [];
  let end: number | undefined = finish.findIndex((f) => f === length);
  if (end === -1) end = undefined;
  for (; end !== undefined; end = from[end]) steps.unshift(given[end]!.id);
  return {
    length,
    steps,
    placed: new Map(
      given.map((s, i) => [
        s.id,
        { start: finish[i]! - s.length, finish: finish[i]!, slack: Math.max(0, latest[i]! - finish[i]!) },
      ]),
    ),
  };
}
