import { allTangents, judgeAt, stepFrom } from './climb.ts';
import { byPair } from './scene.ts';
import type { Scene } from './scene.ts';
import type { Pose } from './pose.ts';

/** What a millimetre buys: of a shape taken off, of a least gap, or of a limit of the pose widened (there per mm or degree). */
export interface Buy {
  of: string;
  kind: 'unit' | 'bay' | 'pair' | 'limit';
  mmPerMm: number;
}

export interface Prices {
  /** The pairs that hold the smallest margin where it is. */
  binding: string[];
  buys: Buy[];
}

/** Within this of the smallest margin a pair lies at it, mm. */
const atTheSmallest = 0.02;

/**
 * What holds the smallest margin at the best pose, and what a little more room anywhere adds to it: the prices of the linear programme
 * on the tangents there (its duals). They hold for small changes, until something else binds.
 */
export function pricesAt(scene: Scene, pose: Pose): Prices {
  const here = judgeAt(scene, pose);
  const { problem } = scene;
  const tangents = allTangents(scene, here);
  const step = stepFrom(here, tangents, scene, { mm: 1, deg: 0.1 });
  const sums = { unit: new Map<string, number>(), bay: new Map<string, number>(), pair: new Map<string, number>() };
  const add = (map: Map<string, number>, id: string, price: number): void => {
    map.set(id, (map.get(id) ?? 0) + price);
  };
  const limits: Buy[] = [];
  if (step) {
    tangents.forEach(({ margin: { meeting } }, i) => {
      const price = step.optimum.rowPrices[i]!;
      if (price <= 1e-4) return;
      add(sums.pair, problem.pairs[meeting.pair]!.id, price);
      add(sums.unit, problem.unit[meeting.unit]!.id, price);
      add(sums.bay, problem.bay[meeting.bay]!.id, price);
    });
    step.keys.forEach((key, j) => {
      const [low, high] = problem.range[key];
      // Only where the pose stands at the limit is it the range that holds it, and not the length of the look.
      const edge = (at: number, price: number): void => {
        if (price > 1e-4 && Math.abs(pose[key] - at) < 1e-6) limits.push({ of: key, kind: 'limit', mmPerMm: price });
      };
      edge(low, step.optimum.lowPrices[j]!);
      edge(high, step.optimum.highPrices[j]!);
    });
  }
  const smallest = byPair(problem, here.margins);
  const binding = problem.pairs.flatMap((pair, i) => {
    const margin = smallest[i];
    return margin !== undefined &&
      margin <= here.worst + atTheSmallest &&
      (sums.pair.has(pair.id) || sums.pair.size === 0)
      ? [pair.id]
      : [];
  });
  const of = (kind: 'unit' | 'bay' | 'pair'): Buy[] =>
    [...sums[kind]].map(([id, price]) => ({ of: id, kind, mmPerMm: price }));
  return {
    binding: binding.length > 0 ? binding : problem.pairs.flatMap((p, i) => (smallest[i] === here.worst ? [p.id] : [])),
    buys: [...of('unit'), ...of('bay'), ...of('pair'), ...limits].sort((a, b) => b.mmPerMm - a.mmPerMm),
  };
}
