import { IconFocusCentered, IconMinus, IconPlus } from '@tabler/icons-react';
import { useId, useState } from 'react';
import { onBoard, underneath } from '@bay/core/drawing';
import type { Drawing, Point } from '@bay/core/drawing';
import { Sum } from '../Sum.tsx';
import { Marks } from './Marks.tsx';
import { useBox } from './useBox.ts';
import { useCarry } from './useCarry.ts';
import { useView } from './useView.ts';
import styles from './board.module.css';

/** A place that somebody marked: a letter on the drawing, words in the list. */
export interface BoardPin {
  id: string;
  at: Point;
  letter: string;
  said: string;
}

const arrows: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/**
 * A drawing to scale: nearer and farther with + and −, Ctrl and wheel or two fingers; moved by dragging or the arrow keys; and
 * the same as a list for who reads it. Where places can be marked, a tap or Enter at the cross sets one.
 */
export function Board({
  drawing,
  height = 340,
  margin = 44,
  pins = [],
  pickPin,
  place,
  carry,
  box,
  listed = true,
}: {
  drawing: Drawing;
  /** px */
  height?: number;
  /** Free all round for numbers, px. */
  margin?: number;
  pins?: readonly BoardPin[];
  pickPin?: (id: string) => void;
  /** Told where somebody marks a place. */
  place?: (at: Point) => void;
  /** Told by how much somebody pulls what can be carried, in units of the drawing; by arrow keys one at a time, with Shift ten. */
  carry?: (by: Point) => void;
  /** Told the two corners of a box that somebody draws, in units of the drawing: by pulling, by two taps, by Enter twice. */
  box?: (from: Point, to: Point) => void;
  /** Its numbers stand under it as a list; not where they stand beside it anyway. */
  listed?: boolean;
}) {
  const hatch = useId();
  const board = useView(drawing, height, margin, place);
  const { frame, view } = board;
  const [cross, setCross] = useState<Point>();
  const [opened, setOpened] = useState<string>();
  const sum = drawing.dimensions.find((d) => d.id === opened);
  const keys = (e: React.KeyboardEvent): void => {
    // A pin on the board has keys of its own.
    if (e.target !== e.currentTarget) return;
    const way = arrows[e.key];
    const at = cross ?? { x: frame.width / 2, y: frame.height / 2 };
    if (way && (place || box)) {
      const far = e.shiftKey ? 40 : 8;
      setCross({
        x: Math.min(frame.width, Math.max(0, at.x + way[0] * far)),
        y: Math.min(frame.height, Math.max(0, at.y + way[1] * far)),
      });
    } else if (way && carry) {
      const far = e.shiftKey ? 10 : 1;
      carry({ x: way[0] * far, y: -way[1] * far });
    } else if (way) board.pan(-way[0] * 40, -way[1] * 40);
    else if (e.key === '+' || e.key === '=') board.nearer(cross);
    else if (e.key === '-') board.farther(cross);
    else if (e.key === '0') board.whole();
    else if (e.key === 'Enter' && box) boxing.tapped(at);
    else if (e.key === 'Enter' && place) place(underneath(at, view, frame));
    else return;
    e.preventDefault();
    e.stopPropagation();
  };
  const carrying = useCarry(carry, view.scale);
  const boxing = useBox(box, board);
  const { corner } = boxing;
  const end = corner && (boxing.end ?? cross);
  const does = box
    ? 'move the cross, Enter sets one corner of the box and then the other'
    : place
      ? 'move the cross, Enter marks its place'
      : carry
        ? 'move the unit by 1 mm, with Shift by 10'
        : 'move it';
  return (
    <figure className={styles['board']} ref={board.container} aria-label={drawing.name}>
      <svg
        ref={board.surface}
        viewBox={`0 0 ${frame.width} ${frame.height}`}
        height={frame.height}
        className={`${styles['surface']} ${board.near ? styles['near'] : ''} ${place || box ? styles['marks'] : ''}`}
        role="group"
        aria-label={`${drawing.name}. ${drawing.summary} Keys: plus and minus nearer and farther, 0 the whole, arrows ${does}.`}
        tabIndex={0}
        onKeyDown={keys}
        onFocus={(e) =>
          e.target === e.currentTarget && (place || box) && setCross({ x: frame.width / 2, y: frame.height / 2 })
        }
        onBlur={() => setCross(undefined)}
        {...boxing.pointer(carrying(board.pointer))}
      >
        <defs>
          <pattern id={hatch} width="7" height="7" patternTransform="rotate(45)" patternUnits="userSpaceOnUse">
            <path d="M0 0V7" className={styles['hatch']} />
          </pattern>
        </defs>
        <Marks drawing={drawing} view={view} frame={frame} hatch={hatch} />
        {corner && end && (
          <rect
            className={styles['box']}
            x={Math.min(corner.x, end.x)}
            y={Math.min(corner.y, end.y)}
            width={Math.abs(end.x - corner.x)}
            height={Math.abs(end.y - corner.y)}
          />
        )}
        {cross && (
          <path
            className={styles['cross']}
            d={`M${cross.x - 14} ${cross.y}H${cross.x + 14}M${cross.x} ${cross.y - 14}V${cross.y + 14}`}
          />
        )}
        {pins.map((pin) => {
          const { x, y } = onBoard(pin.at, view, frame);
          return (
            <g
              key={pin.id}
              role="button"
              tabIndex={0}
              aria-label={pin.said}
              className={styles['pin']}
              transform={`translate(${x.toFixed(1)} ${y.toFixed(1)})`}
              onPointerDown={(e) => e.stopPropagation()}
              onClick={() => pickPin?.(pin.id)}
              onKeyDown={(e) => {
                if (e.key !== 'Enter' && e.key !== ' ') return;
                e.preventDefault();
                e.stopPropagation();
                pickPin?.(pin.id);
              }}
            >
              <title>{pin.said}</title>
              <rect x="-22" y="-36" width="44" height="44" className={styles['finger']} />
              <path d="M0 0V-9M-3 0a3 3 0 1 0 6 0a3 3 0 1 0 -6 0M-11 -29H11V-9H-11Z" />
              <text y="-14">{pin.letter}</text>
            </g>
          );
        })}
      </svg>
      <div className={styles['tools']}>
        <button type="button" aria-label={`Nearer: ${drawing.name}`} onClick={() => board.nearer()}>
          <IconPlus size={20} aria-hidden="true" />
        </button>
        {board.near && (
          <>
            <button type="button" aria-label={`Farther: ${drawing.name}`} onClick={() => board.farther()}>
              <IconMinus size={20} aria-hidden="true" />
            </button>
            <button type="button" aria-label={`The whole: ${drawing.name}`} onClick={board.whole}>
              <IconFocusCentered size={20} aria-hidden="true" />
            </button>
          </>
        )}
      </div>
      {listed && drawing.dimensions.length > 0 && (
        <ul className={styles['list']} aria-label={`Numbers of: ${drawing.name}`}>
          {drawing.dimensions.map((d) => (
            <li key={d.id}>
              {d.rows ? (
                <button
                  type="button"
                  aria-expanded={opened === d.id}
                  onClick={() => setOpened(opened === d.id ? undefined : d.id)}
                >
                  {d.name} <b className="mono">{d.said}</b>
                </button>
              ) : (
                <span>
                  {d.name} <b className="mono">{d.said}</b>
                </span>
              )}
            </li>
          ))}
        </ul>
      )}
      {sum?.rows && <Sum rows={sum.rows} />}
    </figure>
  );
}
