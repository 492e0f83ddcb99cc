import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { freeSpot, fullness, mapSide, onFloor, overlaps } from './store-map.ts';
import type { PlaceBox } from './store-map.ts';

const anyBox = fc
  .record({
    left: fc.integer({ min: -60, max: 60 }),
    top: fc.integer({ min: -60, max: 60 }),
    wide: fc.integer({ min: -5, max: 60 }),
    high: fc.integer({ min: -5, max: 60 }),
  })
  .map(onFloor);
const squares = ({ left, top, wide, high }: PlaceBox): Set<string> =>
  new Set(
    Array.from(
      { length: wide * high },
      (_, i) => `${left + (i % wide)},${top + Math.floor(i / wide)}`,
    ),
  );

describe('the store as it is drawn', () => {
  it('two places meet where they share a square, and only there', () =>
    fc.assert(
      fc.property(anyBox, anyBox, (a, b) => {
        const mine = squares(a);
        expect(overlaps(a, b)).toBe([...squares(b)].some((s) => mine.has(s)));
        expect(overlaps(b, a)).toBe(overlaps(a, b));
      }),
    ));

  it('whatever is dragged or sized stays on the floor', () =>
    fc.assert(
      fc.property(anyBox, (box) => {
        expect(box.wide).toBeGreaterThan(0);
        expect(box.high).toBeGreaterThan(0);
        expect(box.left).toBeGreaterThanOrEqual(0);
        expect(box.top).toBeGreaterThanOrEqual(0);
        expect(box.left + box.wide).toBeLessThanOrEqual(mapSide);
        expect(box.top + box.high).toBeLessThanOrEqual(mapSide);
      }),
    ));

  it('a new place stands over no other; on a full floor there is none', () => {
    const first = freeSpot([], 6, 3)!;
    expect(first).toEqual({ left: 0, top: 0, wide: 6, high: 3 });
    const second = freeSpot([first], 6, 3)!;
    expect(overlaps(first, second)).toBe(false);
    expect(freeSpot([{ left: 0, top: 0, wide: mapSide, high: mapSide }], 1, 1)).toBeUndefined();
  });

  it('says how full a place is only where somebody said what it holds', () => {
    expect(fullness(3, 12)).toBe(0.25);
    expect(fullness(13, 12)).toBeGreaterThan(1);
    expect(fullness(3, undefined)).toBeUndefined();
  });
});
