import type { Box, Point } from './types.ts';

/** What part of a drawing a board shows: px a unit, and where the middle of the board lies in the drawing. */
export interface View {
  scale: number;
  middle: Point;
}

export interface Frame {
  width: number;
  height: number;
  /** Kept free all round for numbers, px. */
  margin: number;
}

/** How much nearer than the whole one may go. */
const nearest = 12;

/** The whole of a drawing in a frame, as large as it goes. */
export function fitView(box: Box, { width, height, margin }: Frame): View {
  const across = Math.max(1, width - 2 * margin);
  const up = Math.max(1, height - 2 * margin);
  return {
    scale: Math.min(across / box.width, up / box.height),
    middle: { x: box.x + box.width / 2, y: box.y + box.height / 2 },
  };
}

/** From a place of the drawing (y up) to a place on the board (y down), px. */
export const onBoard = ({ x, y }: Point, { scale, middle }: View, { width, height }: Frame): Point => ({
  x: width / 2 + (x - middle.x) * scale,
  y: height / 2 - (y - middle.y) * scale,
});

/** From a place on the board, px, to the place of the drawing under it. */
export const underneath = ({ x, y }: Point, { scale, middle }: View, { width, height }: Frame): Point => ({
  x: middle.x + (x - width / 2) / scale,
  y: middle.y - (y - height / 2) / scale,
});

const between = (value: number, least: number, most: number): number => Math.min(most, Math.max(least, value));

/** No farther than the whole, no nearer than one can read, and the middle of the board never off the drawing. */
export function held({ scale, middle }: View, box: Box, frame: Frame): View {
  const whole = fitView(box, frame);
  const kept = between(scale, whole.scale, whole.scale * nearest);
  if (kept === whole.scale) return whole;
  return {
    scale: kept,
    middle: { x: between(middle.x, box.x, box.x + box.width), y: between(middle.y, box.y, box.y + box.height) },
  };
}

/** Nearer (or farther) by a factor; what lies under `at` on the board stays there. */
export function zoomed(view: View, factor: number, at: Point, box: Box, frame: Frame): View {
  const fixed = underneath(at, view, frame);
  const scale = held({ ...view, scale: view.scale * factor }, box, frame).scale;
  const middle = {
    x: fixed.x - (at.x - frame.width / 2) / scale,
    y: fixed.y + (at.y - frame.height / 2) / scale,
  };
  return held({ scale, middle }, box, frame);
}

/** Moved by px of the board. */
export const panned = ({ scale, middle }: View, byX: number, byY: number, box: Box, frame: Frame): View =>
  held({ scale, middle: { x: middle.x - byX / scale, y: middle.y + byY / scale } }, box, frame);

/** A round length (1, 2 or 5 of a power of ten) that is drawn at most `mostPx` long, for the scale bar. */
export function roundLength(scale: number, mostPx: number): number {
  const most = mostPx / scale;
  const ten = 10 ** Math.floor(Math.log10(most));
  return [5, 2, 1].map((n) => n * ten).find((n) => n <= most) ?? ten;
}
