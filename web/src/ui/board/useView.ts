import { useElementSize } from '@mantine/hooks';
import { useEffect, useRef, useState } from 'react';
import { boxOf, fitView, held, panned, underneath, zoomed } from '@bay/core/drawing';
import type { Box, Drawing, Frame, Point, View } from '@bay/core/drawing';

/** A press that moved less than this, px, is a tap. */
const tapWithin = 6;
const step = 1.5;

export interface BoardView {
  frame: Frame;
  view: View;
  box: Box;
  /** More than the whole is not shown. */
  near: boolean;
  container: React.RefCallback<HTMLElement>;
  surface: React.RefObject<SVGSVGElement | null>;
  nearer: (at?: Point) => void;
  farther: (at?: Point) => void;
  whole: () => void;
  pan: (byX: number, byY: number) => void;
  pointer: {
    onPointerDown: React.PointerEventHandler;
    onPointerMove: React.PointerEventHandler;
    onPointerUp: React.PointerEventHandler;
    onPointerCancel: React.PointerEventHandler;
  };
}

/** What part of a drawing is shown, and how fingers, mouse and wheel change it. `tapped` is told the place of the drawing. */
export function useView(drawing: Drawing, height: number, margin: number, tapped?: (at: Point) => void): BoardView {
  const { ref, width } = useElementSize<HTMLElement>();
  const surface = useRef<SVGSVGElement>(null);
  const frame: Frame = { width: width || 640, height, margin };
  const box = boxOf(drawing);
  const [chosen, setChosen] = useState<View>();
  // A drawing that changed or a window that turned keeps what still can be kept.
  const view = chosen ? held(chosen, box, frame) : fitView(box, frame);
  const near = view.scale > fitView(box, frame).scale * 1.001;
  const middle = { x: frame.width / 2, y: frame.height / 2 };
  const zoom = (factor: number, at: Point = middle): void => setChosen(zoomed(view, factor, at, box, frame));
  const latest = useRef({ zoom, near });
  useEffect(() => {
    latest.current = { zoom, near };
  });

  // The wheel scrolls the page, unless Ctrl is held as everywhere else for nearer and farther.
  useEffect(() => {
    const svg = surface.current;
    if (!svg) return undefined;
    const wheel = (e: WheelEvent): void => {
      if (!e.ctrlKey && !e.metaKey) return;
      e.preventDefault();
      const { left, top } = svg.getBoundingClientRect();
      latest.current.zoom(e.deltaY < 0 ? step : 1 / step, { x: e.clientX - left, y: e.clientY - top });
    };
    svg.addEventListener('wheel', wheel, { passive: false });
    return () => svg.removeEventListener('wheel', wheel);
  }, []);

  const fingers = useRef(new Map<number, Point>());
  const moved = useRef(0);
  const at = (e: React.PointerEvent): Point => {
    const { left, top } = surface.current!.getBoundingClientRect();
    return { x: e.clientX - left, y: e.clientY - top };
  };
  const lift = (e: React.PointerEvent): void => {
    const one = fingers.current.size === 1;
    const known = fingers.current.delete(e.pointerId);
    if (!known || !one || moved.current > tapWithin || e.type === 'pointercancel') return;
    tapped?.(underneath(at(e), view, frame));
  };
  return {
    frame,
    view,
    box,
    near,
    container: ref,
    surface,
    nearer: (place) => zoom(step, place),
    farther: (place) => zoom(1 / step, place),
    whole: () => setChosen(undefined),
    pan: (byX, byY) => setChosen(panned(view, byX, byY, box, frame)),
    pointer: {
      onPointerDown: (e) => {
        if (e.button !== 0) return;
        fingers.current.set(e.pointerId, at(e));
        if (fingers.current.size === 1) moved.current = 0;
      },
      onPointerMove: (e) => {
        const before = fingers.current.get(e.pointerId);
        if (!before) return;
        const now = at(e);
        moved.current += Math.hypot(now.x - before.x, now.y - before.y);
        const other = [...fingers.current].find(([id]) => id !== e.pointerId)?.[1];
        fingers.current.set(e.pointerId, now);
        if (moved.current > tapWithin && !e.currentTarget.hasPointerCapture(e.pointerId))
          e.currentTarget.setPointerCapture(e.pointerId);
        if (other) {
          const was = Math.hypot(before.x - other.x, before.y - other.y);
          const is = Math.hypot(now.x - other.x, now.y - other.y);
          if (was > 0) zoom(is / was, { x: (now.x + other.x) / 2, y: (now.y + other.y) / 2 });
        } else if (near) setChosen(panned(view, now.x - before.x, now.y - before.y, box, frame));
      },
      onPointerUp: lift,
      onPointerCancel: lift,
    },
  };
}
