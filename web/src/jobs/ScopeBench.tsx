import { counted } from '@bay/core/units';
import { Button, Textarea } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { factDef } from '@bay/core/facts';
import { checkIdentity } from '@bay/core/sums';
import { Candidates } from './Candidates.tsx';
import { ControlRoutes } from './ControlRoutes.tsx';
import { GearboxChoices } from './GearboxChoices.tsx';
import { AsItCame, TakenIn, Works } from '../arrival/index.ts';
import { Runs } from '../handover/index.ts';
import { FactEditor, usualBearer } from '../facts/index.ts';
import { ForeseenPanel } from '../money/index.ts';
import { Pairings } from '../memory/index.ts';
import { columns, Tabs, Trouble, useTab } from '../ui/index.ts';
import { useChangeJob, useJob } from '../sheet/index.ts';

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

const tabs = { choose: 'Choosing', came: 'As it came' } as const;

export default function ScopeBench() {
  const [tab, setTab] = useTab(tabs, 'choose');
  return (
    <>
      <div className="bench-head">
        <h2>What comes in, what goes in</h2>
      </div>
      <Tabs names={tabs} at={tab} to={setTab}>
        {tab === 'choose' ? (
          <>
            <Wish />
            <Candidates />
            <GearboxChoices />
            <ControlRoutes />
            <Pairings />
            <ForeseenPanel />
            <AskFirst />
          </>
        ) : (
          <>
            <TakenIn />
            <AsItCame />
            <section className="panel" aria-label="What works">
              <h3>What works</h3>
              <Works />
            </section>
            <Runs />
          </>
        )}
      </Tabs>
    </>
  );
}
