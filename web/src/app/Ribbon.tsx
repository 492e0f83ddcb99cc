import { Suspense, lazy, useEffect, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { holdingOf, holdingWords, nextGate, shortTitleOf } from '@bay/core/plan';
import type { Holding, SuspectOf } from '@bay/core/plan';
import { counted } from '@bay/core/units';
import { useMe } from '../api/index.ts';
import { useJob, usePut } from '../sheet/index.ts';
import { useWriteLine } from '../logbook/index.ts';
import { Dialog, today, Trouble, withDayWords } from '../ui/index.ts';
import { besideViews } from './benches.ts';
import styles from './job.module.css';

const Answer = lazy(async () => ({ default: (await import('../crew/Answer.tsx')).Answer }));
const ProofForm = lazy(async () => ({ default: (await import('../commissioning/ProofForm.tsx')).ProofForm }));

/** A hold ends: what was ordered is here, and moves its order, its hold and the steps that waited for it; anything else is over. */
function EndHold({ held }: { held: Extract<Holding, { sort: 'hold' }> }) {
  const { sheet, mayWrite } = useJob();
  const put = usePut();
  const write = useWriteLine(sheet.job.id);
  const { key, hold, comes } = held;
  if (!mayWrite) return null;
  const name = comes ? 'Arrived' : 'Release';
  return (
    <>
      <button
        type="button"
        className={styles['act']}
        aria-label={`${name}: ${hold.waitsFor}`}
        disabled={put.isPending || write.isPending}
        onClick={() =>
          comes
            ? write.mutate({ line: `arrived: ${hold.waitsFor}` })
            : put.mutate({ kind: 'hold', key, data: { ...hold, released: {} } })
        }
      >
        <span>{name}</span>
      </button>
      <Trouble of={put} />
      <Trouble of={write} />
    </>
  );
}

/** The act that goes with what holds the job. */
function Act({ of }: { of: Holding }) {
  const { sheet, isManager, mayWrite } = useJob();
  const me = useMe().data?.person;
  const [answering, setAnswering] = useState(false);
  const job = `/jobs/${sheet.job.id}`;
  switch (of.sort) {
    case 'hold':
      return <EndHold held={of} />;
    case 'attempts':
    case 'case':
      return (
        <Link className={styles['act']} to={`${job}/start?tab=find`}>
          <span>Find the fault</span>
        </Link>
      );
    case 'clash':
      return (
        <Link className={styles['act']} to={`${job}/fit?at=${of.places[0]!.id}`}>
          <span>Choose a way out</span>
        </Link>
      );
    case 'ask': {
      const { ask, to, what, toName } = of.ask;
      const mine = to === me?.id || (to === 'manager' && isManager);
      if (!mine || !mayWrite)
        return <span className="quiet">asked of {to === 'customer' ? 'the customer' : (toName ?? 'the manager')}</span>;
      const row = sheet.records.find((r) => r.kind === 'ask' && r.key === of.key);
      return (
        <>
          <button
            type="button"
            className={styles['act']}
            aria-label={`Answer it: ${what}`}
            onClick={() => setAnswering(true)}
          >
            <span>Answer</span>
          </button>
          {answering && row && (
            <Dialog close={() => setAnswering(false)} title={what}>
              <Suspense fallback={null}>
                <Answer
                  item={{
                    sort: ask,
                    jobId: sheet.job.id,
                    key: of.key,
                    revision: row.revision,
                    what,
                    data: of.ask as unknown as Record<string, unknown>,
                  }}
                  after={() => setAnswering(false)}
                />
              </Suspense>
            </Dialog>
          )}
        </>
      );
    }
  }
}

function Said({ of }: { of: Holding }) {
  const { title, sentence } = holdingWords(of);
  const waits = of.sort === 'hold' ? of.hold.about : undefined;
  return (
    <span className={styles['said']} title={`${title}: ${withDayWords(sentence)}`}>
      <b>{title}:</b> {withDayWords(sentence)}
      {waits && shortTitleOf(waits) !== waits && <span className="quiet">, for {shortTitleOf(waits)}</span>}
    </span>
  );
}

/** The next gate that is shut, and the first line that stands before it. */
function Gate() {
  const { sheet, plan, mayWrite } = useJob();
  const [proving, setProving] = useState(false);
  const next = nextGate(sheet.job, plan);
  if (!next) return null;
  const { gate, of, proved, line } = next;
  const to = `/jobs/${sheet.job.id}/start?tab=gates&gate=${encodeURIComponent(gate)}`;
  const byHand = mayWrite && !line.record && line.state !== 'half-signed';
  return (
    <div className={`${styles['holding']} gate`}>
      <span className={styles['said']} title={line.def.mustBe}>
        <Link to={to}>
          <b>{gate}</b>
        </Link>{' '}
        <span className="quiet">{counted(of - proved, 'line')} open:</span> {line.def.mustBe}
      </span>
      {byHand ? (
        <button
          type="button"
          className={styles['act']}
          aria-label={`Prove: ${line.def.mustBe}`}
          onClick={() => setProving(true)}
        >
          <span>Prove</span>
        </button>
      ) : (
        <Link className={styles['act']} to={to}>
          <span>Show</span>
        </Link>
      )}
      {proving && (
        <Suspense fallback={null}>
          <ProofForm line={line} close={() => setProving(false)} />
        </Suspense>
      )}
    </div>
  );
}

/** Ranking suspects is loaded where somebody looks for a fault. */
function useSuspects(searching: boolean): SuspectOf | undefined {
  const [suspectOf, set] = useState<SuspectOf>();
  useEffect(() => {
    if (searching) void import('./suspects.ts').then((m) => set(() => m.firstSuspect));
  }, [searching]);
  return suspectOf;
}

/** Right under the line: what holds the job with its act in one tap, the next gate, and the views beside the stations. */
export function Ribbon({ view }: { view: string }) {
  const { sheet, plan } = useJob();
  const [all, setAll] = useState(false);
  const searching = sheet.records.some((r) => r.kind === 'case' && !r.data.closed);
  const suspectOf = useSuspects(searching);
  const day = today();
  const holding = useMemo(() => holdingOf(sheet, plan, day, suspectOf), [sheet, plan, day, suspectOf]);
  const first = holding[0];
  return (
    <div className={`${styles['ribbon']} ${first ? (first.sort === 'attempts' ? 'stop' : 'waits') : ''}`}>
      <section className={styles['ribbon-words']} aria-label="What holds the job">
        <div className={styles['holding']}>
          {first ? (
            <>
              <Said of={first} />
              <Act of={first} />
            </>
          ) : (
            <span className={styles['said']}>Nothing holds it.</span>
          )}
          {holding.length > 1 && (
            <button type="button" className={styles['more']} onClick={() => setAll(true)}>
              {holding.length - 1} more
            </button>
          )}
        </div>
        <Gate />
      </section>
      <nav className={styles['beside']} aria-label="Beside the stations">
        {besideViews.map(({ id, name, icon: Icon }) => (
          <Link
            key={id}
            className="plain"
            to={`/jobs/${sheet.job.id}/${id}`}
            {...(view === id ? { 'aria-current': 'page' as const } : {})}
          >
            <Icon size={16} aria-hidden="true" /> {name}
          </Link>
        ))}
      </nav>
      {all && (
        <Dialog close={() => setAll(false)} title="What holds the job" size="lg">
          <ul className="rows">
            {holding.map((h) => (
              <li key={`${h.sort}${'key' in h ? h.key : ''}`} className={styles['holding']}>
                <Said of={h} />
                <Act of={h} />
              </li>
            ))}
          </ul>
        </Dialog>
      )}
    </div>
  );
}
