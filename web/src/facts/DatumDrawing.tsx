import { axisWords, datumOf, datums } from '@bay/core/facts';
import type { DatumId, FactId } from '@bay/core/facts';
import styles from './facts.module.css';

/** The car from its left side, front to the left: what the datum is drawn on. */
const things: Record<DatumId, React.ReactNode> = {
  body: (
    <>
      <path d="M20 112 H232" className={styles['edge']} />
      <path d="M232 34 V112 L262 128 H310" className={styles['edge']} />
      <path d="M24 60 L60 42 L226 34" className={styles['faint']} />
      <text x="28" y="126">
        rail top
      </text>
      <text x="240" y="48">
        firewall
      </text>
    </>
  ),
  engine: (
    <>
      <path
        d="M96 44 L128 28 H210 L222 44 V96 H210 V124 H150 L140 104 H96 Z M232 44 V108 M222 48 H232 M222 100 H232"
        className={styles['edge']}
      />
      <path d="M30 80 H300" className={styles['axis']} />
      <text x="244" y="46">
        bell face
      </text>
      <text x="6" y="74">
        crank axis
      </text>
    </>
  ),
  gearbox: (
    <>
      <path
        d="M232 44 V116 M232 48 L252 56 L304 66 V94 L252 104 L232 112 M206 74 H232 M206 86 H232 M206 74 V86"
        className={styles['edge']}
      />
      <path d="M30 80 H310" className={styles['axis']} />
      <text x="244" y="42">
        bell face
      </text>
      <text x="6" y="74">
        input axis
      </text>
    </>
  ),
};
const at: Record<DatumId, readonly [number, number]> = { body: [232, 112], engine: [232, 80], gearbox: [232, 80] };

/** From where and which way the numbers of a fact are measured; nothing for one that is no place. */
export function DatumDrawing({ factId }: { factId: string }) {
  const measured = datumOf[factId as FactId];
  if (!measured) return null;
  const datum = datums[measured.datum];
  const [x, y] = at[datum.id];
  return (
    <figure className={styles['datum']}>
      <svg viewBox="0 0 320 150" role="img" aria-label={`${datum.title}, from the left of the car, front to the left`}>
        {things[datum.id]}
        <g className={styles['arrows']}>
          <path d={`M${x} ${y} H${x - 64} m10 -5 l-10 5 l10 5`} />
          <path d={`M${x} ${y} V${y - 58} m-5 10 l5 -10 l5 10`} />
          <circle cx={x} cy={y} r="7" />
          <circle cx={x} cy={y} r="2" className={styles['dot']} />
          <text x={x - 78} y={y + 4}>
            x
          </text>
          <text x={x + 7} y={y - 52}>
            z
          </text>
          <text x={x - 4} y={y + 26}>
            y to you
          </text>
        </g>
      </svg>
      <figcaption className="quiet">
        <b>{datum.title}:</b> {datum.origin}. Axes: {axisWords}.{measured.counts ? ` Here: ${measured.counts}.` : ''}
      </figcaption>
    </figure>
  );
}
