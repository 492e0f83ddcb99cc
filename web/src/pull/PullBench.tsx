import { Link } from 'react-router';
import { useJob } from '../sheet/index.ts';
import { Bags, Links } from '../parts/index.ts';
import { JobSchools } from '../schools/index.ts';
import { BayRound } from './BayRound.tsx';
import { LiftPanel } from './LiftPanel.tsx';
import { StepList } from './StepList.tsx';

/** The car's own engine comes out: steps in a computed order. */
export default function PullBench() {
  const { sheet } = useJob();
  const own = sheet.units.find((u) => u.role === 'own-engine');
  return (
    <>
      <div className="bench-head">
        <h2>Out with {own ? own.name : 'the old engine'}</h2>
        <span className="quiet">every minute is an estimate; the maker's manual goes first</span>
      </div>
      {!own && (
        <p className="notice ochre-notice">
          The car's own engine is not on this job as a unit, so steps that depend on it stay in the list.{' '}
          <Link to={`/jobs/${sheet.job.id}/facts?of=own-engine`}>Add it at Facts</Link>.
        </p>
      )}
      <BayRound />
      <StepList of="pull" />
      <Links of="off" />
      <Bags />
      <LiftPanel lift="out" />
      <JobSchools
        ids={['sch-battery-order', 'sch-fuel-release', 'sch-fuel-open-when', 'sch-out-together', 'sch-sealed-aside']}
      />
    </>
  );
}
