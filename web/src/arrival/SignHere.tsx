import { useRef } from 'react';
import styles from './arrival.module.css';

type Point = [number, number];

const across = 1000;
const down = 300;
/** Points nearer than this to the last add nothing to the line. */
const nearest = 6;

/** A field that is signed with a finger, a pen or the mouse; what is drawn is kept as lines of points. */
export function SignHere({
  strokes,
  set,
  error,
}: {
  strokes: readonly (readonly Point[])[];
  set: (strokes: Point[][]) => void;
  error?: string | undefined;
}) {
  const field = useRef<SVGSVGElement>(null);
  const drawing = useRef<Point[]>(undefined);
  const at = (e: React.PointerEvent): Point => {
    const box = field.current!.getBoundingClientRect();
    const share = (value: number, most: number): number => Math.round(Math.min(most, Math.max(0, value)));
    return [
      share(((e.clientX - box.left) / box.width) * across, across),
      share(((e.clientY - box.top) / box.height) * down, down),
    ];
  };
  const grow = (point: Point): void => {
    const stroke = drawing.current!;
    const last = stroke.at(-1)!;
    if (Math.hypot(point[0] - last[0], point[1] - last[1]) < nearest) return;
    stroke.push(point);
    set([...strokes.slice(0, -1).map((s) => [...s]), [...stroke]]);
  };
  return (
    <div>
      <svg
        ref={field}
        className={styles['sign']}
        viewBox={`0 0 ${across} ${down}`}
        role="img"
        aria-label={strokes.length > 0 ? 'Signature, drawn' : 'Signature, not drawn yet'}
        onPointerDown={(e) => {
          e.currentTarget.setPointerCapture(e.pointerId);
          const begun = at(e);
          // A dot is a line as well.
          drawing.current = [begun, [Math.min(across, begun[0] + 1), begun[1]]];
          set([...strokes.map((s) => [...s]), [...drawing.current]]);
        }}
        onPointerMove={(e) => {
          if (drawing.current) grow(at(e));
        }}
        onPointerUp={() => (drawing.current = undefined)}
        onPointerCancel={() => (drawing.current = undefined)}
      >
        <line x1={40} x2={across - 40} y1={240} y2={240} className={styles['sign-on']} />
        {strokes.map((s, i) => (
          <polyline key={i} points={s.map((p) => p.join(',')).join(' ')} />
        ))}
      </svg>
      {error && <p className="oxide">{error}</p>}
      <button type="button" className="plain-button small bare" disabled={strokes.length === 0} onClick={() => set([])}>
        Clear the signature
      </button>
    </div>
  );
}
