import { useMemo } from 'react';
import { Link } from 'react-router';
import { stations } from '@bay/core/jobs';
import { progressOf, useJob } from '../sheet/index.ts';
import { StationMark, stationState } from '../ui/index.ts';
import styles from './job.module.css';

/** The eight stations across the top of the job, as on the Floor: how far each is, what waits there, and which is open. */
export function JobLine({ view }: { view: string }) {
  const { sheet, plan } = useJob();
  const { id, station, signedStations } = sheet.job;
  const progress = useMemo(() => progressOf(sheet, plan), [sheet, plan]);
  return (
    <nav className={styles['line']} aria-label="Stations">
      {stations.map((s) => {
        const { said, waits, share = 0 } = progress[s.id];
        return (
          <Link
            key={s.id}
            to={`/jobs/${id}/${s.id}`}
            className={waits ? 'waits' : ''}
            style={{ '--share': `${Math.round(share * 100)}%` } as React.CSSProperties}
            {...(view === s.id ? { 'aria-current': 'page' as const } : {})}
          >
            <StationMark state={stationState(s.id, station, signedStations)} size={16} />
            <span>
              {s.name}
              <small>{said}</small>
            </span>
          </Link>
        );
      })}
    </nav>
  );
}
