import { lineRecipe } from './line-joints.ts';
import { describe, expect, it } from 'vitest';
import { clearanceHoleMm, pipeCut, sleevePiece, studLength, tapDrillMm } from './index.ts';

describe('what is drilled and cut to fit', () => {
  it('M6 is drilled 5.0 for its thread and 6.6 for its bolt, M10 8.5 and 11 (ISO 273, memory; common practice)', () => {
    expect([tapDrillMm(6, 1), clearanceHoleMm(6)]).toEqual([5, 6.6]);
    expect([tapDrillMm(10, 1.5), clearanceHoleMm(10)]).toEqual([8.5, 11]);
    expect(clearanceHoleMm(7)).toBeUndefined();
    expect(() => tapDrillMm(6, 6)).toThrow(RangeError);
  });
  it('a pipe of 335 between faces 301 apart with 1 mm for the weld loses 35 (by hand)', () => {
    const pipe = {
      lengthMm: 335,
      gapOneSideMm: 301,
      gapOtherSideMm: 301,
      faceMm: 76,
      weldGapMm: 1,
    };
    expect(pipeCut(pipe)).toEqual({ cutMm: 35, leanDeg: 0 });
    expect(pipeCut({ ...pipe, lengthMm: 290 }).cutMm).toBe(-10);
  });
  it('nothing is cut while the faces lean: 2 mm over 76 are 1.5°', () => {
    expect(() =>
      pipeCut({ lengthMm: 335, gapOneSideMm: 300, gapOtherSideMm: 302, faceMm: 76, weldGapMm: 1 }),
    ).toThrow('lean by 1.5°');
  });
  it('a stud is as long as what it holds, washer, nut and a thread and a half (common practice)', () => {
    expect(
      studLength({ clampedMm: 12, washerMm: 2, nutMm: 10, pitchMm: 1.5, coverMm: 25 }),
    ).toEqual({ lengthMm: 26.25, leftMm: -1.25 });
  });
});

describe('a heat sleeve', () => {
  const line = { nearMm: 240, overlapMm: 50, outsideMm: 19, layerMm: 3, layers: 1, gapMm: 40 };
  it('is as long as the line near the heat and its overlaps, and takes its thickness from the gap (sums by hand)', () => {
    expect(sleevePiece(line)).toEqual({ lengthMm: 340, boreMm: 19, leftMm: 37 });
    expect(sleevePiece({ ...line, layers: 2 })).toEqual({ lengthMm: 340, boreMm: 25, leftMm: 34 });
    expect(sleevePiece({ ...line, gapMm: 2 }).leftMm).toBe(-1);
    expect(() => sleevePiece({ ...line, layerMm: 0 })).toThrow(RangeError);
  });
});

describe('what a small line is made of', () => {
  // A banjo is sealed on both of its faces, a hose tail is held by one clamp (facts of the trade, no source).
  it('counts the pieces of both ends', () => {
    const { pieces, wide } = lineRecipe({
      use: 'turbo-oil-feed',
      boreMm: 4,
      lengthMm: 420,
      ends: ['banjo', 'banjo'],
    });
    expect(Object.fromEntries(pieces)).toEqual({ banjo: 2, 'banjo bolt': 2, 'sealing washer': 4 });
    expect(wide).toBe(true);
    const mixed = lineRecipe({
      use: 'turbo-water',
      boreMm: 6,
      lengthMm: 300,
      ends: ['banjo', 'hose-tail'],
    });
    expect(Object.fromEntries(mixed.pieces)).toEqual({
      banjo: 1,
      'banjo bolt': 1,
      'sealing washer': 2,
      'hose tail': 1,
      clamp: 1,
    });
    expect(mixed.wide).toBe(false);
  });
  it('lets no drain go through a banjo', () => {
    expect(() =>
      lineRecipe({
        use: 'turbo-oil-drain',
        boreMm: 18,
        lengthMm: 200,
        ends: ['hose-tail', 'banjo'],
      }),
    ).toThrow(/holds the oil back/);
    expect(() =>
      lineRecipe({ use: 'turbo-water', boreMm: 0, lengthMm: 200, ends: ['banjo', 'banjo'] }),
    ).toThrow(/more than nothing/);
  });
});
