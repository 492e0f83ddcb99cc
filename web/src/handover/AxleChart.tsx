import { Bar, BarChart, CartesianGrid, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { BeforeAfter } from '@bay/core/handover';

/** Two bars an axle, paper grey before and teal after. For the eye: words and table stand beside it. */
export default function AxleChart({ rows }: { rows: readonly BeforeAfter[] }) {
  const tick = { fill: 'var(--ink)', fontSize: 13 };
  return (
    <div aria-hidden="true">
      <ResponsiveContainer width="100%" height={150}>
        <BarChart
          accessibilityLayer={false}
          layout="vertical"
          data={[...rows]}
          margin={{ left: 4, right: 24, top: 4, bottom: 0 }}
        >
          <CartesianGrid horizontal={false} stroke="var(--line)" />
          <XAxis type="number" unit=" kg" tick={tick} stroke="var(--line-strong)" />
          <YAxis type="category" dataKey="name" width={90} tick={tick} stroke="var(--line-strong)" />
          <Bar
            dataKey="before"
            barSize={14}
            fill="var(--ground-deep)"
            stroke="var(--line-strong)"
            isAnimationActive={false}
          />
          <Bar dataKey="after" barSize={14} fill="var(--bay)" isAnimationActive={false} />
        </BarChart>
      </ResponsiveContainer>
    </div>
  );
}
