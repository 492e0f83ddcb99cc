import { Button, Select, TextInput } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { stationName } from '@bay/core/jobs';
import { isOwn } from '@bay/core/memory';
import { bareContext, readLogLine, understoodWords } from '@bay/core/logbook';
import { readBench } from '@bay/contract/crew';
import type { BenchStep } from '@bay/contract/crew';
import { writeLog } from '@bay/contract/logbook';
import { putRecord } from '@bay/contract/records';
import { call, command, keys, nowIso, sentenceOf, useMe } from '../api/index.ts';
import { useClock, useTick } from '../clock/index.ts';
import { PhotoButton } from '../logbook/index.ts';
import { Empty, Failed, FormDialog, Loading, sinceWords, today, Trouble, useForm } from '../ui/index.ts';
import styles from './crew.module.css';

/** Writes where a step stands from outside of its job's page. */
function useStep() {
  const client = useQueryClient();
  const me = useMe().data?.person;
  return useMutation({
    mutationFn: ({ step, status }: { step: BenchStep; status: 'on-it' | 'done' | 'open' }) => {
      const data = { status };
      const offline = () => ({
        record: {
          kind: 'task' as const,
          key: step.key,
          data,
          revision: step.revision + 1,
          by: me?.name ?? '',
          at: nowIso(),
        },
      });
      const label = { 'on-it': 'step started', done: 'step done', open: 'step open again' }[status];
      return command(
        putRecord,
        { params: { jobId: step.jobId, kind: 'task', key: step.key }, body: { data, revision: step.revision } },
        { label, jobId: step.jobId, offline },
      );
    },
    onSuccess: (_reply, { step, status }) => {
      // Shown at once, also without a network.
      client.setQueryData<{ step: BenchStep | null; next: BenchStep[] }>(
        keys.bench,
        (old) =>
          old && {
            ...old,
            step:
              status === 'on-it'
                ? { ...step, status, revision: step.revision + 1 }
                : old.step?.key === step.key
                  ? null
                  : old.step,
            next: old.next.filter((s) => !(s.jobId === step.jobId && s.key === step.key)),
          },
      );
      for (const queryKey of [keys.bench, keys.floor, keys.waiting, keys.job()])
        void client.invalidateQueries({ queryKey });
    },
  });
}

/** One line for the book of a job, with what it understood; for a reading taken in passing. */
function QuickLine({
  jobs,
  at,
  close,
}: {
  jobs: readonly { id: string; number: string; carName: string }[];
  at: string | undefined;
  close: () => void;
}) {
  const form = useForm({
    draft: 'line from the bench',
    initial: { jobId: at ?? jobs[0]?.id ?? '', line: '' },
    schema: writeLog.body.pick({ line: true }),
    sent: (v) => v,
  });
  const { jobId, line } = form.values;
  const draft = line.trim() === '' ? undefined : readLogLine(line, bareContext(today()));
  return (
    <FormDialog
      title="Write it down"
      submit="Write"
      of={form}
      disabled={jobId === ''}
      send={() =>
        command(
          writeLog,
          { params: { jobId }, body: { line, today: today() } },
          { label: 'line written', jobId, offline: () => ({ entry: undefined as never }) },
        )
      }
      close={close}
    >
      <Select
        label="Job"
        data={jobs.map((j) => ({ value: j.id, label: `${j.number} ${j.carName}` }))}
        {...form.field('jobId')}
      />
      <TextInput label="Line" placeholder="bore 3 86.02, found: …, held: …" data-autofocus {...form.field('line')} />
      <p className="understood">{draft ? understoodWords(draft) : ''}</p>
    </FormDialog>
  );
}

