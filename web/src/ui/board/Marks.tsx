import { onBoard, placeLabels, roundLength } from '@bay/core/drawing';
import type { Dimension, Drawing, Frame, LabelWish, Point, Shape, Spot, View } from '@bay/core/drawing';
import { formatMeasure } from '@bay/core/units';
import styles from './board.module.css';

/** What a drawing is drawn with: areas and lines, spots, dimension lines with their numbers, section marks, a scale bar. */

/** A character of the numbers, px, and the height of a line of them. */
const character = 6.9;
const lineHeight = 15;
const inkClass = {
  car: styles['car'],
  in: styles['in'],
  gear: styles['gear'],
  meets: styles['meets'],
  assumed: styles['assumed'],
} as const;

const wordClass = { look: styles['look'], stop: styles['stop'] } as const;

/** The middle of what is drawn of a shape. */
const middleOf = (points: readonly Point[]): Point => {
  const xs = points.map((p) => p.x);
  const ys = points.map((p) => p.y);
  return { x: (Math.min(...xs) + Math.max(...xs)) / 2, y: (Math.min(...ys) + Math.max(...ys)) / 2 };
};

const path = (points: readonly Point[], closed: boolean): string =>
  `M${points.map((p) => `${p.x.toFixed(1)} ${p.y.toFixed(1)}`).join('L')}${closed ? 'Z' : ''}`;

function Area({ shape, put, hatch }: { shape: Shape; put: (p: Point) => Point; hatch: string }) {
  return (
    <path
      d={path(shape.points.map(put), shape.closed)}
      className={`${inkClass[shape.ink]}${shape.closed ? '' : ` ${styles['open']}`}${shape.carried ? ` ${styles['carried']}` : ''}`}
      {...(shape.carried ? { 'data-carried': '' } : {})}
      {...(shape.ink === 'meets' && shape.closed ? { fill: `url(#${hatch})` } : {})}
    >
      <title>{shape.name}</title>
    </path>
  );
}

const spotMarks: Record<Spot['mark'], string> = {
  ring: 'M-6 0a6 6 0 1 0 12 0a6 6 0 1 0 -12 0',
  cross: 'M-9 0H9M0 -9V9M-5 0a5 5 0 1 0 10 0a5 5 0 1 0 -10 0',
  hook: 'M0 -22V-8M-7 0a7 7 0 1 0 7 -7',
};

interface Drawn {
  dimension: Dimension;
  a: Point;
  b: Point;
  /** The line beside them. */
  from: Point;
  to: Point;
}

function besideOf(dimension: Dimension, put: (p: Point) => Point): Drawn {
  const a = put(dimension.from);
  const b = put(dimension.to);
  const long = Math.hypot(b.x - a.x, b.y - a.y) || 1;
  // To the left of the way from a to b, as one stands on the board.
  const off = { x: ((b.y - a.y) / long) * dimension.aside, y: (-(b.x - a.x) / long) * dimension.aside };
  return { dimension, a, b, from: { x: a.x + off.x, y: a.y + off.y }, to: { x: b.x + off.x, y: b.y + off.y } };
}

const arrow = (tip: Point, tail: Point): string => {
  const way = Math.atan2(tail.y - tip.y, tail.x - tip.x);
  const end = (turn: number): string =>
    `L${(tip.x + 8 * Math.cos(way + turn)).toFixed(1)} ${(tip.y + 8 * Math.sin(way + turn)).toFixed(1)}`;
  return `M${tip.x.toFixed(1)} ${tip.y.toFixed(1)}${end(0.35)}M${tip.x.toFixed(1)} ${tip.y.toFixed(1)}${end(-0.35)}`;
};

