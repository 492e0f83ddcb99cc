import { useQuery } from '@tanstack/react-query';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useMemo, useRef, useState } from 'react';
import { readLog } from '@bay/contract/logbook';
import type { LogEntry } from '@bay/contract/logbook';
import { call } from '../api/index.ts';
import { useJob } from '../jobs/useJob.ts';
import { dayWords, exactWords, timeWords, withDayWords } from '../ui/index.ts';

type Row = { day: string } | LogEntry;

/** Lines with a heading for each day. */
function withDays(entries: readonly LogEntry[]): Row[] {
  const rows: Row[] = [];
  let last = '';
  for (const entry of entries) {
    const day = dayWords(entry.at);
    if (day !== last) rows.push({ day });
    last = day;
    rows.push(entry);
  }
  return rows;
}

/** Everything anyone did on this job, newest at the bottom like a paper book. */
export function Logbook({ shut }: { shut: boolean }) {
  const { sheet, plan } = useJob();
  const jobId = sheet.job.id;
  const [older, setOlder] = useState<LogEntry[]>([]);
  const first = older[0]?.id ?? sheet.log[0]?.id;
  const more = useQuery({
    queryKey: ['log-before', jobId, first],
    queryFn: () => call(readLog, { params: { jobId }, query: { before: String(first) as unknown as number, limit: '100' as unknown as number } }),
    enabled: false,
  });
  const entries = useMemo(() => {
    const seen = new Set(sheet.log.map((e) => e.id));
    return [...older.filter((e) => !seen.has(e.id)), ...sheet.log];
  }, [older, sheet.log]);
  const rows = useMemo(() => withDays(entries), [entries]);
  const box = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => box.current,
    estimateSize: () => 46,
    overscan: 12,
    getItemKey: (i) => ('day' in rows[i]! ? `day${rows[i].day}` : rows[i]!.id),
  });
  const newest = entries.at(-1)?.id;
  useEffect(() => {
    if (rows.length > 0) virtual.scrollToIndex(rows.length - 1, { align: 'end' });
    // Only a new line at the end moves the book; older pages do not.
  }, [newest, virtual]);
  const provisional = sheet.records.filter((r) => r.kind === 'provisional' && !r.data['ended']).map((r) => String(r.data['what']));
  const next = plan.gates.find((g) => !g.opens);
  return (
    <aside className={`book${shut ? ' shut' : ''}`} aria-label="Logbook">
      <div className="book-head">
        <h2 style={{ fontSize: 18 }}>Logbook</h2>
        {(first ?? 0) > 0 && sheet.log.length >= 80 && (
          <button
            type="button"
            className="plain-button small bare"
            onClick={() => void more.refetch().then(({ data }) => data && setOlder((now) => [...data.entries, ...now]))}
          >
            Earlier
          </button>
        )}
      </div>
      <div ref={box} className="book-lines" tabIndex={0} role="log" aria-label="Lines of the logbook">
        <div style={{ height: virtual.getTotalSize(), position: 'relative' }}>
          {virtual.getVirtualItems().map((item) => {
            const row = rows[item.index]!;
            return (
              <div
                key={item.key}
                data-index={item.index}
                ref={virtual.measureElement}
                style={{ position: 'absolute', top: 0, left: 0, right: 0, transform: `translateY(${item.start}px)` }}
              >
                {'day' in row ? (
                  <div className="book-day">{row.day}</div>
                ) : (
                  <div className={`book-line kind-${row.kind}`}>
                    <time dateTime={row.at} title={exactWords(row.at)}>
                      {timeWords(row.at)}
                    </time>
                    <span>
                      <b title={row.by}>{row.initials}</b> {withDayWords(row.text)}
                    </span>
                  </div>
                )}
              </div>
            );
          })}
        </div>
      </div>
      <div className="book-foot">
        {provisional.length > 0 ? (
          <span className="ochre">
            Provisional: {provisional.join(', ')}. Ends before <b>first crank</b>.
          </span>
        ) : next ? (
          <>
            Next gate: <b>{next.gate}</b>, {next.of - next.proved} of {next.of} lines open
          </>
        ) : (
          'Every gate is open.'
        )}
      </div>
    </aside>
  );
}
