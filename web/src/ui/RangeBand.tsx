import { useId } from 'react';
import { rangeBand, rangeWord, rangeWords } from '@bay/core/rules';
import type { Range } from '@bay/core/rules';
import { formatMeasure } from '@bay/core/units';

/** Limits in words: "goes on 2 to 4 bar, stop under 0.7 bar". */
function limitWords({ unit, goOn, stop = {} }: Range): string {
  const figure = (n: number): string => formatMeasure(n, unit);
  const between =
    goOn.min !== undefined && goOn.max !== undefined
      ? `${figure(goOn.min)} to ${figure(goOn.max)}`
      : goOn.min !== undefined
        ? `from ${figure(goOn.min)}`
        : goOn.max !== undefined
          ? `up to ${figure(goOn.max)}`
          : 'at any value';
  const stops = [
    stop.below === undefined ? '' : `under ${figure(stop.below)}`,
    stop.above === undefined ? '' : `over ${figure(stop.above)}`,
  ].filter(Boolean);
  return `goes on ${between}${stops.length > 0 ? `, stop ${stops.join(' or ')}` : ''}`;
}

/** A value against what goes on, what is looked at and what stops: each part has its hatching and its word. */
export function RangeBand({ range, value, label }: { range: Range; value?: number | undefined; label: string }) {
  const hatch = useId();
  const { zones, limits, at } = rangeBand(range, value);
  const word = value === undefined ? undefined : rangeWords[rangeWord(value, range)];
  const said = `${label}: ${value === undefined ? '' : `${formatMeasure(value, range.unit)}, ${word}; `}${limitWords(range)}`;
  return (
    <div className="range-band" role="img" aria-label={said} title={said}>
      <svg viewBox="0 0 300 46" preserveAspectRatio="none" aria-hidden="true">
        <defs>
          <pattern id={`${hatch}l`} width="7" height="7" patternTransform="rotate(45)" patternUnits="userSpaceOnUse">
            <path d="M0 0V7" stroke="var(--ochre)" strokeWidth="2" />
          </pattern>
          <pattern id={`${hatch}s`} width="6" height="6" patternTransform="rotate(45)" patternUnits="userSpaceOnUse">
            <path d="M0 0V6M0 0H6" stroke="var(--oxide)" strokeWidth="2" />
          </pattern>
        </defs>
        {zones.map((z) => (
          <rect
            key={z.from}
            x={z.from * 300}
            width={(z.to - z.from) * 300}
            y="14"
            height="14"
            fill={z.word === 'goes-on' ? 'var(--bay)' : `url(#${hatch}${z.word === 'look' ? 'l' : 's'})`}
          />
        ))}
        {at !== undefined && (
          <path d={`M${at * 300} 12l-6 -10h12zM${at * 300} 12v18`} fill="var(--ink)" stroke="var(--ink)" />
        )}
      </svg>
      {limits.map((l) => (
        <span key={l.value} className="mono" style={{ left: `${l.at * 100}%` }}>
          {Number(l.value.toPrecision(5))}
        </span>
      ))}
      {zones.map((z) => (
        <small key={z.from} style={{ left: `${(50 * (z.from + z.to)).toFixed(1)}%` }}>
          {rangeWords[z.word]}
        </small>
      ))}
    </div>
  );
}
