import { counted } from '@bay/core/units';
import { Button, Textarea } from '@mantine/core';
import { useMutation, useQueries, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { bookOf } from '@bay/core/plan';
import { factDef } from '@bay/core/facts';
import { moneyFigures, noCurrency } from '@bay/core/money';
import { checkIdentity } from '@bay/core/sums';
import type { FactRow } from '@bay/contract/facts';
import { moveUnit, unitFacts } from '@bay/contract/jobs';
import type { JobSheet } from '@bay/contract/jobs';
import { useCurrency } from '../money/index.ts';
import { AsItCame } from '../arrival/index.ts';
import { useWork } from '../workers/index.ts';
import { PriceForm } from './PriceForm.tsx';
import { may } from '@bay/contract/rights';
import { call, keys, newId, useMe } from '../api/index.ts';
import { FactEditor, usualBearer } from '../facts/index.ts';
import { columns, Failed, Trouble, VerdictMark } from '../ui/index.ts';
import { UnitForm } from '../units/index.ts';
import { useChangeJob, useJob, useRecords } from '../sheet/index.ts';

function Wish() {
  const { sheet, mayWrite } = useJob();
  const { job } = sheet;
  const [wish, setWish] = useState(job.wish);
  const [faults, setFaults] = useState(job.faults);
  const changing = useChangeJob();
  const car = sheet.units.find((u) => u.role === 'car');
  const year = sheet.facts.find((f) => f.factId === 'rec-model-year' && f.bearerId === car?.id)?.parts['value'];
  const check = car?.identity ? checkIdentity(car.identity, typeof year === 'number' ? year : undefined) : undefined;
  const changed = wish !== job.wish || faults !== job.faults;
  return (
    <div className="panel">
      <p>
        <b>{job.customer}</b>, <span className="mono">{car?.identity}</span>{' '}
        {check && <span className={check.state === 'wrong' ? 'oxide' : 'quiet'}>{check.sentence}</span>}
      </p>
      <div className="grid-2" style={{ marginTop: 8 }}>
        <Textarea
          label="What the customer wants"
          value={wish}
          onChange={(e) => setWish(e.currentTarget.value)}
          disabled={!mayWrite}
        />
        <Textarea
          label="Faults at arrival"
          value={faults}
          onChange={(e) => setFaults(e.currentTarget.value)}
          disabled={!mayWrite}
        />
      </div>
      <Trouble of={changing} />
      {changed && (
        <div className="row-actions">
          <Button loading={changing.isPending} onClick={() => changing.mutate({ wish, faults })}>
            Save
          </Button>
        </div>
      )}
    </div>
  );
}

const candidatesOf = (units: JobSheet['units']) => units.filter((u) => u.role === 'candidate' || u.role === 'engine');
/** What is known of each, the same array until one of them is another. */
const factsOf = (read: readonly { data?: { facts: FactRow[] } | undefined }[]) => read.map((r) => r.data?.facts);

function Candidates() {
  const { sheet, mayWrite } = useJob();
  const client = useQueryClient();
  const prices = useRecords('candidate');
  const [pricing, setPricing] = useState<string>();
  const currency = useCurrency();
  const seesMoney = may(useMe().data?.person?.role, 'see-money');
  const [adding, setAdding] = useState(false);
  const units = candidatesOf(sheet.units);
  const known = useQueries({
    queries: units.map((u) => ({
      queryKey: keys.unitFacts(u.id),
      queryFn: () => call(unitFacts, { params: { unitId: u.id } }),
    })),
    combine: factsOf,
  });
  const choosing = useMutation({
    mutationFn: async (unitId: string) => {
      const now = units.find((u) => u.role === 'engine');
      if (now)
        await call(moveUnit, {
          params: { unitId: now.id },
          body: {
            commandId: newId(),
            place: now.place,
            job: { jobId: sheet.job.id, role: 'candidate' },
            leaveJobId: sheet.job.id,
          },
        });
      return call(moveUnit, {
        params: { unitId },
        body: {
          commandId: newId(),
          place: units.find((u) => u.id === unitId)!.place,
          job: { jobId: sheet.job.id, role: 'engine' },
          leaveJobId: sheet.job.id,
        },
      });
    },
    onSuccess: () => client.invalidateQueries({ queryKey: keys.job(sheet.job.id) }),
  });
  // The same until something it reads is another: then all of it is judged again, beside the screen.
  const input = useMemo(() => {
    const material = { jobId: sheet.job.id, units: sheet.units, facts: sheet.facts };
    return {
      car: bookOf(material, [
        ['car', 'rec-'],
        ['gearbox', 'gbx-'],
        ['job', 'cho-'],
      ]),
      outgoing: bookOf(material, [['own-engine', 'eng-']]),
      candidates: candidatesOf(sheet.units).map((u, i) => ({
        unitId: u.id,
        name: u.name,
        facts: new Map((known[i] ?? []).map((f) => [f.factId, f])),
        cost: prices[u.id]?.cost,
      })),
    };
  }, [sheet.job.id, sheet.units, sheet.facts, prices, known]);
  const judging = useWork('compareCandidates', input);
  const rows = (judging.result ?? []).filter((r) => units.some((u) => u.id === r.unitId));
  const figure = (value: number | undefined, unit: string, sign = false): React.ReactNode =>
    value === undefined ? (
      <span className="quiet">not known</span>
    ) : (
      `${sign && value > 0 ? '+' : ''}${value.toFixed(0)} ${unit}`
    );
  return (
    <div className="panel">
      <div className="bench-head">
        <h3>Engines side by side</h3>
        <span className="quiet">each judged in this car as if it were the one</span>
        {judging.share !== undefined && judging.share > 0 && (
          <span className="right">
            <progress value={judging.share} aria-label="Engines judged" />{' '}
            <button type="button" className="plain-button small bare" onClick={judging.cancel}>
              Cancel
            </button>
          </span>
        )}
      </div>
      {judging.error && <Failed sentence={judging.error.message} again={judging.again} />}
      {units.length === 0 ? (
        <p className="quiet">No engine yet. Add one or more candidates; what is known of them is compared here.</p>
      ) : (
        <div className="scroll-x">
          <table className="data">
            <thead>
              <tr>
                <th style={{ minWidth: 108 }}>Engine</th>
                <th className="num">Power</th>
                <th className="num">Mass on its axle</th>
                <th className="num">Left along</th>
                <th className="num">Left across</th>
                <th>Places</th>
                <th>Control</th>
                <th className="num">{currency === noCurrency ? 'Cost' : `Cost, ${currency}`}</th>
              </tr>
            </thead>
            <tbody>
              {rows.map((r) => {
                const unit = units.find((u) => u.id === r.unitId)!;
                return (
                  <tr key={r.unitId}>
                    <td>
                      <b>{r.name}</b>
                      <br />
                      <span className="quiet mono">{unit.identity}</span>
                      <br />
                      {unit.role === 'engine' ? (
                        <span className="tag teal">going in</span>
                      ) : (
                        <button
                          type="button"
                          className="plain-button small"
                          disabled={!mayWrite || choosing.isPending}
                          onClick={() => choosing.mutate(r.unitId)}
                        >
                          Choose
                        </button>
                      )}
                    </td>
                    <td className="num">{figure(r.powerKw, 'kW')}</td>
                    <td className="num">{figure(r.massChangeKg, 'kg', true)}</td>
                    <td className={`num ${(r.lengthSpareMm ?? 0) < 0 ? 'oxide' : ''}`}>
                      {figure(r.lengthSpareMm, 'mm')}
                    </td>
                    <td className={`num ${(r.widthSpareMm ?? 0) < 0 ? 'oxide' : ''}`}>
                      {figure(r.widthSpareMm, 'mm')}
                    </td>
                    <td style={{ whiteSpace: 'nowrap' }}>
                      {(['bolts-up', 'adapt', 'clash', 'not-measured'] as const).map((w) => (
                        <span
                          key={w}
                          title={w.replace('-', ' ')}
                          style={{ display: 'inline-flex', gap: 3, marginRight: 5, alignItems: 'center' }}
                        >
                          <VerdictMark word={w} />
                          {r.counts[w]}
                          <span className="skip">{w.replace('-', ' ')}</span>
                        </span>
                      ))}
                    </td>
                    <td>{r.control ?? <span className="quiet">not known</span>}</td>
                    <td className="num">
                      {pricing === r.unitId ? (
                        <PriceForm unitId={r.unitId} close={() => setPricing(undefined)} />
                      ) : (
                        <button
                          type="button"
                          className="plain-button small bare"
                          disabled={!seesMoney}
                          onClick={() => setPricing(r.unitId)}
                          aria-label={`Cost of ${r.name}`}
                        >
                          {r.cost === undefined ? 'enter' : moneyFigures(r.cost, currency)}
                        </button>
                      )}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </div>
      )}
      <Trouble of={choosing} />
      {mayWrite &&
        (adding ? (
          <UnitForm jobId={sheet.job.id} role="candidate" label="Candidate engine" done={() => setAdding(false)} />
        ) : (
          <div className="row-actions">
            <button type="button" className="plain-button bare" onClick={() => setAdding(true)}>
              Add a candidate
            </button>
          </div>
        ))}
    </div>
  );
}

/** What to measure first: the facts that most lines of the plan wait for. */
function AskFirst() {
  const { sheet, plan } = useJob();
  const [open, setOpen] = useState<string>();
  const roles = new Set<string>(['job', ...sheet.units.map((u) => u.role)]);
  const asked = [...plan.waitingFor]
    .filter(([id]) => roles.has(usualBearer(id)))
    .sort((a, b) => b[1].length - a[1].length || (a[0] < b[0] ? -1 : 1))
    .slice(0, 10);
  return (
    <div className="panel">
      <div className="bench-head">
        <h3>Find out first</h3>
        <span className="quiet">
          {counted(plan.waitingFor.size, 'fact is', 'facts are')} asked for; these decide most
        </span>
        <span className="right">
          <Link to={`/jobs/${sheet.job.id}/facts`}>The whole sheet</Link>
        </span>
      </div>
      <ul className="rows">
        {asked.map(([id, lines]) => (
          <li key={id}>
            <button
              type="button"
              className="row-button stacks"
              style={columns('minmax(140px, 0.7fr) minmax(0, 1.6fr) 96px')}
              onClick={() => setOpen(id)}
            >
              <b>{factDef(id).label}</b>
              <span className="quiet">{factDef(id).howTo}</span>
              <span className="ochre" style={{ textAlign: 'right' }}>
                {counted(lines.length, 'line waits', 'lines wait')}
              </span>
            </button>
          </li>
        ))}
      </ul>
      {asked.length === 0 && <p className="quiet">Nothing in the plan waits for a fact.</p>}
      {open && <FactEditor factId={open} bearer={usualBearer(open)} close={() => setOpen(undefined)} />}
    </div>
  );
}

export default function ScopeBench() {
  return (
    <>
      <div className="bench-head">
        <h2>What comes in, what goes in</h2>
        <a className="right" href="#as-it-came">
          The car as it came
        </a>
      </div>
      <Wish />
      <Candidates />
      <AskFirst />
      <AsItCame />
    </>
  );
}
