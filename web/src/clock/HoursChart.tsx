import { Bar, CartesianGrid, ComposedChart, ResponsiveContainer, Scatter, XAxis, YAxis } from 'recharts';
import { hoursSummary } from '@bay/core/clock';
import type { HoursLine } from '@bay/core/clock';

/** So many are drawn, the largest; the table below has them all. */
const most = 6;
const rowPx = 38;

/** The clocked hours as a mark: filled inside the estimate, hollow outside of it. */
function Mark({ cx = 0, cy = 0, payload }: { cx?: number; cy?: number; payload?: HoursLine }) {
  const outside = payload?.word === 'over';
  return (
    <path
      d={`M${cx} ${cy - 8}l8 8l-8 8l-8 -8z`}
      fill={outside ? 'var(--panel)' : 'var(--bay)'}
      stroke={outside ? 'var(--ochre)' : 'var(--bay)'}
      strokeWidth={2.4}
    />
  );
}

/** The estimate as a range and the clocked hours as a mark on it; the same in words, and in the table below. */
export default function HoursChart({ lines }: { lines: readonly HoursLine[] }) {
  const shown = lines.filter((l) => l.estimate).slice(0, most);
  if (shown.length === 0) return null;
  return (
    <figure style={{ margin: '0 0 12px' }}>
      <figcaption>{hoursSummary(lines)}</figcaption>
      <div className="no-print" aria-hidden="true">
        <ResponsiveContainer width="100%" height={shown.length * rowPx + 40}>
          <ComposedChart
            accessibilityLayer={false}
            layout="vertical"
            data={shown}
            margin={{ left: 4, right: 24, top: 4, bottom: 0 }}
          >
            <CartesianGrid horizontal={false} stroke="var(--line)" />
            <XAxis type="number" unit=" h" tick={{ fill: 'var(--quiet)', fontSize: 13 }} stroke="var(--line-strong)" />
            <YAxis
              type="category"
              dataKey="name"
              width={210}
              tick={{ fill: 'var(--ink)', fontSize: 13 }}
              tickFormatter={(name: string) => (name.length > 34 ? `${name.slice(0, 33)}…` : name)}
              stroke="var(--line-strong)"
            />
            <Bar dataKey="estimate" barSize={14} fill="var(--bay-wash)" stroke="var(--bay)" isAnimationActive={false} />
            <Scatter dataKey="hours" shape={<Mark />} isAnimationActive={false} />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
    </figure>
  );
}
