import { counted } from '@bay/core/units';
import { useState } from 'react';
import { Link } from 'react-router';
import { useQuery } from '@tanstack/react-query';
import { donorMoneyRules, kitFilledBy, labelRules } from '@bay/core/donors';
import { partFateWords } from '@bay/core/parts';
import { titleOf } from '@bay/core/plan';
import { readWanted } from '@bay/contract/donors';
import { call, keys } from '../api/index.ts';
import { useJob, useRecords } from '../sheet/index.ts';
import { Account } from './Account.tsx';
import { CaughtFluids } from './Caught.tsx';
import { Claims } from './Claims.tsx';
import { ProofRun } from './ProofRun.tsx';
import { Purchases, usePurchases } from './Purchase.tsx';
import { Shell } from './Shell.tsx';
import { Besides, TickOff } from './TickOff.tsx';
import { DonorWants } from './Wants.tsx';
import { JobUnits } from '../units/index.ts';
import { Because, dayWords, FindIn, Tabs, useNarrow, useTab } from '../ui/index.ts';
import { StepList } from '../pull/index.ts';

const tabs = {
  list: 'Harvest list',
  order: 'Order of taking apart',
  proof: 'Bought, proved, said',
  labels: 'Labels, money, shell',
} as const;

/** The donor: units it brings, the harvest list from the plan, and the order of taking it apart. */
export default function DonorBench() {
  const { sheet, plan, mayWrite } = useJob();
  const parts = useRecords('part');
  const [open, setOpen] = useState<string>();
  const [editing, setEditing] = useState<string>();
  const [tab, setTab] = useTab(tabs, 'list');
  const jobId = sheet.job.id;
  const wanted = useQuery({ queryKey: keys.wanted(jobId), queryFn: () => call(readWanted, { params: { jobId } }) });
  const wants = (takeId: string) =>
    (wanted.data?.wanted ?? []).filter((w) =>
      w.kitId === null ? w.takeId === takeId : kitFilledBy(takeId).includes(w.kitId),
    );
  const byTake = (takeId: string) => Object.entries(parts).filter(([, p]) => p.takeId === takeId);
  const list = useNarrow(
    plan.harvest,
    (l) =>
      `${l.part.title} ${l.part.why} ${byTake(l.part.id)
        .map(([, p]) => `${p.label} ${p.place}`)
        .join(' ')}`,
  );
  const said = Object.values(useRecords('claim')).filter((c) => !c.looked).length;
  const due = usePurchases()
    .flatMap(([, p]) => (p.settled || p.returnBy === undefined ? [] : [p.returnBy]))
    .sort()[0];
  const have = plan.harvest.filter((l) => byTake(l.part.id).length > 0).length;
  return (
    <>
      <div className="bench-head">
        <h2>Harvest</h2>
        <span className="quiet">
          {have} of {counted(plan.harvest.length, 'line')} taken off
          {(wanted.data?.wanted.length ?? 0) > 0 &&
            `; other jobs want ${counted(wanted.data!.wanted.length, 'thing')} a donor gives`}
        </span>
        {(due !== undefined || said > 0) && (
          <span className="ochre">
            {[
              said > 0 ? `${counted(said, 'thing is', 'things are')} only said by the seller` : '',
              due === undefined ? '' : `may go back until ${dayWords(due)}`,
            ]
              .filter((w) => w !== '')
              .join(', ')}
          </span>
        )}
      </div>
      <JobUnits />
      <Tabs names={tabs} at={tab} to={setTab}>
        {tab === 'list' && (
          <>
            <div className="list-head">
              <FindIn label="Find a part, a label, a place" value={list.sought} set={list.set} groups={[]} />
            </div>
            {list.none && <p className="quiet">{list.none}</p>}
            <ul className="rows">
              {list.shown.map((line) => {
                const taken = byTake(line.part.id);
                return (
                  <li key={line.part.id}>
                    <button
                      type="button"
                      className="row-button"
                      style={{ gridTemplateColumns: '34px minmax(0, 1fr) minmax(120px, auto)' }}
                      aria-expanded={open === line.part.id}
                      onClick={() => setOpen(open === line.part.id ? undefined : line.part.id)}
                    >
                      <span
                        className={`step ${taken.length > 0 ? 'done' : 'free'}`}
                        style={{ padding: 0, border: 0, display: 'block' }}
                      >
                        <span className="mark" aria-hidden="true">
                          {taken.length > 0 ? '✓' : ''}
                        </span>
                      </span>
                      <span>
                        {line.part.title}
                        <br />
                        <span className="quiet" style={{ fontSize: 13.5 }}>
                          {line.part.why}
                        </span>
                        {wants(line.part.id).map((w) => (
                          <span
                            key={`${w.jobId} ${w.kitId} ${w.what}`}
                            className="ochre"
                            style={{ display: 'block', fontSize: 13.5 }}
                          >
                            {w.number} {w.carName} wants: {w.what ?? titleOf(w.kitId!).toLowerCase()}
                            {w.options ? `, ${w.options}` : ''}
                          </span>
                        ))}
                      </span>
                      <span className="figure">
                        {taken.length > 0
                          ? taken.map(([, p]) => p.label || 'no label').join(', ')
                          : 'still on the donor'}
                      </span>
                    </button>
                    {taken.map(([key, p]) => (
                      <p key={key} style={{ padding: '0 0 8px 42px', fontSize: 14 }}>
                        <span className={`tag ${p.condition === 'good' ? 'teal' : 'ochre'}`}>{p.condition}</span>{' '}
                        {p.title}, {p.place || 'no place'}
                        {p.fate && p.fate !== 'here' ? `, ${partFateWords[p.fate].toLowerCase()}` : ''}
                        {p.notOriginal && <span className="ochre"> not original: {p.notOriginal}</span>}{' '}
                        <Link to={`/parts/${key}`}>Label and QR</Link>
                        {mayWrite && (
                          <button
                            type="button"
                            className="plain-button small bare"
                            aria-label={`Change the part: ${p.title}`}
                            onClick={() => setEditing(key)}
                          >
                            Change
                          </button>
                        )}
                      </p>
                    ))}
                    {taken.map(([key, p]) =>
                      editing === key ? (
                        <TickOff
                          key={key}
                          takeId={p.takeId}
                          title={p.title}
                          recordKey={key}
                          now={p}
                          done={() => setEditing(undefined)}
                        />
                      ) : null,
                    )}
                    {open === line.part.id && (
                      <>
                        <Because ids={line.because} facts={plan.facts} />
                        {mayWrite && (
                          <TickOff takeId={line.part.id} title={line.part.title} done={() => setOpen(undefined)} />
                        )}
                      </>
                    )}
                  </li>
                );
              })}
            </ul>
          </>
        )}
        {tab === 'list' && <DonorWants />}
        {tab === 'proof' && (
          <>
            <Purchases />
            <ProofRun />
            <Claims />
          </>
        )}
        {tab === 'list' && <Besides editing={editing} edit={setEditing} />}
        {tab === 'order' && <StepList of="donor" />}
        {tab === 'labels' && <Shell />}
        {tab === 'labels' && <CaughtFluids />}
        {tab === 'labels' && <Account />}
        {tab === 'labels' && (
          <div className="grid-2">
            <p className="whole-row">
              <Link to={`/jobs/${sheet.job.id}/labels`}>Print the labels of this job</Link>
            </p>
            <div className="panel">
              <h3>How bags and labels are written</h3>
              <ul>
                {labelRules.map((r) => (
                  <li key={r.id} style={{ padding: '5px 0' }}>
                    {r.rule} <span className="quiet">({r.why})</span>
                  </li>
                ))}
              </ul>
            </div>
            <div className="panel">
              <h3>How a donor is counted</h3>
              <ul>
                {donorMoneyRules.map((r) => (
                  <li key={r.id} style={{ padding: '5px 0' }}>
                    <b>{r.subject}</b>: {r.rule}
                  </li>
                ))}
              </ul>
            </div>
          </div>
        )}
      </Tabs>
    </>
  );
}
