import dayjs from 'dayjs';
import { Link } from 'react-router';
import type { Strip } from '@bay/contract/jobs';
import { dayAfter, dayWords, fromToday, today } from '../ui/index.ts';
import styles from './floor.module.css';

/** How many days are looked ahead. */
const ahead = 21;
/** Height of one mark, px. */
const line = 24;

interface Mark {
  on: string;
  what: string;
  kind: 'due' | 'promised';
}

const marksOf = (s: Strip): Mark[] =>
  [
    ...s.due.map((d): Mark => ({ ...d, kind: 'due' })),
    ...(s.promised ? [{ on: s.promised, what: 'promised', kind: 'promised' as const }] : []),
  ].sort((a, b) => (a.on < b.on ? -1 : 1));

/** How high the row of a job is, px. */
export const rowPx = (s: Strip): number => Math.max(48, Math.max(1, marksOf(s).length) * line + 18);

/** Where a day stands, 0 to 1; what is over stands at today, what lies beyond at the end. */
function placeOf(day: string): number {
  const days = dayjs(day).diff(dayjs(today()), 'day');
  return (Math.max(0, Math.min(ahead - 1, days)) + 0.5) / ahead;
}

function Row({ strip, bay }: { strip: Strip; bay: string }) {
  const marks = marksOf(strip);
  return (
    <li className={styles['days-row']}>
      <Link to={`/jobs/${strip.id}/${strip.station}`}>
        <b>{bay}</b> {strip.carName}
        {strip.onIt.length > 0 && <span className="quiet"> {strip.onIt.map((o) => o.initials).join(', ')}</span>}
      </Link>
      <ul style={{ minHeight: Math.max(1, marks.length) * line }}>
        {marks.map((m, i) => {
          const at = placeOf(m.on);
          const over = m.on < today();
          return (
            <li
              key={m.what + m.on}
              className={`${styles['mark']} ${m.kind}${over ? ' over' : ''}${at > 0.6 ? ' left' : ''}`}
              style={{ left: `${at * 100}%`, top: i * line }}
              title={fromToday(m.on)}
            >
              <span>
                {m.what}
                {over || dayjs(m.on).diff(dayjs(today()), 'day') >= ahead ? `, ${dayWords(m.on)}` : ''}
              </span>
            </li>
          );
        })}
      </ul>
    </li>
  );
}

/** The bays in their order, then the cars outside of which something is due or promised. */
export function inDays(strips: readonly Strip[], bays: readonly string[]): Strip[] {
  const inBays = bays.flatMap((bay) => strips.find((s) => s.bay === bay) ?? []);
  return [...inBays, ...strips.filter((s) => !inBays.includes(s) && marksOf(s).length > 0)];
}

/** Days across and bays down: what is due when, what is promised, who is on it. What is known today; no forecast. */
export function FloorDays({ strips, bays }: { strips: readonly Strip[]; bays: readonly string[] }) {
  const days = Array.from({ length: ahead }, (_, i) => dayAfter(i));
  const rows = inDays(strips, bays);
  return (
    <section className={styles['days']} aria-label="The days ahead">
      <div className={styles['days-head']} aria-hidden="true">
        <b>The days ahead</b>
        <span>
          {days.map((day) => (
            <small key={day} className={[0, 6].includes(dayjs(day).day()) ? 'weekend' : ''}>
              {dayjs(day).format('dd')}
              <br />
              {dayjs(day).format('D')}
            </small>
          ))}
        </span>
      </div>
      <ol>
        {rows.map((s) => (
          <Row key={s.id} strip={s} bay={s.bay !== null && bays.includes(s.bay) ? s.bay : 'Yard'} />
        ))}
      </ol>
      {rows.length === 0 && <p className="quiet">Nothing is due.</p>}
    </section>
  );
}
