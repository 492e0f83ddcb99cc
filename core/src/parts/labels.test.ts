import { describe, expect, it } from 'vitest';
import { labelPapers, labelPlaces } from './index.ts';

describe.each(labelPapers)('$name', (paper) => {
  const of = paper.across * paper.down;
  it('lies within its page, no label on another', () => {
    const places = labelPlaces(paper, of);
    expect(places.every((p) => p.page === 0)).toBe(true);
    for (const { left, top } of places) {
      expect(left).toBeGreaterThanOrEqual(-1e-9);
      expect(top).toBeGreaterThanOrEqual(-1e-9);
      expect(left + paper.label.width).toBeLessThanOrEqual(paper.page.width + 1e-9);
      expect(top + paper.label.height).toBeLessThanOrEqual(paper.page.height + 1e-9);
    }
    expect(new Set(places.map((p) => `${p.left} ${p.top}`)).size).toBe(of);
  });
  it('goes on on the next page, and begins where the sheet is still free', () => {
    expect(labelPlaces(paper, of + 1).at(-1)!.page).toBe(1);
    expect(labelPlaces(paper, 1, of)).toEqual([labelPlaces(paper, of).at(-1)]);
    expect(() => labelPlaces(paper, 1, of + 1)).toThrow(`This sheet has labels 1 to ${of}.`);
    expect(() => labelPlaces(paper, 1, 0)).toThrow(RangeError);
  });
});
