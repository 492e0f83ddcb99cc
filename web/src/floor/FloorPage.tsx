import { Button } from '@mantine/core';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { useMediaQuery } from '@mantine/hooks';
import { Link, useSearchParams } from 'react-router';
import { readFinishedJobs, readFloor, readYard } from '@bay/contract/jobs';
import type { Strip } from '@bay/contract/jobs';
import { stationName } from '@bay/core/jobs';
import { call, keys, sentenceOf } from '../api/index.ts';
import { dayWords, Empty, Failed, fromToday, Loading, sinceWords, StationLine, withDayWords } from '../ui/index.ts';
import { endFirstSight } from './first-sight-place.ts';
import { FloorDays } from './FloorDays.tsx';
import styles from './floor.module.css';

function BayStrip({ strip, bay }: { strip: Strip; bay: string }) {
  return (
    <li>
      <Link
        to={`/jobs/${strip.id}/${strip.station}`}
        className={styles['strip']}
        aria-label={`Bay ${bay}, job ${strip.number}, ${strip.carName}`}
      >
        <span className={styles['bay-number']} aria-hidden="true">
          {bay}
        </span>
        <span className={styles['strip-car']}>
          <b>{strip.carName}</b>
          <span className="gets">
            gets <b>{strip.engineName ?? 'an engine to be chosen'}</b>
          </span>
          <span className="foot quiet">
            {strip.number}, {strip.customer}
          </span>
        </span>
        <span className={styles['strip-work']}>
          <p>
            <b>{stationName(strip.station)}</b>, {strip.doing}
            {strip.onIt.length > 0 && (
              <span className="quiet">. {strip.onIt.map((o) => `${o.initials} is on it`).join(', ')}</span>
            )}
          </p>
          <StationLine at={strip.station} signed={strip.signedStations} />
        </span>
        <span className={`${styles['strip-state']} ${strip.state.kind}`}>
          <b>{strip.state.title}</b>
          <span>{withDayWords(strip.state.sentence)}</span>
          {strip.promised && (
            <span className="foot" title={`promised for ${strip.promised}`}>
              {dayWords(strip.promised)}, {fromToday(strip.promised)}
            </span>
          )}
        </span>
      </Link>
    </li>
  );
}

function YardCar({ strip: s }: { strip: Strip }) {
  return (
    <li>
      <Link to={`/jobs/${s.id}/${s.station}`}>
        <b>{s.carName}</b> gets {s.engineName ?? 'an engine to be chosen'}
        <br />
        <span className="quiet">
          {stationName(s.station)}: {s.doing}
        </span>
        <br />
        <span className={s.state.kind === 'stop' ? 'oxide' : s.state.kind === 'free' ? 'quiet' : 'ochre'}>
          {s.state.title}
          {s.state.kind === 'free' ? '' : `: ${withDayWords(s.state.sentence)}`}
        </span>
      </Link>
    </li>
  );
}

/** Finished jobs are apart: read when somebody opens them, page by page. */
function HandedOver() {
  const [open, setOpen] = useState(false);
  const finished = useInfiniteQuery({
    queryKey: keys.finished,
    queryFn: ({ pageParam }) => call(readFinishedJobs, { query: pageParam ? { before: pageParam } : {} }),
    initialPageParam: '',
    getNextPageParam: (page) => (page.more ? (page.jobs.at(-1)?.closedAt ?? undefined) : undefined),
    enabled: open,
  });
  const jobs = finished.data?.pages.flatMap((p) => p.jobs) ?? [];
  return (
    <>
      <div className="section-head">
        <h2>Handed over</h2>
        <Button variant="subtle" size="compact-sm" aria-expanded={open} onClick={() => setOpen(!open)}>
          {open ? 'Fold away' : 'Show'}
        </Button>
      </div>
      {open && finished.isPending && <Loading />}
      {open && finished.isError && (
        <Failed sentence={sentenceOf(finished.error)} again={() => void finished.refetch()} />
      )}
      {open && finished.data && jobs.length === 0 && <p className="quiet">No job was handed over yet.</p>}
      {open && (
        <ul className={styles['yard']}>
          {jobs.map((j) => (
            <li key={j.id}>
              <Link to={`/jobs/${j.id}/hand-over`}>
                <b>{j.carName}</b> got {j.engineName}
                <br />
                <span className="quiet">
                  {j.number}, {j.customer}, {j.closedAt ? dayWords(j.closedAt) : ''}
                </span>
              </Link>
            </li>
          ))}
        </ul>
      )}
      {open && finished.hasNextPage && (
        <div className="row-actions">
          <Button variant="default" loading={finished.isFetchingNextPage} onClick={() => void finished.fetchNextPage()}>
            Show older ones
          </Button>
        </div>
      )}
    </>
  );
}

