import { Select } from '@mantine/core';
import { useHotkeys } from '@mantine/hooks';
import { Suspense, useEffect, useRef, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { stations } from '@bay/core/jobs';
import { sentenceOf, useMe, useRights } from '../api/index.ts';
import { Running } from '../clock/index.ts';
import { LogBar, Logbook } from '../logbook/index.ts';
import { dayWords, Failed, fromToday, Loading, StationMark, stationState, Trouble } from '../ui/index.ts';
import { StationFoot } from './StationFoot.tsx';
import { benchOf, besideViews, viewOf } from './benches.ts';
import { ConflictDialog, JobCtx, progressOf, useChangeJob, useJob, usePlanOf, useSheet } from '../sheet/index.ts';
import type { Conflict } from '../sheet/index.ts';
import styles from './app.module.css';

function JobHead({ unfold }: { unfold: () => void }) {
  const { sheet, mayWrite } = useJob();
  const { job } = sheet;
  const me = useMe();
  const changing = useChangeJob();
  const bays = me.data?.shop?.bays ?? [];
  return (
    <div className={styles['job-head']}>
      <span className="mono quiet">{job.number}</span>
      <h1 style={{ fontSize: 23 }}>{job.carName}</h1>
      <span className="gets">gets {job.engineName ?? 'an engine to be chosen'}</span>
      <div className="right">
        <Running clocks={sheet.running} />
        <span className="quiet" title={job.promised ?? undefined}>
          {job.promised ? `promised ${dayWords(job.promised)}, ${fromToday(job.promised)}` : 'no date promised'}
        </span>
        <Select
          aria-label="Where the car stands"
          w={130}
          data={[{ value: '', label: 'Yard' }, ...bays.map((b) => ({ value: b, label: `Bay ${b}` }))]}
          value={job.bay ?? ''}
          disabled={!mayWrite || changing.isPending}
          onChange={(bay) => changing.mutate({ bay: bay || null })}
        />
        <Link className={`plain-button ${styles['take-over']}`} to={`/jobs/${job.id}/takeover`}>
          Take over
        </Link>
        <button type="button" className={`plain-button ${styles['fold']}`} onClick={unfold}>
          Logbook
        </button>
      </div>
      <Trouble of={changing} />
    </div>
  );
}

function Line({ view }: { view: string }) {
  const { sheet, plan } = useJob();
  const progress = progressOf(sheet, plan);
  const nav = useRef<HTMLElement>(null);
  // On a phone the stations lie side by side and the open one may be out of sight.
  useEffect(() => {
    nav.current?.querySelector('[aria-current]')?.scrollIntoView({ inline: 'center', block: 'nearest' });
  }, [view]);
  return (
    <nav ref={nav} className={styles['line']} aria-label="Stations">
      {stations.map((s) => {
        const { said, waits } = progress[s.id];
        return (
          <Link
            key={s.id}
            to={`/jobs/${sheet.job.id}/${s.id}`}
            className={waits ? 'waits' : ''}
            {...(view === s.id ? { 'aria-current': 'page' as const } : {})}
          >
            <StationMark state={stationState(s.id, sheet.job.station, sheet.job.signedStations)} />
            <span>
              {s.name}
              <small>{said}</small>
            </span>
          </Link>
        );
      })}
      <hr />
      <div className={styles['side-views']}>
        {besideViews.map(({ id, name, icon: Icon }) => (
          <Link
            key={id}
            className="plain"
            to={`/jobs/${sheet.job.id}/${id}`}
            {...(view === id ? { 'aria-current': 'page' as const } : {})}
          >
            <Icon size={15} aria-hidden="true" /> {name}
          </Link>
        ))}
      </div>
    </nav>
  );
}

/** The job record: the line of stations, the bench with the work, the logbook, and the log bar. */
export function JobPage() {
  const { jobId = '', view = 'scope' } = useParams();
  const sheet = useSheet(jobId);
  const plan = usePlanOf(sheet.data);
  const rights = useRights();
  const navigate = useNavigate();
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
        <Loading rows={6} />
      </div>
    );
  const Bench = benchOf(view);
  const apart = viewOf(view)?.place === 'apart';
  return (
    // Another job is another page: no open form goes along to it.
    <JobCtx key={jobId} value={{ sheet: sheet.data, plan, ...rights, conflict: setClash }}>
      <div className={styles['job']}>
        <JobHead unfold={() => setUnfolded(!unfolded)} />
        <div className={`${styles['job-body']}${apart ? ' folded' : ''}`}>
          <Line view={view} />
          <section className={styles['bench']} aria-label={viewOf(view)?.name ?? view} tabIndex={-1}>
            {Bench ? (
              <Suspense fallback={<Loading />}>
                <Bench key={view} />
              </Suspense>
            ) : (
              <p>This job has no view called "{view}". Choose a station on the left.</p>
            )}
            <StationFoot view={view} />
          </section>
          {!apart && <Logbook key={jobId} shut={!unfolded} />}
        </div>
        <LogBar key={jobId} />
      </div>
      {clash && <ConflictDialog jobId={jobId} clash={clash} close={() => setClash(undefined)} />}
    </JobCtx>
  );
}
