import { lazy, Suspense } from 'react';
import { useJob } from '../sheet/index.ts';
import { Loading, Tabs, useTab } from '../ui/index.ts';
import { Places } from './Places.tsx';
import { PositionBench } from './PositionBench.tsx';
import { TrialBench } from './trial/TrialBench.tsx';

// What hangs on the place is loaded when somebody looks at it.
const DrivelineBench = lazy(() => import('./sheets/DrivelineBench.tsx'));
const GoingIn = lazy(() => import('./GoingIn.tsx'));
const MakingBench = lazy(() => import('./making/MakingBench.tsx'));
const MountBench = lazy(() => import('./sheets/MountBench.tsx'));
const StackBench = lazy(() => import('./sheets/StackBench.tsx'));
const WayInBench = lazy(() => import('./sheets/WayInBench.tsx'));

const tabs = {
  places: 'Places',
  position: 'Position',
  trial: 'Trial fit',
  mounts: 'Mounts',
  stack: 'Behind the block',
  driveline: 'Driveline',
  'way-in': 'Way in',
  'going-in': 'Going in',
  making: 'Making',
} as const;

/** Does it go together: place by place, and where the unit sits between them. */
export default function FitBench() {
  const { plan } = useJob();
  const [tab, setTab] = useTab(tabs, 'places');
  return (
    <>
      <div className="bench-head">
        <h2>Does it go together?</h2>
        <span className="quiet">{plan.fits.length} places where car, engine and gearbox meet</span>
      </div>
      <Tabs names={tabs} at={tab} to={setTab}>
        {tab === 'places' && <Places />}
        {tab === 'position' && <PositionBench />}
        {tab === 'trial' && <TrialBench />}
        <Suspense fallback={<Loading as="panels" />}>
          {tab === 'mounts' && <MountBench />}
          {tab === 'stack' && <StackBench />}
          {tab === 'driveline' && <DrivelineBench />}
          {tab === 'way-in' && <WayInBench />}
          {tab === 'going-in' && <GoingIn />}
          {tab === 'making' && <MakingBench />}
        </Suspense>
      </Tabs>
    </>
  );
}
