import { describe, expect, it } from 'vitest';
import { factCatalogue } from '../../facts/index.ts';
import type { PartValue } from '../../facts/index.ts';
import { heldTape, sceneOfJob, placeOfReading, withUsual } from './index.ts';

const known = (facts: Record<string, Record<string, PartValue>>) => ({
  job: new Map(
    Object.entries(facts).map(([id, parts]) => [
      id,
      { parts, typed: {}, source: 'measured' as const },
    ]),
  ),
});
const job = known({
  'eng-layout': { value: 'inline-6' },
  'cho-fan': { value: 'electric-puller', thickness: 60 },
  'rec-hood-profile': { 'lowest-z-over-the-engine': 455 },
  'rec-bay-width': { 'between-towers-at-head-height': 812 },
  'eng-sump-depth': { 'at-bowl': 232 },
  'rec-crossmember-place': { 'rear-edge-x': 420, 'front-edge-x': 520, 'top-z': -95 },
});
const tape = (factId: string, partKey: string) => heldTape(job, { factId, partKey })!;

describe('where the tape is held', () => {
  it.each([
    [
      'rec-hood-profile',
      'lowest-z-over-the-engine',
      'y',
      0,
      455,
      'from the rail top to hood bracing',
    ],
    ['eng-sump-depth', 'at-bowl', 'y', 0, -232, 'from the crank axis to sump bowl'],
    ['rec-crossmember-place', 'rear-edge-x', 'x', 0, 420, 'from the firewall to crossmember'],
    ['rec-bay-width', 'between-towers-at-head-height', 'x', -406, 406, 'from side to side'],
    ['rec-ground-at-crossmember', 'ground-to-crossmember', 'y', -95, -295, 'of road'],
  ] as const)('%s %s: along %s from %i to %i', (factId, partKey, axis, from, to, words) => {
    const { dimensions, summary } = tape(factId, partKey);
    expect(dimensions[0]!.from[axis]).toBeCloseTo(from, 6);
    expect(dimensions[0]!.to[axis]).toBeCloseTo(to, 6);
    expect(summary).toContain(words);
  });

  it('is drawn for every length that a round asks for, as long as it is', () => {
    // A round asks for what shapes wait for, took or are unsure of: all parts of all of them.
    const { shapes, missing } = sceneOfJob(withUsual(job, 'large-car'));
    const asked = [
      ...shapes.flatMap((s) => [...s.parts, ...s.takes, ...s.tilted]),
      ...missing.flatMap((m) => m.wants),
    ].filter(({ factId }) => placeOfReading(factId));
    const lengths = asked.filter(({ factId, partKey }) => {
      const part = factCatalogue
        .find((f) => f.id === factId)!
        .parts.find((p) => p.key === partKey)!;
      return part.unit === 'mm' && !part.columns;
    });
    expect(lengths.length).toBeGreaterThan(20);
    for (const need of lengths) {
      const drawn = heldTape(job, need);
      // The bar and what stands below the floor of the sump are drawn where they are looked for.
      if (!drawn) {
        expect(`${need.factId} ${need.partKey}`).toMatch(/drain-plug|at-x-of|free-depth|support/);
        continue;
      }
      const { from, to } = drawn.dimensions[0]!;
      expect(
        Math.hypot(to.x - from.x, to.y - from.y),
        `${need.factId} ${need.partKey}`,
      ).toBeGreaterThan(1);
    }
  });

  it('says nothing of what is no length', () => {
    expect(heldTape(job, { factId: 'cho-fan', partKey: 'value' })).toBeUndefined();
    expect(heldTape(job, { factId: 'rec-hood-profile', partKey: 'profile' })).toBeUndefined();
  });
});
