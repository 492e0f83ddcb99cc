import { useRef } from 'react';
import type { Point } from '@bay/core/drawing';
import type { BoardView } from './useView.ts';

type Pointer = BoardView['pointer'];

/** Who presses on what can be carried pulls it along; everything else is left to the board. */
export function useCarry(carry: ((by: Point) => void) | undefined, scale: number): (board: Pointer) => Pointer {
  const held = useRef<{ id: number; x: number; y: number } | undefined>(undefined);
  return (board) => {
    if (!carry) return board;
    const drop =
      (otherwise: React.PointerEventHandler): React.PointerEventHandler =>
      (e) => {
        if (held.current?.id !== e.pointerId) return otherwise(e);
        held.current = undefined;
      };
    return {
      onPointerDown: (e) => {
        const on = e.target instanceof Element && e.target.closest('[data-carried]') !== null;
        if (!on || e.button !== 0 || held.current) return board.onPointerDown(e);
        held.current = { id: e.pointerId, x: e.clientX, y: e.clientY };
        e.currentTarget.setPointerCapture(e.pointerId);
      },
      onPointerMove: (e) => {
        const from = held.current;
        if (from?.id !== e.pointerId) return board.onPointerMove(e);
        held.current = { id: e.pointerId, x: e.clientX, y: e.clientY };
        carry({ x: (e.clientX - from.x) / scale, y: (from.y - e.clientY) / scale });
      },
      onPointerUp: drop(board.onPointerUp),
      onPointerCancel: drop(board.onPointerCancel),
    };
  };
}
