import { Button, NativeSelect } from '@mantine/core';
import { useState } from 'react';
import { thenLookAt } from '@bay/core/fit';
import type { FitOption, JobScene } from '@bay/core/fit';
import { noCurrency, showMoney } from '@bay/core/money';
import { counted } from '@bay/core/units';
import { useMe } from '../api/index.ts';
import { useJob } from '../sheet/index.ts';
import styles from './fit.module.css';
import type { PositionView } from './usePosition.ts';
import { WayOutForm } from './WayOutForm.tsx';

/** How many places are named; the rest are counted. */
const named = 3;

/** What is looked at again once these ways out are taken. */
function NextLooks({ scene, options }: { scene: JobScene; options: readonly FitOption[] }) {
  const places = [...new Set(options.flatMap((o) => thenLookAt(scene, o)))];
  if (places.length === 0) return null;
  const more = places.length - named;
  return (
    <span className={`quiet ${styles['of-lift']}`} title={places.join(', ')}>
      then look at: {places.slice(0, named).join(', ')}
      {more > 0 ? ` and ${more} more` : ''}
    </span>
  );
}

/** The sets of ways out with which everything clears, the least first. */
export function LeastChange({
  view,
  reserve,
  setReserve,
}: {
  view: PositionView;
  reserve: number;
  setReserve: (mm: number) => void;
}) {
  const { mayWrite } = useJob();
  const currency = useMe().data?.shop?.currency ?? noCurrency;
  const [adding, setAdding] = useState(false);
  const { options, plans, planShare, tried, tryPlan, scene } = view;
  const titles = (ids: readonly string[]): string =>
    ids.length === 0 ? 'As it is' : ids.map((id) => options.find((o) => o.id === id)?.title ?? id).join(' and ');
  return (
    <section className="panel" aria-label="The least change">
      <div className="bench-head">
        <h3>The least change</h3>
        <NativeSelect
          aria-label="To be left in hand"
          value={String(reserve)}
          onChange={(e) => setReserve(Number(e.currentTarget.value))}
          data={[0, 3, 5, 10].map((n) => ({ value: String(n), label: `${n} mm in hand` }))}
        />
      </div>
      {planShare !== undefined && (
        <p className="quiet" role="status">
          Going through {counted(2 ** options.length, 'set')} of ways out, {Math.round(planShare * 100)} % …
        </p>
      )}
      {plans && planShare === undefined && (
        <>
          {plans.plans.length === 0 && (
            <p>
              None of {counted(options.length, 'way out', 'ways out')} makes every gap clear with {reserve} mm in hand,
              alone or together{plans.exact ? '' : ', as far as was searched'}.
            </p>
          )}
          <ul className="rows">
            {plans.plans.map((p) => {
              const at = p.options.length === tried.length && p.options.every((id) => tried.includes(id));
              return (
                <li key={p.options.join()} className={styles['plan']}>
                  <span>
                    <b>{titles(p.options)}</b>{' '}
                    <span className="quiet">
                      {[
                        `${p.worstMm.toFixed(1)} mm in hand`,
                        ...(p.cost > 0 ? [showMoney(p.cost, currency)] : []),
                        ...(p.hours > 0 ? [`${p.hours} h`] : []),
                      ].join(' · ')}
                    </span>
                    <NextLooks scene={scene} options={options.filter((o) => p.options.includes(o.id))} />
                    {p.approvals.map((a) => (
                      <span key={a} className="tag ochre">
                        {' '}
                        only with approval: {a}
                      </span>
                    ))}
                  </span>
                  <Button variant="default" size="compact-md" disabled={at} onClick={() => tryPlan(p.options, p.pose)}>
                    {at ? 'Drawn' : 'Draw it so'}
                  </Button>
                </li>
              );
            })}
          </ul>
        </>
      )}
      <div className="row-actions">
        {tried.length > 0 && (
          <Button variant="subtle" onClick={() => tryPlan([], view.pose)}>
            Draw it without ways out
          </Button>
        )}
        {mayWrite && (
          <Button variant="default" onClick={() => setAdding(true)}>
            A way out of our own
          </Button>
        )}
      </div>
      {adding && <WayOutForm scene={scene} close={() => setAdding(false)} />}
    </section>
  );
}
