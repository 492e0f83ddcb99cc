import { useMutation, useQueries, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { optionWords } from '@bay/core/facts';
import { moneyFigures, noCurrency } from '@bay/core/money';
import { measureGearbox, planInputOf } from '@bay/core/plan';
import type { MeasuredGearbox } from '@bay/core/plan';
import { formatMeasure } from '@bay/core/units';
import { moveUnit, unitFacts } from '@bay/contract/jobs';
import type { JobSheet } from '@bay/contract/jobs';
import { may } from '@bay/contract/rights';
import { call, keys, newId, useMe } from '../api/index.ts';
import { useCurrency, useShopTerms } from '../money/index.ts';
import { useJob, useRecords } from '../sheet/index.ts';
import { Fold, Trouble, VerdictMark } from '../ui/index.ts';
import { UnitForm } from '../units/index.ts';
import { ChoiceHeads } from './ChoiceHeads.tsx';
import styles from './choosing.module.css';
import { PriceForm, ReturnDay } from './PriceForm.tsx';

const gearboxesOf = (units: JobSheet['units']) =>
  units.filter((u) => u.role === 'candidate-gearbox' || u.role === 'gearbox');

const unknown = <span className="quiet">not known</span>;

/** Common practice, no source: each rating at least so many times what reaches it. */
const wantedFactor = 1.2;

function Rating({ rating }: Pick<MeasuredGearbox, 'rating'>) {
  if (!rating) return <span className="ochre">rating or what reaches it not known</span>;
  const tone = rating.factor < 1 ? 'oxide' : rating.factor < wantedFactor ? 'ochre' : 'teal';
  return (
    <span className={tone}>
      <span className="mono">{rating.factor.toFixed(2)}</span> times the {rating.of}
      {rating.factor < wantedFactor && <small>, {wantedFactor} wanted</small>}
    </span>
  );
}

const rows: readonly { name: string; of: (g: MeasuredGearbox) => React.ReactNode }[] = [
  { name: 'Kind', of: ({ kind }) => (kind ? optionWords(kind) : unknown) },
  { name: 'Rated', of: ({ rating }) => <Rating rating={rating} /> },
  { name: 'Mass', of: ({ massKg }) => (massKg === undefined ? unknown : formatMeasure(massKg, 'kg')) },
  { name: 'Length', of: ({ lengthMm }) => (lengthMm === undefined ? unknown : formatMeasure(lengthMm, 'mm')) },
  {
    name: 'Hours of the whole job',
    of: ({ hours, open }) => (
      <span className="mono">
        {Math.round(hours[1])} h{open > 0 && <small className="ochre"> {open} lines open</small>}
      </span>
    ),
  },
  { name: 'It has run', of: ({ km }) => (km === undefined ? unknown : formatMeasure(km, 'km', 0)) },
  { name: 'Days until it is here', of: ({ days }) => (days === undefined ? unknown : days) },
];

/** Gearboxes beside one another, each judged in this car, behind this engine, as if it were the one. */
export function GearboxChoices() {
  const { sheet, mayWrite } = useJob();
  const client = useQueryClient();
  const currency = useCurrency();
  const seesMoney = may(useMe().data?.person?.role, 'see-money');
  const terms = useShopTerms(seesMoney);
  const prices = useRecords('candidate');
  const [open, setOpen] = useState(false);
  const [adding, setAdding] = useState(false);
  const [pricing, setPricing] = useState<string>();
  const units = gearboxesOf(sheet.units);
  const known = useQueries({
    queries: (open ? units : []).map((u) => ({
      queryKey: keys.unitFacts(u.id),
      queryFn: () => call(unitFacts, { params: { unitId: u.id } }),
    })),
    combine: (reads) => reads.map((r) => r.data?.facts),
  });
  const measured = useMemo(() => {
    if (!open) return [];
    const input = planInputOf({ jobId: sheet.job.id, ...sheet });
    return gearboxesOf(sheet.units).map((u, i) =>
      measureGearbox(
        input,
        {
          id: u.id,
          name: u.name,
          facts: new Map((known[i] ?? []).map((f) => [f.factId, f])),
          cost: prices[u.id]?.cost,
          km: prices[u.id]?.km,
          days: prices[u.id]?.days,
          against: prices[u.id]?.against,
        },
        terms,
      ),
    );
  }, [open, sheet, known, prices, terms]);
  const choosing = useMutation({
    mutationFn: async (unitId: string) => {
      const move = (id: string, role: 'candidate-gearbox' | 'gearbox') =>
        call(moveUnit, {
          params: { unitId: id },
          body: {
            commandId: newId(),
            place: units.find((u) => u.id === id)!.place,
            job: { jobId: sheet.job.id, role },
            leaveJobId: sheet.job.id,
          },
        });
      const now = units.find((u) => u.role === 'gearbox');
      if (now) await move(now.id, 'candidate-gearbox');
      return move(unitId, 'gearbox');
    },
    onSettled: () => client.invalidateQueries({ queryKey: keys.job(sheet.job.id) }),
  });
  const shown = measured.map((row) => ({ row, unit: units.find((u) => u.id === row.id)! }));
  return (
    <div className="panel">
      <Fold
        name="Gearboxes side by side"
        count={units.length}
        note="each judged behind this engine, in this car"
        open={open}
        toggle={() => setOpen(!open)}
      >
        {units.length === 0 && (
          <p className="quiet">No gearbox yet. Add those that could go in; what is known of them is compared here.</p>
        )}
        {shown.length > 0 && (
          <div className="scroll-x" role="region" aria-label="Gearboxes">
            <table className={`data ${styles['choices']}`}>
              <thead>
                <tr>
                  <th />
                  <ChoiceHeads
                    shown={shown}
                    goesInAs="gearbox"
                    mayChoose={mayWrite && !choosing.isPending}
                    choose={choosing.mutate}
                  />
                </tr>
              </thead>
              <tbody>
                {rows.map((r) => (
                  <tr key={r.name}>
                    <th scope="row">{r.name}</th>
                    {shown.map(({ row }) => (
                      <td key={row.id}>{r.of(row)}</td>
                    ))}
                  </tr>
                ))}
                {seesMoney && (
                  <tr>
                    <th scope="row">
                      {currency === noCurrency ? 'Itself and the kit' : `Itself and the kit, ${currency}`}
                    </th>
                    {shown.map(({ row }) => (
                      <td key={row.id} className="mono">
                        {row.allIn === undefined ? unknown : moneyFigures(row.allIn, currency)}
                      </td>
                    ))}
                  </tr>
                )}
                {(shown[0]?.row.places ?? []).map(({ title }) => (
                  <tr key={title}>
                    <th scope="row">{title}</th>
                    {shown.map(({ row }) => {
                      const place = row.places.find((p) => p.title === title);
                      return (
                        <td key={row.id}>
                          {place && (
                            <>
                              <VerdictMark word={place.word} /> <small>{place.headline}</small>
                            </>
                          )}
                        </td>
                      );
                    })}
                  </tr>
                ))}
                <tr>
                  <th scope="row">Itself, said of it</th>
                  {shown.map(({ row }) => (
                    <td key={row.id}>
                      <ReturnDay by={prices[row.id]?.returnBy} />
                      {row.against && <p className="oxide">Not recommended: {row.against}</p>}
                      {row.assumed > 0 && <p className="ochre">{row.assumed} facts assumed</p>}
                      {pricing === row.id ? (
                        <PriceForm unitId={row.id} close={() => setPricing(undefined)} />
                      ) : (
                        <button
                          type="button"
                          className="plain-button small"
                          disabled={!mayWrite}
                          aria-label={`Cost of ${row.name}`}
                          onClick={() => setPricing(row.id)}
                        >
                          Price, mileage
                        </button>
                      )}
                    </td>
                  ))}
                </tr>
              </tbody>
            </table>
          </div>
        )}
        <Trouble of={choosing} />
        {mayWrite &&
          (adding ? (
            <UnitForm
              jobId={sheet.job.id}
              role="candidate-gearbox"
              label="Candidate gearbox"
              done={() => setAdding(false)}
            />
          ) : (
            <div className="row-actions">
              <button type="button" className="plain-button bare" onClick={() => setAdding(true)}>
                Add a gearbox
              </button>
            </div>
          ))}
      </Fold>
    </div>
  );
}
