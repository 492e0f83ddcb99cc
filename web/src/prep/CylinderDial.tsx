import type { SheetDef } from '@bay/core/prep';
import { formatMeasure } from '@bay/core/units';
import styles from './prep.module.css';

/** A reading of a round thing: where along it, in which direction, and its diameter. */
export interface DialReading {
  height: number;
  across: boolean;
  value: number;
  label: string;
}

const size = 150;
const middle = size / 2;
const radius = 48;
/** Hundredths of a millimetre are drawn large, and all dials to one scale, so that a good one looks round: so many px … */
const swing = 20;
/** … for so many mm; what lies further apart takes a scale of its own. */
const swingMm = 0.05;

/** The round readings of a place, for its dial. */
export const dialReadings = (def: SheetDef, readings: Readonly<Record<string, number>>): DialReading[] =>
  def.readings.flatMap(({ key, label, round }) => {
    const value = readings[key];
    return round && value !== undefined ? [{ ...round, value, label: label.toLowerCase() }] : [];
  });

/**
 * A bore or journal looked into: one ring for each height, drawn out of round as it was read, the differences made large. The
 * rings of a straight, round one lie on each other.
 */
export function CylinderDial({ label, readings }: { label: string; readings: readonly DialReading[] }) {
  if (readings.length < 2) return null;
  const values = readings.map((r) => r.value);
  const least = Math.min(...values);
  const spread = Math.max(...values) - least;
  const drawn = (value: number): number => radius + ((value - least) / Math.max(swingMm, spread)) * swing;
  const heights = [...new Set(readings.map((r) => r.height))];
  const at = (height: number, across: boolean): number | undefined =>
    readings.find((r) => r.height === height && r.across === across)?.value;
  const said = `${label}: ${readings.map((r) => `${r.label} ${formatMeasure(r.value, 'mm', 3)}`).join(', ')}. Most apart ${formatMeasure(spread, 'mm', 3)}.`;
  return (
    <figure className={styles['dial']}>
      <svg width={size} height={size} viewBox={`0 0 ${size} ${size}`} role="img" aria-label={said}>
        <title>{said}</title>
        <path d={`M${middle} 4V${size - 4}M4 ${middle}H${size - 4}`} stroke="var(--line)" />
        {heights.map((height, i) => {
          const along = at(height, false);
          const across = at(height, true);
          const one = along ?? across!;
          const [rx, ry] = [drawn(across ?? one), drawn(along ?? one)];
          return (
            <g
              key={height}
              fill="none"
              stroke="var(--bay)"
              strokeWidth="1.6"
              strokeDasharray={['', '6 3', '2 3'][i % 3]}
            >
              <ellipse cx={middle} cy={middle} rx={rx} ry={ry} />
              {across !== undefined && <circle cx={middle + rx} cy={middle} r="3.4" fill="var(--panel)" />}
              {along !== undefined && <circle cx={middle} cy={middle - ry} r="3.4" fill="var(--panel)" />}
            </g>
          );
        })}
      </svg>
      <figcaption>
        {label} <span className="mono">{formatMeasure(spread, 'mm', 3)}</span> apart
      </figcaption>
    </figure>
  );
}
