import { Bar, BarChart, CartesianGrid, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { RunBasis } from '@bay/core/handover';

/** Two bars a basis, the mean before in paper grey and after in teal. For the eye: words stand beside it. */
export default function RunChart({ bases }: { bases: readonly RunBasis[] }) {
  const tick = { fill: 'var(--ink)', fontSize: 13 };
  return (
    <div aria-hidden="true">
      {bases.map((b) => (
        <ResponsiveContainer key={b.id} width="100%" height={104}>
          <BarChart
            accessibilityLayer={false}
            layout="vertical"
            data={[{ name: b.words, before: b.before?.mean, after: b.after?.mean }]}
            margin={{ left: 4, right: 24, top: 4, bottom: 0 }}
          >
            <CartesianGrid horizontal={false} stroke="var(--line)" />
            <XAxis type="number" unit={` ${b.unit}`} tick={tick} stroke="var(--line-strong)" />
            <YAxis type="category" dataKey="name" width={120} tick={tick} stroke="var(--line-strong)" />
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
      ))}
    </div>
  );
}
