import { useRef } from 'react';
import type { BoltPlace } from '@bay/core/prep';

export interface BoltMark {
  state: 'open' | 'tight' | 'off';
  /** What stands on it, in words: its value, who. */
  said: string;
}

/** Room for one bolt, px: a finger and a little air. */
const pitch = 54;

/**
 * Bolts where they lie, each a button: the number in it, its state as a shape and a word, and the order of tightening as a
 * thin line from one to the next. Arrow keys go along the order.
 */
export function BoltField({
  label,
  places,
  order,
  marks,
  at,
  pick,
  aspect,
}: {
  label: string;
  places: readonly BoltPlace[];
  order: readonly string[];
  marks: ReadonlyMap<string, BoltMark>;
  at: string | undefined;
  pick: (bolt: string) => void;
  /** How high for its width, where the places were measured. */
  aspect?: number | undefined;
}) {
  const field = useRef<HTMLDivElement>(null);
  const columns = new Set(places.map((p) => p.x.toFixed(3))).size;
  const rows = new Set(places.map((p) => p.y.toFixed(3))).size;
  const round = rows > 2 || aspect !== undefined;
  const side = Math.max(150, (places.length * pitch) / Math.PI);
  const width = round ? side : Math.max(1, columns - 1) * pitch;
  const height =
    aspect !== undefined ? Math.max(side * aspect, aspect > 0 ? pitch : 0) : round ? side : (rows - 1) * pitch * 1.5;
  const put = new Map(places.map((p) => [p.bolt, { x: p.x * width, y: p.y * height }]));
  const line = order.map((b) => put.get(b)).filter((p) => p !== undefined);
  const go = (from: string, by: number): void => {
    const next = order[order.indexOf(from) + by];
    if (next !== undefined) field.current?.querySelector<HTMLElement>(`[data-bolt="${next}"]`)?.focus();
  };
  return (
    <div className="bolt-scroll">
      <div ref={field} className="bolt-field" role="group" aria-label={label} style={{ width, height }}>
        <svg width={width} height={height} aria-hidden="true">
          <polyline points={line.map((p) => `${p.x},${p.y}`).join(' ')} />
        </svg>
        {places.map(({ bolt }) => {
          const mark = marks.get(bolt) ?? { state: 'open', said: 'open' };
          const { x, y } = put.get(bolt)!;
          const turn = order.indexOf(bolt) + 1;
          return (
            <button
              key={bolt}
              type="button"
              data-bolt={bolt}
              className={`bolt ${mark.state}`}
              aria-pressed={at === bolt}
              aria-label={`Bolt ${bolt}, ${turn} in order: ${mark.said}`}
              title={mark.said}
              style={{ left: x, top: y }}
              onClick={() => pick(bolt)}
              onKeyDown={(e) => {
                if (e.key === 'ArrowRight' || e.key === 'ArrowDown') go(bolt, 1);
                else if (e.key === 'ArrowLeft' || e.key === 'ArrowUp') go(bolt, -1);
                else return;
                e.preventDefault();
              }}
            >
              <span>{bolt}</span>
              <small aria-hidden="true">{mark.state === 'tight' ? '✓' : mark.state === 'off' ? '✕' : turn}</small>
            </button>
          );
        })}
      </div>
    </div>
  );
}
