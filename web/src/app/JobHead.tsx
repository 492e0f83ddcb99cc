import { Select } from '@mantine/core';
import { useEffect, useState } from 'react';
import { createPortal } from 'react-dom';
import { Link } from 'react-router';
import { useMe } from '../api/index.ts';
import { Running } from '../clock/index.ts';
import { useChangeJob, useJob } from '../sheet/index.ts';
import { dayWords, Dialog, fromToday, Trouble } from '../ui/index.ts';
import { herePlace } from './here.ts';
import styles from './job.module.css';

function Promised({ date }: { date: string | null }) {
  return (
    <span className="quiet" title={date ?? undefined}>
      {date ? `promised ${dayWords(date)}, ${fromToday(date)}` : 'no date promised'}
    </span>
  );
}

function Bay() {
  const { sheet, mayWrite } = useJob();
  const changing = useChangeJob();
  const bays = useMe().data?.shop?.bays ?? [];
  return (
    <>
      <Select
        aria-label="Where the car stands"
        w={118}
        data={[{ value: '', label: 'Yard' }, ...bays.map((b) => ({ value: b, label: `Bay ${b}` }))]}
        value={sheet.job.bay ?? ''}
        disabled={!mayWrite || changing.isPending}
        onChange={(bay) => changing.mutate({ bay: bay || null })}
      />
      <Trouble of={changing} />
    </>
  );
}

/** Which car it is, what it gets, who is on it, where it stands and when it is promised. */
export function JobHead({ unfold }: { unfold: () => void }) {
  const { sheet } = useJob();
  const { job } = sheet;
  const [opened, setOpened] = useState(false);
  const [place, setPlace] = useState<HTMLElement | null>(null);
  // The head of the page may come into being together with this.
  useEffect(() => {
    setPlace(herePlace());
  }, []);
  const gets = `gets ${job.engineName ?? 'an engine to be chosen'}`;
  return (
    <>
      <div className={styles['job-head']}>
        <span className="mono quiet">{job.number}</span>
        <h1>{job.carName}</h1>
        <span className={styles['gets']}>{gets}</span>
        <div className={styles['job-side']}>
          <Running clocks={sheet.running} />
          <Promised date={job.promised} />
          <Bay />
          <Link className={`plain-button ${styles['take-over']}`} to={`/jobs/${job.id}/takeover`}>
            Take over
          </Link>
          <button type="button" className={`plain-button ${styles['fold']}`} onClick={unfold}>
            Logbook
          </button>
        </div>
      </div>
      {/* On a phone the head of the page says which car it is; the rest opens from there. */}
      {place &&
        createPortal(
          <button type="button" className={styles['here-button']} onClick={() => setOpened(true)}>
            {job.carName}
          </button>,
          place,
        )}
      {opened && (
        <Dialog close={() => setOpened(false)} title={`${job.number} ${job.carName}`}>
          <div className={styles['here-more']}>
            <p>{gets}</p>
            <p>
              <Promised date={job.promised} />
            </p>
            <Running clocks={sheet.running} />
            <Bay />
            <Link
              className={`plain-button ${styles['take-over']}`}
              to={`/jobs/${job.id}/takeover`}
              onClick={() => setOpened(false)}
            >
              Take over
            </Link>
            <button
              type="button"
              className="plain-button"
              onClick={() => {
                setOpened(false);
                unfold();
              }}
            >
              Logbook
            </button>
          </div>
        </Dialog>
      )}
    </>
  );
}
