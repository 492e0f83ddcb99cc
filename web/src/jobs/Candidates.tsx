import { useMutation, useQueries, useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useRef, useState } from 'react';
import { nearItsEnd } from '@bay/core/arrival';
import { criteria, mostWeight, scoreAll, turnOf, weightOf } from '@bay/core/jobs';
import type { CriterionId, Weights } from '@bay/core/jobs';
import { moneyFigures, noCurrency, noTerms } from '@bay/core/money';
import { planInputOf } from '@bay/core/plan';
import type { MeasuredChoice } from '@bay/core/plan';
import { moveUnit, unitFacts } from '@bay/contract/jobs';
import type { JobSheet } from '@bay/contract/jobs';
import type { FactRow } from '@bay/contract/facts';
import { may } from '@bay/contract/rights';
import { call, keys, newId, useMe } from '../api/index.ts';
import { CountsFirst } from '../facts/index.ts';
import { useCurrency, useShopTerms } from '../money/index.ts';
import { useJob, usePut, useRecords } from '../sheet/index.ts';
import { Failed, Trouble, VerdictMark } from '../ui/index.ts';
import { UnitForm } from '../units/index.ts';
import { useWork } from '../workers/index.ts';
import { ChoiceHeads } from './ChoiceHeads.tsx';
import styles from './choosing.module.css';
import { MissingPieces } from './MissingPieces.tsx';
import { PriceForm, ReturnDay, supplyWords } from './PriceForm.tsx';

const candidatesOf = (units: JobSheet['units']) => units.filter((u) => u.role === 'candidate' || u.role === 'engine');
/** What is known of each, the same array until one of them is another. */
const factsOf = (read: readonly { data?: { facts: FactRow[] } | undefined }[]) => read.map((r) => r.data?.facts);

/** Each candidate measured in this car, beside the screen; judged again when something it reads is another. */
function useMeasured() {
  const { sheet } = useJob();
  const seesMoney = may(useMe().data?.person?.role, 'see-money');
  const terms = useShopTerms(seesMoney);
  const prices = useRecords('candidate');
  const pieces = useRecords('candidate-piece');
  const units = candidatesOf(sheet.units);
  const known = useQueries({
    queries: units.map((u) => ({
      queryKey: keys.unitFacts(u.id),
      queryFn: () => call(unitFacts, { params: { unitId: u.id } }),
    })),
    combine: factsOf,
  });
  const wish = useMemo(
    () => ({
      input: planInputOf({ jobId: sheet.job.id, ...sheet }),
      terms,
      choices: candidatesOf(sheet.units).map((u, i) => ({
        id: u.id,
        name: u.name,
        facts: new Map((known[i] ?? []).map((f) => [f.factId, f])),
        cost: prices[u.id]?.cost,
        km: prices[u.id]?.km,
        days: prices[u.id]?.days,
        supply: prices[u.id]?.supply,
        against: prices[u.id]?.against,
        pieces: Object.values(pieces)
          .filter((p) => p.unitId === u.id && !p.gone)
          .map((p) => ({ what: p.what, price: p.price })),
      })),
    }),
    [sheet, terms, prices, pieces, known],
  );
  const work = useWork('measureChoices', wish);
  const rows = (work.result ?? []).filter((r) => units.some((u) => u.id === r.id));
  // Before all that is weighed has come from the server, and while it is weighed anew, nothing is said to be ahead.
  const settled =
    known.every((facts) => facts !== undefined) && (!seesMoney || terms !== noTerms) && work.share === undefined;
  return { work, rows, units, settled };
}

const short: Readonly<Record<CriterionId, string>> = Object.fromEntries(
  criteria.map((c) => [c.id, c.title.toLowerCase()]),
) as Record<CriterionId, string>;

const sameWeights = (a: Weights, b: Weights): boolean => criteria.every((c) => weightOf(a, c.id) === weightOf(b, c.id));

/** What the choice comes to, and what would turn it. */
function Turned({ rows, weights }: { rows: readonly MeasuredChoice[]; weights: Weights }) {
  const turn = turnOf(rows, weights);
  if (!turn) return null;
  const { winner, sure, weight, unknown } = turn;
  const first = rows.find((r) => r.name === winner);
  const against = first?.against;
  const unmeasured = first?.counts['not-measured'] ?? 0;
  const places = first ? Object.values(first.counts).reduce((sum, n) => sum + n, 0) : 0;
  return (
    <p className={styles['turn']} role="status">
      <b>{winner}</b> {sure ? 'comes out first' : 'is ahead'}
      {weight &&
        `; ${weight.other} would be if "${short[weight.criterion]}" counted ${weight.to.toFixed(1)} instead of ${weight.from.toFixed(1)}`}
      .
      {unknown.length > 0 && (
        <span className="ochre">
          {' '}
          Not settled while nobody knows{' '}
          {unknown
            .slice(0, 3)
            .map((u) => `${short[u.criterion]} of ${u.name}`)
            .join(', ')}
          {unknown.length > 3 ? ' and more' : ''}.
        </span>
      )}
      {unmeasured * 2 > places && (
        <span className="ochre">
          {' '}
          Of {places} places {unmeasured} are not measured with it: this says little of whether it fits.
        </span>
      )}
      {against && <span className="oxide"> It is not recommended: {against}.</span>}
    </p>
  );
}