function StepCard({ step, big = false, children }: { step: BenchStep; big?: boolean; children: React.ReactNode }) {
  return (
    <div className={`panel ${styles['bench-step']}${big ? ' big' : ''}`}>
      <p className="quiet">
        <Link to={`/jobs/${step.jobId}/${isOwn(step.key) ? 'own' : step.station}`}>
          {step.bay ? `Bay ${step.bay}` : 'Yard'}, {step.number} {step.carName}
        </Link>
        , {stationName(step.station)}
        {step.mine && <span className="tag ochre"> for you</span>}
      </p>
      <p className={styles['bench-title']}>{step.title}</p>
      {step.minutes && (
        <p className="quiet">
          {step.minutes[0]} to {step.minutes.at(-1)} min (estimate){step.thenWait ? `. ${step.thenWait}` : ''}
        </p>
      )}
      {step.caution && <p className="caution oxide">{step.caution}</p>}
      {children}
    </div>
  );
}

/** What a technician sees first: what they are on, big actions, and what is free next across jobs. */
export function BenchPage() {
  const bench = useQuery({ queryKey: keys.bench, queryFn: () => call(readBench) });
  const me = useMe().data?.person;
  const { stop } = useClock();
  const stepping = useStep();
  const [writing, setWriting] = useState(false);
  useTick();
  if (bench.isPending)
    return (
      <div className="page">
        <Loading />
      </div>
    );
  if (bench.isError && !bench.data)
    return (
      <div className="page">
        <Failed sentence={sentenceOf(bench.error)} again={() => void bench.refetch()} />
      </div>
    );
  const { running, step, next, jobs } = bench.data;
  const mayWrite = me?.role !== 'onlooker';
  const at = running?.jobId ?? step?.jobId ?? next[0]?.jobId ?? jobs[0]?.id;
  return (
    <div className={`page ${styles['my-bench']}`}>
      <div className="page-head">
        <h1>My bench</h1>
        <span className="quiet">{me?.name}</span>
      </div>
      {step ? (
        <StepCard step={step} big>
          {running && (
            <p className={`${styles['bench-clock']} mono`} aria-label="Time on this step">
              {sinceWords(running.startedAt)}
            </p>
          )}
          {mayWrite && (
            <div className={styles['big-actions']}>
              <Button size="lg" loading={stepping.isPending} onClick={() => stepping.mutate({ step, status: 'done' })}>
                Done
              </Button>
              <Button size="lg" variant="default" loading={stop.isPending} onClick={() => stop.mutate(step.jobId)}>
                Pause
              </Button>
            </div>
          )}
        </StepCard>
      ) : running ? (
        <div className={`panel ${styles['bench-step']} big`}>
          <p className="quiet">On the clock</p>
          <p className={styles['bench-title']}>{running.title}</p>
          <p className={`${styles['bench-clock']} mono`}>{sinceWords(running.startedAt)}</p>
          <div className={styles['big-actions']}>
            <Button size="lg" variant="default" loading={stop.isPending} onClick={() => stop.mutate(running.jobId)}>
              Clock off
            </Button>
          </div>
        </div>
      ) : (
        <Empty title="You are on nothing">Start one of the steps below; its clock starts with it.</Empty>
      )}
      <Trouble of={stepping} />
      <Trouble of={stop} />
      {mayWrite && at && (
        <div className={styles['big-actions']}>
          <PhotoButton jobId={at} {...(step ? { about: step.key } : {})} big />
          <Button size="lg" variant="default" onClick={() => setWriting(true)}>
            Write it down
          </Button>
        </div>
      )}
      <h2 className="section-head">Free next</h2>
      {next.length === 0 && <p className="quiet">Nothing is free. Look at the Floor for what holds the jobs.</p>}
      <div className={styles['free-next']}>
        {next.map((s) => (
          <StepCard key={s.jobId + s.key} step={s}>
            {mayWrite && (
              <div className="row-actions">
                <Button
                  variant="default"
                  size="md"
                  disabled={stepping.isPending}
                  onClick={() => stepping.mutate({ step: s, status: 'on-it' })}
                  aria-label={`Start: ${s.title}`}
                >
                  Start
                </Button>
              </div>
            )}
          </StepCard>
        ))}
      </div>
      {writing && <QuickLine jobs={jobs} at={at} close={() => setWriting(false)} />}
    </div>
  );
}
