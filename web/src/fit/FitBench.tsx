import { useJob } from '../sheet/index.ts';
import { Tabs, useTab } from '../ui/index.ts';
import { DrivelineBench } from './sheets/DrivelineBench.tsx';
import { MountBench } from './sheets/MountBench.tsx';
import { StackBench } from './sheets/StackBench.tsx';
import { WayInBench } from './sheets/WayInBench.tsx';
import { Places } from './Places.tsx';
import { PositionBench } from './PositionBench.tsx';
import { TrialBench } from './trial/TrialBench.tsx';

const tabs = {
  places: 'Places',
  position: 'Position',
  trial: 'Trial fit',
  mounts: 'Mounts',
  stack: 'Behind the block',
  driveline: 'Driveline',
  'way-in': 'Way in',
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
        {tab === 'mounts' && <MountBench />}
        {tab === 'stack' && <StackBench />}
        {tab === 'driveline' && <DrivelineBench />}
        {tab === 'way-in' && <WayInBench />}
      </Tabs>
    </>
  );
}
