import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { boltPlaces, readOrder, tighteningOrder } from './index.ts';

const joint = fc.record({
  bolts: fc.integer({ min: 1, max: 60 }),
  layout: fc.constantFrom('rows' as const, 'circle' as const),
});

describe('bolts where they lie', () => {
  it('each has a place of its own inside the field, whatever the joint (property)', () =>
    fc.assert(
      fc.property(joint, (j) => {
        const places = boltPlaces(j);
        expect(places.map((p) => p.bolt)).toEqual(
          Array.from({ length: j.bolts }, (_, i) => String(i + 1)),
        );
        expect(new Set(places.map((p) => `${p.x.toFixed(6)} ${p.y.toFixed(6)}`)).size).toBe(
          j.bolts,
        );
        for (const { x, y } of places)
          expect(Math.min(x, y) >= -1e-9 && Math.max(x, y) <= 1 + 1e-9).toBe(true);
      }),
    ));
});

describe('the order of tightening', () => {
  it('names every bolt once (property)', () =>
    fc.assert(
      fc.property(joint, (j) => {
        expect(tighteningOrder(j).order.toSorted()).toEqual(
          boltPlaces(j)
            .map((p) => p.bolt)
            .toSorted(),
        );
      }),
    ));
  // Common practice, no source: a round flange is drawn down crosswise, each next bolt opposite the last.
  it.each([
    [4, ['1', '3', '2', '4']],
    [6, ['1', '4', '2', '5', '3', '6']],
  ])('round a circle of %d it goes crosswise', (bolts, order) =>
    expect(tighteningOrder({ bolts, layout: 'circle' })).toEqual({
      order,
      from: 'common practice',
    }),
  );
  // Common practice, no source: a head is pressed flat from its middle towards both ends.
  it('in rows it goes from the middle outwards', () => {
    const { order } = tighteningOrder({ bolts: 10, layout: 'rows' });
    expect(order.slice(0, 2)).toEqual(['5', '6']);
    expect(order.slice(-4).sort()).toEqual(['1', '10', '2', '9']);
  });
  it('the one of the manual goes first', () =>
    expect(tighteningOrder({ bolts: 3, order: ['2', '3', '1'] })).toEqual({
      order: ['2', '3', '1'],
      from: 'typed',
    }));
});

describe('an order as typed', () => {
  it('is taken with spaces or commas; an empty one is none', () => {
    expect(readOrder('1 3, 2;4', 4)).toEqual({ ok: true, order: ['1', '3', '2', '4'] });
    expect(readOrder('  ', 4)).toEqual({ ok: true, order: [] });
  });
  it.each([
    ['1 2 5 3', 'none of the bolts 1 to 4'],
    ['1 2 x 3', '"x" is none'],
    ['1 2 2 3', 'Bolt 2 stands there twice'],
    ['1 2', '2 of 4 bolts are named'],
  ])('"%s" is refused with a sentence', (typed, sentence) => {
    const read = readOrder(typed, 4);
    expect(read.ok ? '' : read.sentence).toContain(sentence);
  });
});
