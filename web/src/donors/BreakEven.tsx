import { Area, AreaChart, CartesianGrid, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { AccountStep } from '@bay/core/donors';
import { decimalsOf } from '@bay/core/money';
import { dayWords } from '../ui/index.ts';

/** Where the account stands after each entry, as steps; under the line it is not earned back. For the eye: words and table stand beside it. */
export default function BreakEven({ steps, currency }: { steps: readonly AccountStep[]; currency: string }) {
  const whole = 10 ** decimalsOf(currency);
  const stood = steps.map((s) => ({ on: dayWords(s.on), stands: s.stands / whole }));
  // Where it stands now lasts until today.
  const data = [...stood, { on: 'today', stands: stood.at(-1)?.stands ?? 0 }];
  const tick = { fill: 'var(--quiet)', fontSize: 13 };
  return (
    <div aria-hidden="true">
      <ResponsiveContainer width="100%" height={210}>
        <AreaChart accessibilityLayer={false} data={data} margin={{ left: 8, right: 16, top: 8, bottom: 4 }}>
          <CartesianGrid stroke="var(--line)" vertical={false} />
          <XAxis dataKey="on" tick={tick} stroke="var(--line-strong)" />
          <YAxis tick={tick} stroke="var(--line-strong)" width={70} />
          <ReferenceLine
            y={0}
            stroke="var(--ink)"
            strokeWidth={1.6}
            label={{ value: 'even', position: 'insideTopLeft', fill: 'var(--ink)', fontSize: 13 }}
          />
          <Area
            type="stepAfter"
            dataKey="stands"
            baseValue={0}
            stroke="var(--bay)"
            strokeWidth={2.2}
            fill="var(--bay-wash)"
            isAnimationActive={false}
          />
        </AreaChart>
      </ResponsiveContainer>
    </div>
  );
}