export function Marks({
  drawing,
  view,
  frame,
  hatch,
}: {
  drawing: Drawing;
  view: View;
  frame: Frame;
  /** Id of the pattern for what meets. */
  hatch: string;
}) {
  const put = (p: Point): Point => onBoard(p, view, frame);
  const drawn = drawing.dimensions.map((d) => besideOf(d, put));
  const named = [
    ...drawing.spots.filter((s) => s.name !== ''),
    ...drawing.shapes
      .filter((s) => s.named)
      .map((s) => ({ id: `name-${s.id}`, name: s.name, at: middleOf(s.points), inside: true })),
  ];
  const wishes: LabelWish[] = [
    ...drawn.map(({ dimension, from, to }) => {
      const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
      return { of: middle, at: middle, width: dimension.said.length * character + 10, height: lineHeight + 4 };
    }),
    ...named.map((s) => {
      const at = put(s.at);
      const width = s.name.length * character;
      const beside = 'inside' in s ? at : { x: at.x + width / 2 + 12, y: at.y - 12 };
      return { of: at, at: beside, width, height: lineHeight };
    }),
  ];
  // Texts keep off the spots themselves.
  const taken = drawing.spots.map((s) => ({ x: put(s.at).x - 8, y: put(s.at).y - 8, width: 16, height: 16 }));
  const labels = placeLabels(wishes, frame, taken);
  const bar = drawing.unit === 'mm' ? roundLength(view.scale, 150) : undefined;
  return (
    <>
      {drawing.shapes.map((shape) => (
        <Area key={shape.id} shape={shape} put={put} hatch={hatch} />
      ))}
      {(drawing.sections ?? []).map(({ letter, from, to }) => {
        const [a, b] = [put(from), put(to)];
        return (
          <g key={letter} className={styles['section']}>
            <path d={`M${a.x} ${a.y}L${b.x} ${b.y}`} />
            {[a, b].map((p, i) => (
              <text key={i} x={p.x} y={p.y - 6}>
                {letter}
              </text>
            ))}
          </g>
        );
      })}
      {drawn
        .filter((d) => d.dimension.aside !== 0)
        .map(({ dimension, a, b, from, to }) => (
          <g key={dimension.id} className={`${styles['dimension']} ${dimension.word ? wordClass[dimension.word] : ''}`}>
            <path d={`M${a.x} ${a.y}L${from.x} ${from.y}M${b.x} ${b.y}L${to.x} ${to.y}`} className={styles['ledge']} />
            <path d={`M${from.x} ${from.y}L${to.x} ${to.y}${arrow(from, to)}${arrow(to, from)}`} />
          </g>
        ))}
      {drawing.spots.map((s) => {
        const { x, y } = put(s.at);
        return (
          <path
            key={s.id}
            d={spotMarks[s.mark]}
            transform={`translate(${x.toFixed(1)} ${y.toFixed(1)})`}
            className={`${inkClass[s.ink]} ${styles['spot']}`}
          >
            <title>{s.name}</title>
          </path>
        );
      })}
      {labels.map(({ at, led }, i) => {
        const wish = wishes[i]!;
        const number = drawn[i]?.dimension;
        return (
          <g key={number?.id ?? named[i - drawn.length]!.id} className={styles['label']}>
            {led && <path d={`M${at.x} ${at.y}L${wish.of.x} ${wish.of.y}`} className={styles['ledge']} />}
            {number && (
              <rect
                x={at.x - wish.width / 2}
                y={at.y - wish.height / 2}
                width={wish.width}
                height={wish.height}
                rx="2"
                className={number.word ? wordClass[number.word] : undefined}
              />
            )}
            <text x={at.x} y={at.y + 4} className={number ? styles['number'] : undefined}>
              {number?.said ?? named[i - drawn.length]!.name}
            </text>
          </g>
        );
      })}
      {bar !== undefined && (
        <g
          className={styles['bar']}
          transform={`translate(${frame.width - bar * view.scale - 16} ${frame.height - 12})`}
        >
          <path d={`M0 -6V0H${bar * view.scale}V-6`} />
          <text x={(bar * view.scale) / 2} y="-5">
            {formatMeasure(bar, 'mm')}
          </text>
        </g>
      )}
    </>
  );
}
