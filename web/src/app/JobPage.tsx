import { useHotkeys } from '@mantine/hooks';
import { Suspense, useState } from 'react';
import { Navigate, useLocation, useNavigate, useParams } from 'react-router';
import { stations } from '@bay/core/jobs';
import { sentenceOf, useRights } from '../api/index.ts';
import { LogBar, Logbook } from '../logbook/index.ts';
import { dayWords, Failed, Loading, today } from '../ui/index.ts';
import { ConflictDialog, JobCtx, usePlanOf, useSheet } from '../sheet/index.ts';
import type { Conflict } from '../sheet/index.ts';
import { benchOf, viewOf } from './benches.ts';
import { JobHead } from './JobHead.tsx';
import { JobLine } from './JobLine.tsx';
import { Ribbon } from './Ribbon.tsx';
import { StationFoot } from './StationFoot.tsx';
import styles from './job.module.css';

/** An address of a view that no job has leads to where the job stands, with a word. */
function Elsewhere({ view, station }: { view: string; station: string }) {
  return <Navigate to={`../${station}`} relative="path" replace state={{ notFound: view }} />;
}

/** The job record: the line of stations, what holds the job, the bench with the work, the logbook, and the entry line. */
export function JobPage() {
  const { jobId = '', view = 'scope' } = useParams();
  const sheet = useSheet(jobId);
  const plan = usePlanOf(sheet.data);
  const rights = useRights();
  const navigate = useNavigate();
  const notFound = (useLocation().state as { notFound?: string } | null)?.notFound;
  const [clash, setClash] = useState<Conflict>();
  const [unfolded, setUnfolded] = useState(false);
  useHotkeys(stations.map((s, i) => [String(i + 1), () => void navigate(`/jobs/${jobId}/${s.id}`)]));
  if (sheet.isError && !sheet.data)
    return (
      <div className="page">
        <Failed sentence={sentenceOf(sheet.error)} again={() => void sheet.refetch()} />
      </div>
    );
  if (!sheet.data || !plan)
    return (
      <div className="page">
        <Loading as="job" />
      </div>
    );
  const Bench = benchOf(view);
  if (!Bench) return <Elsewhere view={view} station={sheet.data.job.station} />;
  const { name, place } = viewOf(view)!;
  const apart = place === 'apart';
  return (
    // Another job is another page: no open form goes along to it.
    <JobCtx key={jobId} value={{ sheet: sheet.data, plan, ...rights, conflict: setClash }}>
      <div className={styles['job']} data-fills>
        <JobHead unfold={() => setUnfolded(!unfolded)} />
        <JobLine view={view} />
        <Ribbon view={view} />
        <div className={`${styles['job-body']}${apart ? ' folded' : ''}`}>
          <section className={styles['bench']} aria-label={name} tabIndex={-1}>
            <p className="print-head" aria-hidden="true">
              <span>
                {sheet.data.job.number} {sheet.data.job.carName}: {name}
              </span>
              <span>{dayWords(today())}</span>
            </p>
            {notFound && (
              <p className="notice ochre-notice" role="status">
                This job has no view called "{notFound}". This is {name}.
              </p>
            )}
            <Suspense fallback={<Loading as="panels" />}>
              <Bench key={view} />
              <StationFoot view={view} />
            </Suspense>
          </section>
          {!apart && <Logbook key={jobId} shut={!unfolded} />}
        </div>
        <LogBar key={jobId} view={view} />
      </div>
      {clash && <ConflictDialog jobId={jobId} clash={clash} close={() => setClash(undefined)} />}
    </JobCtx>
  );
}
