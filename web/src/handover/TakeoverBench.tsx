import { counted } from '@bay/core/units';
import { Button } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { takeoverOf } from '@bay/core/plan';
import { readTakeover, takeOver } from '@bay/contract/handover';
import { call, command, keys } from '../api/index.ts';
import { useJob } from '../sheet/index.ts';
import { dayWords, fromToday, sinceWords, timeWords, Trouble, withDayWords } from '../ui/index.ts';
import { AskForm } from './AskForm.tsx';
import { ProvisionalList } from './ProvisionalList.tsx';
import styles from './handover.module.css';

function Part({ title, children, empty }: { title: string; children: React.ReactNode; empty?: string | false }) {
  return (
    <section className={`panel ${styles['sheet-part']}`}>
      <h3>{title}</h3>
      {empty ? <p className="quiet">{empty}</p> : children}
    </section>
  );
}

/** What somebody who takes over must know: one screen, one printed page. */
export default function TakeoverBench() {
  const { sheet, plan, mayWrite } = useJob();
  const { job } = sheet;
  const client = useQueryClient();
  const [asking, setAsking] = useState(false);
  const since = useQuery({
    queryKey: keys.takeover(job.id),
    queryFn: () => call(readTakeover, { params: { jobId: job.id } }),
  });
  const taking = useMutation({
    mutationFn: () =>
      command(
        takeOver,
        { params: { jobId: job.id }, body: {} },
        { label: 'taken over', jobId: job.id, offline: () => ({ at: '' }) },
      ),
    onSuccess: () => client.invalidateQueries({ queryKey: keys.takeover(job.id) }),
  });
  const s = takeoverOf(job, sheet, plan, sheet.running);
  const fresh = since.data?.entries.filter((e) => !e.marks.some((m) => m.kind !== 'corrected')) ?? [];
  return (
    <div className={styles['takeover']}>
      <div className="bench-head">
        <h2>
          Takeover sheet <span className="quiet only-print">{`${job.number} ${job.carName}`}</span>
        </h2>
        <span className="quiet">{s.stands}</span>
        <span className="right no-print">
          {mayWrite && (
            <Button variant="default" onClick={() => setAsking(true)}>
              Ask
            </Button>
          )}
          <Button variant="default" onClick={() => window.print()}>
            Print
          </Button>
          {mayWrite && (
            <Button loading={taking.isPending} onClick={() => taking.mutate()}>
              I take over
            </Button>
          )}
        </span>
      </div>
      <Trouble of={taking} />
      {s.holds.map((h) => (
        <p key={h.waitsFor} className="notice ochre-notice">
          Held by: {h.waitsFor}
          {h.due ? `, due ${dayWords(h.due)}, ${fromToday(h.due)}` : ''}
        </p>
      ))}
      <div className={styles['sheet-grid']}>
        <Part title="In the middle" empty={s.middle.length === 0 && 'Nothing is half done.'}>
          <ul>
            {s.middle.map((m) => (
              <li key={m.title + m.how}>
                <b>{m.title}</b>: {m.how}
                <span className="quiet">
                  {' '}
                  {m.by}
                  {m.since ? `, ${sinceWords(m.since)}` : ''}
                </span>
              </li>
            ))}
          </ul>
        </Part>
        <Part title="Provisional">
          <ProvisionalList />
        </Part>
        <Part title="Cautions in force" empty={s.cautions.length === 0 && 'None at what comes next.'}>
          <ul>
            {s.cautions.map((c) => (
              <li key={c.title}>
                <b>{c.title}</b>: <span className="oxide">{c.caution}</span>
              </li>
            ))}
          </ul>
          <p className="quiet">The maker's manual, local code and licensed trades go first.</p>
        </Part>
        <Part title="Next free steps" empty={s.next.length === 0 && 'Nothing is free.'}>
          <ol className={styles['numbered']}>
            {s.next.map((n) => (
              <li key={n.key}>
                {n.title}
                {n.minutes && <span className="quiet">{` ${n.minutes[0]}–${n.minutes.at(-1)} min`}</span>}
                {n.record?.handedTo && <span className="tag ochre"> for {n.record.handedTo}</span>}
              </li>
            ))}
          </ol>
        </Part>
        <Part title="Measurements awaited" empty={s.awaited.length === 0 && 'None.'}>
          <ul>
            {s.awaited.map((a) => (
              <li key={a.what}>
                {a.factId ? <Link to={`/jobs/${job.id}/facts?fact=${a.factId}`}>{a.what}</Link> : a.what}{' '}
                <span className="quiet">{counted(a.lines, 'line waits', 'lines wait')}</span>
              </li>
            ))}
          </ul>
        </Part>
        <Part title="Where things are" empty={s.places.length === 0 && 'No bag and no part is written down.'}>
          <table className="data">
            <tbody>
              {s.places.map((p) => (
                <tr key={p.label + p.what}>
                  <td className="mono">{p.label}</td>
                  <td>{p.what}</td>
                  <td>{p.place}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </Part>
        {(s.findings.length > 0 || s.asks.length > 0) && (
          <Part title="Found, asked, open">
            <ul>
              {s.findings.map((f) => (
                <li key={f}>{f}</li>
              ))}
              {s.asks.map((a) => (
                <li key={a.what}>
                  {a.what} <span className="tag ochre">{a.ask}</span>
                </li>
              ))}
            </ul>
          </Part>
        )}
        <Part
          title={
            since.data?.since
              ? `Since you were last on it, ${dayWords(since.data.since)} ${timeWords(since.data.since)}`
              : 'What was done; you were not on it yet'
          }
          empty={since.data && fresh.length === 0 && 'Nothing was written since.'}
        >
          <Trouble of={since} />
          <ul className="since">
            {fresh.slice(-14).map((e) => (
              <li key={e.id}>
                <span className="quiet mono">
                  {dayWords(e.at)} {timeWords(e.at)}
                </span>{' '}
                <b>{e.initials}</b> {withDayWords(e.marks.findLast((m) => m.kind === 'corrected')?.text ?? e.text)}
              </li>
            ))}
          </ul>
          {since.data && since.data.more + Math.max(0, fresh.length - 14) > 0 && (
            <p className="quiet">
              and {counted(since.data.more + Math.max(0, fresh.length - 14), 'line')} before these, in the logbook.
            </p>
          )}
        </Part>
      </div>
      {asking && <AskForm close={() => setAsking(false)} />}
    </div>
  );
}
