import { lazy, Suspense } from 'react';
import { axlesBeforeAfter, beforeAfterWords } from '@bay/core/handover';
import { formatMeasure } from '@bay/core/units';
import { useJob, useRecords } from '../sheet/index.ts';

const AxleChart = lazy(() => import('./AxleChart.tsx'));

const figure = (value: number | undefined): string =>
  value === undefined ? 'not weighed' : formatMeasure(value, 'kg', 0);

/** What the car weighed before the first bolt came off, and now. */
export function BeforeAfter() {
  const { plan } = useJob();
  const proof = useRecords('gate')['gate-ho-weights'];
  const rows = axlesBeforeAfter(plan.facts, proof);
  const both = rows.some((r) => r.before !== undefined && r.after !== undefined);
  return (
    <section className="panel" aria-label="Before and after">
      <h3>Before and after</h3>
      <p className="quiet">{beforeAfterWords(rows)}.</p>
      {both && (
        <Suspense fallback={<div className="loading-figure" />}>
          <AxleChart rows={rows} />
        </Suspense>
      )}
      <table className="data">
        <thead>
          <tr>
            <th>Axle</th>
            <th className="num">Before</th>
            <th className="num">After</th>
            <th className="num">May carry</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <tr key={r.name}>
              <td>{r.name}</td>
              <td className="num">
                {figure(r.before)}
                {r.beforeFrom && r.beforeFrom !== 'measured' && (
                  <small className="ochre"> {r.beforeFrom === 'assumed' ? 'assumed' : 'looked up'}</small>
                )}
              </td>
              <td className="num">{figure(r.after)}</td>
              <td className="num">{r.most === undefined ? 'not known' : formatMeasure(r.most, 'kg', 0)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
