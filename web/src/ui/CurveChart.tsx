import { CartesianGrid, Line, LineChart, ResponsiveContainer, XAxis, YAxis } from 'recharts';

export interface Curve {
  name: string;
  points: readonly { x: number; y: number }[];
}

/** Dashes tell the curves apart where colours do not. */
const dashes = ['', '7 4', '2 3', '10 3 2 3'];
const inks = ['var(--bay)', 'var(--slate)', 'var(--ochre)', 'var(--ink)'];

/** What was read over time, for the eye: its words and its table stand beside it. */
export default function CurveChart({
  curves,
  x,
  y,
  height = 220,
}: {
  curves: readonly Curve[];
  x: string;
  y: string;
  /** px */
  height?: number;
}) {
  const tick = { fill: 'var(--quiet)', fontSize: 13 };
  return (
    <div className="curves" aria-hidden="true">
      <ResponsiveContainer width="100%" height={height}>
        <LineChart accessibilityLayer={false} margin={{ left: 0, right: 16, top: 8, bottom: 4 }}>
          <CartesianGrid stroke="var(--line)" />
          <XAxis
            dataKey="x"
            type="number"
            domain={[0, 'dataMax']}
            unit={` ${x}`}
            tick={tick}
            stroke="var(--line-strong)"
            allowDuplicatedCategory={false}
          />
          <YAxis dataKey="y" unit={` ${y}`} tick={tick} stroke="var(--line-strong)" width={64} />
          {curves.map((c, i) => (
            <Line
              key={c.name}
              data={[...c.points]}
              dataKey="y"
              name={c.name}
              stroke={inks[i % inks.length]}
              strokeDasharray={dashes[i % dashes.length]}
              strokeWidth={2.2}
              dot={{ r: 4, fill: 'var(--panel)', strokeDasharray: '' }}
              isAnimationActive={false}
            />
          ))}
        </LineChart>
      </ResponsiveContainer>
      {curves.length > 1 && (
        <ul>
          {curves.map((c, i) => (
            <li key={c.name}>
              <svg width="34" height="10">
                <path
                  d="M0 5H34"
                  stroke={inks[i % inks.length]}
                  strokeWidth="2.4"
                  strokeDasharray={dashes[i % dashes.length]}
                />
              </svg>
              {c.name}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
