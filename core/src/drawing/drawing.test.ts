import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  boxOf,
  fitView,
  held,
  onBoard,
  panned,
  placeLabels,
  roundLength,
  shared,
  underneath,
  zoomed,
} from './index.ts';
import type { Drawing, LabelWish } from './index.ts';

const box = { x: -100, y: 50, width: 900, height: 300 };
const frame = { width: 640, height: 400, margin: 40 };
const size = fc.double({ min: -200, max: 800, noNaN: true });

describe('the view of a board', () => {
  it('shows the whole, centred, with its margin', () => {
    const view = fitView(box, frame);
    expect(view.scale).toBeCloseTo((640 - 80) / 900, 9);
    expect(onBoard({ x: -100, y: 200 }, view, frame)).toEqual({ x: 40, y: 200 });
    expect(onBoard({ x: 800, y: 200 }, view, frame).x).toBeCloseTo(600, 9);
  });
  it('higher in the drawing is higher on the board', () => {
    const view = fitView(box, frame);
    expect(onBoard({ x: 0, y: 300 }, view, frame).y).toBeLessThan(
      onBoard({ x: 0, y: 100 }, view, frame).y,
    );
  });
  it('knows which place lies under a place of the board, whatever the view', () => {
    fc.assert(
      fc.property(size, size, fc.double({ min: 0.5, max: 20, noNaN: true }), (x, y, factor) => {
        const view = zoomed(fitView(box, frame), factor, { x: 100, y: 100 }, box, frame);
        const back = underneath(onBoard({ x, y }, view, frame), view, frame);
        expect(back.x).toBeCloseTo(x, 6);
        expect(back.y).toBeCloseTo(y, 6);
      }),
    );
  });
  it('goes nearer about the place under the finger, which stays where it is', () => {
    const before = fitView(box, frame);
    const at = { x: 300, y: 190 };
    const after = zoomed(before, 3, at, box, frame);
    expect(after.scale).toBeCloseTo(before.scale * 3, 9);
    const was = underneath(at, before, frame);
    const now = underneath(at, after, frame);
    expect([now.x, now.y]).toEqual([expect.closeTo(was.x, 6), expect.closeTo(was.y, 6)]);
  });
  it('never goes farther than the whole, and pans to the edge and no farther', () => {
    const whole = fitView(box, frame);
    expect(zoomed(whole, 0.2, { x: 0, y: 0 }, box, frame)).toEqual(whole);
    expect(panned(whole, 500, 500, box, frame)).toEqual(whole);
    const near = zoomed(whole, 4, { x: 320, y: 200 }, box, frame);
    expect(panned(near, -1e6, 0, box, frame).middle.x).toBe(800);
    expect(held({ ...near, scale: 1e9 }, box, frame).scale).toBeCloseTo(whole.scale * 12, 9);
  });
  it('has a scale bar of a round length that is as long as it may be', () => {
    expect(roundLength(0.62, 140)).toBe(200);
    expect(roundLength(0.2, 100)).toBe(500);
    expect(roundLength(7, 140)).toBe(20);
    fc.assert(
      fc.property(fc.double({ min: 1e-3, max: 1e3, noNaN: true }), (scale) => {
        const drawn = roundLength(scale, 140) * scale;
        expect(drawn).toBeLessThanOrEqual(140 * (1 + 1e-9));
        expect(drawn).toBeGreaterThan(140 / 2.6);
      }),
    );
  });
  it('has a box round all that has a place, and one for nothing', () => {
    const nothing: Drawing = {
      name: '',
      summary: '',
      unit: 'mm',
      shapes: [],
      spots: [],
      dimensions: [],
    };
    expect(boxOf(nothing)).toEqual({ x: 0, y: 0, width: 1, height: 1 });
    expect(
      boxOf({
        ...nothing,
        shapes: [{ id: 'a', name: 'a', ink: 'car', closed: false, points: [{ x: 0, y: 5 }] }],
        spots: [{ id: 'b', name: 'b', ink: 'in', at: { x: 10, y: -5 }, mark: 'ring' }],
      }),
    ).toEqual({ x: 0, y: -5, width: 10, height: 10 });
  });
});

describe('texts on a board', () => {
  const wish = (x: number, y: number): LabelWish => ({
    of: { x, y },
    at: { x, y },
    width: 60,
    height: 14,
  });
  const boxes = (wishes: readonly LabelWish[]) =>
    placeLabels(wishes, { width: 640, height: 400 }).map(({ at }) => ({
      x: at.x - 30,
      y: at.y - 7,
      width: 60,
      height: 14,
    }));
  it('stand where they want to when there is room', () => {
    expect(placeLabels([wish(100, 100), wish(300, 100)], frame)).toEqual([
      { at: { x: 100, y: 100 }, led: false },
      { at: { x: 300, y: 100 }, led: false },
    ]);
  });
  it('do not lie on one another and not over the edge, wherever up to a dozen of them want to be', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: -50, max: 700 }), fc.integer({ min: -50, max: 450 })), {
          maxLength: 12,
        }),
        (places) => {
          const placed = boxes(places.map(([x, y]) => wish(x, y)));
          placed.forEach((a, i) => {
            expect(a.x >= 0 && a.y >= 0 && a.x + 60 <= 640 && a.y + 14 <= 400).toBe(true);
            placed.slice(i + 1).forEach((b) => expect(shared(a, b)).toBe(0));
          });
        },
      ),
    );
  });
  it('keep off what is taken and say with a line what they speak of', () => {
    const taken = { x: 60, y: 80, width: 80, height: 40 };
    const [placed] = placeLabels([wish(100, 100)], frame, [taken]);
    expect(
      shared({ x: placed!.at.x - 30, y: placed!.at.y - 7, width: 60, height: 14 }, taken),
    ).toBe(0);
    expect(placed!.led).toBe(true);
  });
});