/** Home: a strip for each bay, the yard, and who is on what. */
export function FloorPage() {
  const floor = useQuery({ queryKey: keys.floor, queryFn: () => call(readFloor) });
  const [params, setParams] = useSearchParams();
  // The screen on the wall has room for both.
  const wide = useMediaQuery('(min-width: 1700px)') ?? false;
  const showsDays = params.get('days') === 'shown';
  const last = floor.data?.strips.filter((s) => s.bay === null).at(-1)?.number;
  const more = useInfiniteQuery({
    queryKey: [...keys.yard, last],
    queryFn: ({ pageParam }) => call(readYard, { query: { after: pageParam } }),
    initialPageParam: last ?? '',
    getNextPageParam: (page) => page.strips.at(-1)?.number,
    enabled: false,
  });
  const settledOnce = !floor.isPending;
  useEffect(() => {
    if (settledOnce) endFirstSight();
  }, [settledOnce]);
  if (floor.isPending)
    return (
      <div className="page">
        <Loading as="strips" />
      </div>
    );
  if (floor.isError && !floor.data)
    return (
      <div className="page">
        <Failed sentence={sentenceOf(floor.error)} again={() => void floor.refetch()} />
      </div>
    );
  const { bays, crew, inYard } = floor.data;
  const strips = [...floor.data.strips, ...(more.data?.pages.flatMap((p) => p.strips) ?? [])];
  const inBay = (bay: string): Strip | undefined => strips.find((s) => s.bay === bay);
  const yard = strips.filter((s) => !bays.includes(s.bay ?? ''));
  const held = strips.filter((s) => s.state.kind !== 'free').length;
  const full = bays.filter((b) => inBay(b)).length;
  return (
    <>
      <ul className={styles['crew-ribbon']} aria-label="Crew">
        {crew.map((p) => (
          <li key={p.id} title={p.name}>
            <span className={`disc ${p.on ? '' : 'free'}`}>{p.initials}</span>
            {p.on ? (
              <Link to={`/jobs/${p.on.jobId}`}>
                <span className="what">
                  <b>{p.on.bay ? `Bay ${p.on.bay}` : p.on.number}</b> {p.on.what}
                </span>
                <span className="quiet mono">{sinceWords(p.on.since)}</span>
              </Link>
            ) : (
              <span className="quiet">free</span>
            )}
          </li>
        ))}
      </ul>
      <div className={`page ${styles['floor-page']}`}>
        <div className="page-head">
          <h1>The Floor</h1>
          <span className="quiet">
            {full} of {bays.length} bays full, {inYard} in the yard, {held} held or waiting
          </span>
          <span className="right row-actions">
            {!wide && (
              <Button
                variant="default"
                aria-pressed={showsDays}
                onClick={() => setParams(showsDays ? {} : { days: 'shown' }, { replace: true })}
              >
                The days ahead
              </Button>
            )}
            <Button component={Link} to="/wall" variant="subtle" className="only-wide">
              On the wall
            </Button>
            <Button component={Link} to="/book-in">
              Book in a car
            </Button>
          </span>
        </div>
        {showsDays && !wide && <FloorDays strips={strips} bays={bays} />}
        <div className={styles['floor-grid']}>
          <ul>
            {bays.map((bay) => {
              const strip = inBay(bay);
              return strip ? (
                <BayStrip key={bay} bay={bay} strip={strip} />
              ) : (
                <li key={bay} className={styles['strip']} style={{ gridTemplateColumns: '64px 1fr', minHeight: 64 }}>
                  <span className={styles['bay-number']} aria-hidden="true">
                    {bay}
                  </span>
                  <span className="quiet" style={{ alignSelf: 'center', padding: '0 16px' }}>
                    Bay {bay} is free.
                  </span>
                </li>
              );
            })}
          </ul>
          {wide && <FloorDays strips={strips} bays={bays} />}
        </div>
        <div className="section-head">
          <h2>The Yard</h2>
          <span className="quiet">outside, waiting</span>
        </div>
        {yard.length === 0 ? (
          <Empty title={strips.length === 0 ? 'No job yet' : 'Nothing outside'}>
            {strips.length === 0 ? 'Book in the first car: plate number, customer, wish.' : null}
          </Empty>
        ) : (
          <>
            <ul className={styles['yard']}>
              {yard.map((s) => (
                <YardCar key={s.id} strip={s} />
              ))}
            </ul>
            {yard.length < inYard && (
              <div className="row-actions">
                <Button variant="default" loading={more.isFetchingNextPage} onClick={() => void more.fetchNextPage()}>
                  Show more of the yard, {inYard - yard.length} not shown
                </Button>
              </div>
            )}
          </>
        )}
        <HandedOver />
      </div>
    </>
  );
}