/** Candidate engines as columns, what counts as rows, each row with what it weighs. */
export function Candidates() {
  const { sheet, mayWrite } = useJob();
  const client = useQueryClient();
  const put = usePut();
  const currency = useCurrency();
  const seesMoney = may(useMe().data?.person?.role, 'see-money');
  const kept = useRecords('choosing')['engine']?.weights;
  const revision = sheet.records.find((r) => r.kind === 'choosing' && r.key === 'engine')?.revision ?? 0;
  const [moved, setMoved] = useState<Weights>();
  const weights: Weights = moved ?? kept ?? {};
  const [pricing, setPricing] = useState<string>();
  const [adding, setAdding] = useState(false);
  const [weighing, setWeighing] = useState(false);
  const prices = useRecords('candidate');
  const { work, rows, units, settled } = useMeasured();
  const choosing = useMutation({
    mutationFn: async (unitId: string) => {
      const now = units.find((u) => u.role === 'engine');
      const move = (id: string, role: 'candidate' | 'engine') =>
        call(moveUnit, {
          params: { unitId: id },
          body: {
            commandId: newId(),
            place: units.find((u) => u.id === id)!.place,
            job: { jobId: sheet.job.id, role },
            leaveJobId: sheet.job.id,
          },
        });
      if (now) await move(now.id, 'candidate');
      return move(unitId, 'engine');
    },
    onSuccess: () => client.invalidateQueries({ queryKey: keys.job(sheet.job.id) }),
  });
  // Weights are kept when the hand rests, one write after the other: each on top of what the last one left.
  const tried = useRef<Weights>(undefined);
  const { mutate, isPending } = put;
  useEffect(() => {
    if (moved === undefined || isPending || tried.current === moved || sameWeights(moved, kept ?? {})) return;
    const rest = setTimeout(() => {
      tried.current = moved;
      mutate({ kind: 'choosing', key: 'engine', data: { weights: { ...moved } }, revision });
    }, 400);
    return () => clearTimeout(rest);
  }, [moved, isPending, kept, revision, mutate]);
  const scores = new Map(scoreAll(rows, weights).map((s) => [s.id, s]));
  const cell = (row: MeasuredChoice, { id, unit }: (typeof criteria)[number]): React.ReactNode => {
    const value = row.values[id];
    if (value === undefined) return <span className="quiet">not known</span>;
    if (id === 'money') return seesMoney ? moneyFigures(value, currency) : '';
    if (id === 'hours')
      return (
        <>
          {Math.round(value)} h<br />
          <small className="quiet">
            {Math.round(row.hours[0])} to {Math.round(row.hours[1])}
          </small>
          {row.open > 0 && (
            <>
              <br />
              <small className="ochre">{row.open} lines open</small>
            </>
          )}
        </>
      );
    if (id === 'km') {
      const worn = nearItsEnd(value, 'engine');
      return (
        <>
          {Math.round(value).toLocaleString('en')} km
          {worn.length > 0 && (
            <>
              <br />
              <small className="ochre">near its end: {worn.join(', ')}</small>
            </>
          )}
        </>
      );
    }
    if (id === 'supply') return supplyWords[value === 1 ? 'good' : value === 0 ? 'none' : 'scarce'].toLowerCase();
    if (id === 'proof') return ['none', 'stood', 'some', 'runs', 'new'][Math.round(value * 4)];
    const sign = id === 'mass' && value > 0 ? '+' : '';
    return <span className={id === 'room' && value < 0 ? 'oxide' : ''}>{`${sign}${Math.round(value)} ${unit}`}</span>;
  };
  const shown = rows.map((row) => ({ row, unit: units.find((u) => u.id === row.id)! }));
  return (
    <div className="panel">
      <div className="bench-head">
        <h3>Engines side by side</h3>
        <CountsFirst />
        <span className="quiet">each judged in this car as if it were the one</span>
        {work.share !== undefined && work.share > 0 && (
          <span className="right">
            <progress value={work.share} aria-label="Engines judged" />{' '}
            <button type="button" className="plain-button small bare" onClick={work.cancel}>
              Cancel
            </button>
          </span>
        )}
      </div>
      {work.error && <Failed sentence={work.error.message} again={work.again} />}
      {units.length === 0 && (
        <p className="quiet">No engine yet. Add one or more candidates; what is known of them is compared here.</p>
      )}
      {settled && <Turned rows={rows} weights={weights} />}
      {shown.length > 0 && (
        <div className="scroll-x">
          <table className={`data ${styles['choices']}`}>
            <thead>
              <tr>
                <th className={styles['weight']}>What counts, and how much</th>
                <ChoiceHeads
                  shown={shown}
                  goesInAs="engine"
                  mayChoose={mayWrite && !choosing.isPending}
                  choose={choosing.mutate}
                />
              </tr>
            </thead>
            <tbody>
              <tr>
                <th scope="row">Places</th>
                {shown.map(({ row }) => (
                  <td key={row.id}>
                    {(['bolts-up', 'adapt', 'clash', 'not-measured'] as const).map((w) => (
                      <span key={w} title={w.replace('-', ' ')} className={styles['place']}>
                        <VerdictMark word={w} />
                        {row.counts[w]}
                        <span className="skip">{w.replace('-', ' ')}</span>
                      </span>
                    ))}
                    {row.assumed > 0 && <small className="ochre">{row.assumed} facts assumed</small>}
                  </td>
                ))}
              </tr>
              {criteria
                .filter((c) => c.id !== 'money' || seesMoney)
                .map((c) => (
                  <tr key={c.id}>
                    <th scope="row" className={styles['weight']}>
                      {c.id === 'money' && currency !== noCurrency ? `${c.title}, ${currency}` : c.title}
                      {weighing ? (
                        <span className={styles['slider']}>
                          <input
                            type="range"
                            min={0}
                            max={mostWeight}
                            step={0.5}
                            aria-label={`How much counts: ${c.title}`}
                            value={weightOf(weights, c.id)}
                            disabled={!mayWrite}
                            onChange={(e) => setMoved({ ...weights, [c.id]: Number(e.currentTarget.value) })}
                          />
                          <span className="mono">{weightOf(weights, c.id)}</span>
                        </span>
                      ) : (
                        <span className="quiet mono"> {weightOf(weights, c.id)}</span>
                      )}
                    </th>
                    {shown.map(({ row }) => (
                      <td key={row.id} className="num">
                        {cell(row, c)}
                      </td>
                    ))}
                  </tr>
                ))}
              <tr>
                <th scope="row">Inspection of this car</th>
                {shown.map(({ row }) => (
                  <td key={row.id}>
                    {row.inspection && (
                      <>
                        <VerdictMark word={row.inspection.word} /> <small>{row.inspection.headline}</small>
                      </>
                    )}
                  </td>
                ))}
              </tr>
              <tr>
                <th scope="row">Together</th>
                {shown.map(({ row }) => {
                  const score = scores.get(row.id)!;
                  const [low, high] = [Math.round(score.low * 100), Math.round(score.high * 100)];
                  return (
                    <td key={row.id} className="num">
                      <span className={styles['bar']} aria-hidden="true">
                        <span style={{ left: `${low}%`, width: `${Math.max(2, high - low)}%` }} />
                      </span>
                      {low === high ? `${low} of 100` : `${low} to ${high} of 100`}
                    </td>
                  );
                })}
              </tr>
              <tr>
                <th scope="row">Itself, said of it</th>
                {shown.map(({ row }) => (
                  <td key={row.id}>
                    <ReturnDay by={prices[row.id]?.returnBy} />
                    {row.against && <p className="oxide">Not recommended: {row.against}</p>}
                    {pricing === row.id ? (
                      <PriceForm unitId={row.id} close={() => setPricing(undefined)} />
                    ) : (
                      <button
                        type="button"
                        className="plain-button small"
                        disabled={!mayWrite}
                        onClick={() => setPricing(row.id)}
                        aria-label={`Cost of ${row.name}`}
                      >
                        Price, pieces, mileage
                      </button>
                    )}
                    <MissingPieces unitId={row.id} name={row.name} seesMoney={seesMoney} adds={pricing === row.id} />
                  </td>
                ))}
              </tr>
            </tbody>
          </table>
        </div>
      )}
      <Trouble of={choosing} />
      <Trouble of={put} />
      {mayWrite &&
        (adding ? (
          <UnitForm jobId={sheet.job.id} role="candidate" label="Candidate engine" done={() => setAdding(false)} />
        ) : (
          <div className="row-actions">
            <button type="button" className="plain-button bare" onClick={() => setAdding(true)}>
              Add a candidate
            </button>
            {rows.length > 1 && (
              <button
                type="button"
                className="plain-button bare"
                aria-pressed={weighing}
                onClick={() => setWeighing(!weighing)}
              >
                What counts how much
              </button>
            )}
          </div>
        ))}
    </div>
  );
}
