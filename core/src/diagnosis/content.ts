import type { CapabilityContent } from '../rules/content.ts';
import { faults } from './data/faults.ts';
import { likelihoods } from './data/matrix.ts';
import { observations } from './data/observations.ts';
import { provedAgainst, starterTests, swaps, testWants } from './data/practice.ts';

/** Chances of a fault's outcomes that are not outcomes or are over one, and base rates that do not add up. */
function oddChances(): string[] {
  const outcomes = new Map(observations.map((o) => [o.id, new Set(o.outcomes.map((x) => x.id))]));
  const odd = Object.entries(likelihoods).flatMap(([fault, rows]) =>
    Object.entries(rows).flatMap(([observation, chances]) => [
      ...Object.keys(chances)
        .filter((o) => !outcomes.get(observation)?.has(o))
        .map((o) => `${fault}, ${observation}: no outcome "${o}"`),
      ...(Object.values(chances).reduce((a, b) => a + b, 0) > 1 + 1e-9
        ? [`${fault}, ${observation}: chances over 1`]
        : []),
    ]),
  );
  const sums = observations.flatMap((o) => {
    const sum = o.outcomes.reduce((a, b) => a + b.base, 0);
    return Math.abs(sum - 1) > 0.011 ? [`${o.id}: base rates add to ${sum.toFixed(3)}`] : [];
  });
  return [...odd, ...sums];
}

export const diagnosisContent: CapabilityContent = {
  capability: 'diagnosis',
  definitions: [...faults, ...observations, ...swaps],
  more: [likelihoods, provedAgainst, testWants, [...starterTests]],
  faults: oddChances,
};
