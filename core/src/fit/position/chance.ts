import type { Margin } from './scene.ts';
import type { FitProblem } from './problem.ts';

/**
 * Share of a normal distribution below z standard deviations. By the continued series of Marsaglia (2004, from memory), good to
 * fifteen digits; beyond 8 standard deviations nothing or all.
 */
export function normalBelow(z: number): number {
  if (z < -8) return 0;
  if (z > 8) return 1;
  let sum = z;
  let term = z;
  for (let k = 3; Math.abs(term) > 1e-17 * Math.abs(sum); k += 2) {
    term *= (z * z) / k;
    sum += term;
  }
  return 0.5 + (sum * Math.exp((-z * z) / 2)) / Math.sqrt(2 * Math.PI);
}

/** The value of a normal distribution that a share of it lies below, by halving; the share between 0 and 1. */
function normalAt(share: number): number {
  let low = -8;
  let high = 8;
  for (let k = 0; k < 44; k += 1) {
    const middle = (low + high) / 2;
    if (normalBelow(middle) < share) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** How many settings of the unit's shapes are looked at. */
const settings = 4096;

/**
 * The chance that every pair keeps its least gap at this pose, given how sure the places of the shapes are: each shape is off along
 * its contacts by a normal error of its own, the same at all of them. Where the shapes of the unit are off by so much, the shapes of
 * the bay answer for themselves (exactly); the unit's errors are gone through by an even lattice (Korobov), the same every time.
 */
export function chanceOf(problem: FitProblem, margins: readonly Margin[]): number {
  const units = [...new Set(margins.map((m) => m.meeting.unit))];
  // Far more room than doubt, on both sides, decides nothing.
  const doubtful = margins.filter(({ margin, meeting }) => {
    const doubt = problem.unit[meeting.unit]!.sigma + problem.bay[meeting.bay]!.sigma;
    return margin < 8 * doubt || margin < 0;
  });
  const shaky = units.filter((u) => problem.unit[u]!.sigma > 0 && doubtful.some((m) => m.meeting.unit === u));
  const byBay = new Map<number, Margin[]>();
  for (const m of doubtful) byBay.set(m.meeting.bay, [...(byBay.get(m.meeting.bay) ?? []), m]);
  const holds = (off: ReadonlyMap<number, number>): number => {
    let all = 1;
    for (const [bay, list] of byBay) {
      const room = Math.min(...list.map((m) => m.margin + (off.get(m.meeting.unit) ?? 0)));
      const { sigma } = problem.bay[bay]!;
      all *= sigma > 0 ? normalBelow(room / sigma) : room >= 0 ? 1 : 0;
      if (all === 0) return 0;
    }
    return all;
  };
  if (shaky.length === 0) return holds(new Map());
  let sum = 0;
  for (let k = 0; k < settings; k += 1) {
    const off = new Map(
      shaky.map((u, j) => {
        const share = ((k + 0.5) / settings) * latticeStep(j) + j * 0.37;
        return [u, normalAt(share - Math.floor(share)) * problem.unit[u]!.sigma];
      }),
    );
    sum += holds(off);
  }
  return sum / settings;
}

/** Generator of the lattice: powers of one number, as Korobov's rule has it; the first shape goes evenly from end to end. */
function latticeStep(j: number): number {
  let step = 1;
  for (let i = 0; i < j; i += 1) step = (step * 1571) % settings;
  return step;
}
