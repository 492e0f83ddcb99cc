import { useMemo, useState } from 'react';
import { factDef, isFactId, optionWords } from '@bay/core/facts';
import { moneyFigures, noCurrency } from '@bay/core/money';
import { controlRoutes, planInputOf } from '@bay/core/plan';
import type { ControlRoute } from '@bay/core/plan';
import { may } from '@bay/contract/rights';
import { useMe } from '../api/index.ts';
import { FactEditor, usualBearer } from '../facts/index.ts';
import { useCurrency, useShopTerms } from '../money/index.ts';
import { useJob } from '../sheet/index.ts';
import { Fold } from '../ui/index.ts';
import styles from './choosing.module.css';

const tones = { fits: 'teal', short: 'ochre', stop: 'oxide', 'not-known': 'quiet' } as const;

const some = (titles: readonly string[]): string =>
  titles.length === 0
    ? 'nothing of its own'
    : titles.length <= 5
      ? titles.join('; ')
      : `${titles.slice(0, 5).join('; ')}; and ${titles.length - 5} more`;

const figures: readonly { name: string; of: (r: ControlRoute) => React.ReactNode }[] = [
  {
    name: 'Hours of the whole job',
    of: ({ hours }) => (
      <span className="mono">
        {Math.round(hours[1])} h<br />
        <small className="quiet">
          {Math.round(hours[0])} to {Math.round(hours[2])}
        </small>
      </span>
    ),
  },
  { name: 'Still open', of: ({ open }) => <span className={open > 0 ? 'ochre' : ''}>{open} lines</span> },
  { name: 'Taken from the donor for it', of: ({ harvest }) => some(harvest) },
  { name: 'Bought for it', of: ({ buys }) => some(buys) },
  { name: 'Done for it', of: ({ work }) => some(work) },
  {
    name: 'Hears',
    of: ({ signals }) => (signals ? `${signals.needsIn} it needs, ${signals.wantsIn} it wants` : 'not known'),
  },
  {
    name: 'Drives',
    of: ({ signals }) => (signals ? `${signals.needsOut} it needs, ${signals.wantsOut} it wants` : 'not known'),
  },
];

/** Every way of running the engine beside the others, in this job. */
export function ControlRoutes() {
  const { sheet, plan, mayWrite } = useJob();
  const currency = useCurrency();
  const seesMoney = may(useMe().data?.person?.role, 'see-money');
  const terms = useShopTerms(seesMoney);
  const [open, setOpen] = useState(false);
  const [fact, setFact] = useState<string>();
  const routes = useMemo(
    () => (open ? controlRoutes(planInputOf({ jobId: sheet.job.id, ...sheet }), terms) : []),
    [open, sheet, terms],
  );
  const chosen = routes.find((r) => r.chosen);
  const needs = [...new Set(chosen?.io.flatMap((f) => f.needs) ?? [])].filter(isFactId);
  return (
    <div className="panel">
      <Fold
        name="Ways of control side by side"
        count={6}
        note="what each needs harvested, bought, wired"
        open={open}
        toggle={() => setOpen(!open)}
      >
        {chosen && (
          <>
            {chosen.io.map((f) => (
              <p key={f.what} className={tones[f.state]}>
                {optionWords(chosen.control)}: {f.sentence}.
              </p>
            ))}
            {mayWrite && needs.length > 0 && (
              <div className="row-actions">
                {needs.map((id) => (
                  <button key={id} type="button" className="plain-button small" onClick={() => setFact(id)}>
                    {factDef(id).label}
                  </button>
                ))}
              </div>
            )}
          </>
        )}
        {!plan.facts.has('cho-goal') && (
          <p className="ochre">Counted as for a car that runs: nobody said the goal yet.</p>
        )}
        {/* A table that is wider than its place is moved by the arrow keys. */}
        {/* eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex -- nothing in it takes the focus */}
        <div className="scroll-x" role="region" aria-label="Ways of control" tabIndex={0}>
          <table className={`data ${styles['choices']}`}>
            <thead>
              <tr>
                <th />
                {routes.map((r) => (
                  <th key={r.control} scope="col">
                    <b>{optionWords(r.control)}</b>
                    <br />
                    {r.chosen && <span className="tag teal">chosen</span>}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {seesMoney && (
                <tr>
                  <th scope="row">
                    {currency === noCurrency ? 'Parts of the whole job' : `Parts of the whole job, ${currency}`}
                  </th>
                  {routes.map((r) => (
                    <td key={r.control} className="mono">
                      {r.parts ? (
                        <>
                          {moneyFigures(Math.round(r.parts[1]), currency)}
                          <br />
                          <small className="quiet">
                            {moneyFigures(Math.round(r.parts[0]), currency)} to{' '}
                            {moneyFigures(Math.round(r.parts[2]), currency)}
                          </small>
                        </>
                      ) : (
                        'not set'
                      )}
                    </td>
                  ))}
                </tr>
              )}
              {figures.map((f) => (
                <tr key={f.name}>
                  <th scope="row">{f.name}</th>
                  {routes.map((r) => (
                    <td key={r.control}>{f.of(r)}</td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        {mayWrite && (
          <div className="row-actions">
            <button type="button" className="plain-button" onClick={() => setFact('cho-control')}>
              {chosen ? 'Choose another way' : 'Choose a way'}
            </button>
          </div>
        )}
      </Fold>
      {fact && <FactEditor factId={fact} bearer={usualBearer(fact)} close={() => setFact(undefined)} />}
    </div>
  );
}
