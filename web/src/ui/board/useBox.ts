import { useRef, useState } from 'react';
import { underneath } from '@bay/core/drawing';
import type { Point } from '@bay/core/drawing';
import type { BoardView } from './useView.ts';

type Pointer = BoardView['pointer'];

/** A box with less than this on a side, px, is a tap. */
const tapWithin = 6;

/**
 * Who presses and pulls draws a box from corner to corner, told in the places of the drawing; two taps, or Enter twice at the cross,
 * do the same. Everything is left to the board where no box is wanted.
 */
export function useBox(
  drawn: ((from: Point, to: Point) => void) | undefined,
  { view, frame, surface }: BoardView,
): {
  corner: Point | undefined;
  end: Point | undefined;
  tapped: (at: Point) => void;
  pointer: (board: Pointer) => Pointer;
} {
  const [corner, setCorner] = useState<Point>();
  const [end, setEnd] = useState<Point>();
  const pressed = useRef<number | undefined>(undefined);
  const on = (e: React.PointerEvent): Point => {
    const { left, top } = surface.current!.getBoundingClientRect();
    return { x: e.clientX - left, y: e.clientY - top };
  };
  const done = (from: Point, to: Point): void => {
    setCorner(undefined);
    setEnd(undefined);
    drawn?.(underneath(from, view, frame), underneath(to, view, frame));
  };
  const tapped = (at: Point): void => {
    if (corner) done(corner, at);
    else setCorner(at);
  };
  return {
    corner,
    end,
    tapped,
    pointer: (board) =>
      !drawn
        ? board
        : {
            onPointerDown: (e) => {
              if (e.button !== 0) return;
              pressed.current = e.pointerId;
              e.currentTarget.setPointerCapture(e.pointerId);
              if (!corner) setCorner(on(e));
              else setEnd(on(e));
            },
            onPointerMove: (e) => {
              if (corner) setEnd(on(e));
            },
            onPointerUp: (e) => {
              if (pressed.current !== e.pointerId || !corner) return;
              pressed.current = undefined;
              const to = on(e);
              // A tap is the first corner; the next press gives the second.
              if (Math.min(Math.abs(to.x - corner.x), Math.abs(to.y - corner.y)) >= tapWithin) done(corner, to);
            },
            onPointerCancel: () => {
              pressed.current = undefined;
              setCorner(undefined);
              setEnd(undefined);
            },
          },
  };
}
