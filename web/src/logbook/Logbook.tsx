import { Select, TextInput } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { useVirtualizer } from '@tanstack/react-virtual';
import { lazy, Suspense, useEffect, useMemo, useRef, useState } from 'react';
import { stations } from '@bay/core/jobs';
import { kindWords } from '@bay/core/logbook';
import { shortTitleOf } from '@bay/core/plan';
import { readLogTable } from '@bay/contract/logbook';
import type { LogEntry } from '@bay/contract/logbook';
import { useCrew } from '../api/index.ts';
import { useJob } from '../sheet/index.ts';
import { dayWords, useChanged } from '../ui/index.ts';
import { EntryLine } from './EntryLine.tsx';
import { isNarrowed, useBook, useFound } from './useBook.ts';
import type { BookFilter } from './useBook.ts';
import styles from './logbook.module.css';

// The calendar is loaded where somebody looks for a day.
const DateField = lazy(async () => ({ default: (await import('../ui/DateField.tsx')).DateField }));

type Row = { day: string; key: string } | { entry: LogEntry; hit?: string };

/** Lines with a heading for each day. A line that waited on a device stands where it arrived. */
function withDays(entries: readonly { entry: LogEntry; hit?: string }[]): Row[] {
  const rows: Row[] = [];
  let last = '';
  for (const line of entries) {
    const day = dayWords(line.entry.receivedAt ?? line.entry.at);
    if (day !== last) rows.push({ day, key: `day ${line.entry.id}` });
    last = day;
    rows.push(line);
  }
  return rows;
}

function Filters({
  filter,
  set,
  search,
  setSearch,
}: {
  filter: BookFilter;
  set: (f: BookFilter) => void;
  search: string;
  setSearch: (s: string) => void;
}) {
  const crew = useCrew().data?.crew ?? [];
  const choose = (name: keyof BookFilter) => (value: string | null) => set({ ...filter, [name]: value ?? '' });
  return (
    <div className={styles['book-filters']}>
      <TextInput
        aria-label="Search this book"
        placeholder="Search words"
        value={search}
        onChange={(e) => setSearch(e.currentTarget.value)}
      />
      <Select
        aria-label="Kind"
        placeholder="Every kind"
        clearable
        data={Object.entries(kindWords).map(([value, label]) => ({ value, label }))}
        value={filter.kind || null}
        onChange={choose('kind')}
      />
      <Select
        aria-label="Station"
        placeholder="Every station"
        clearable
        data={stations.map((s) => ({ value: s.id, label: s.name }))}
        value={filter.station || null}
        onChange={choose('station')}
      />
      <Select
        aria-label="Person"
        placeholder="Everybody"
        clearable
        data={crew.map((p) => ({ value: p.id, label: p.name }))}
        value={filter.by || null}
        onChange={choose('by')}
      />
      <Suspense fallback={null}>
        <DateField
          label="Day"
          past
          value={filter.from ?? ''}
          onChange={(day) => set({ ...filter, from: day, to: day })}
        />
      </Suspense>
    </div>
  );
}

/** What is not final, for everybody to see under the book. */
function Provisional() {
  const { provisional } = useJob().plan;
  const first = provisional[0];
  if (!first) return null;
  const shown = provisional.slice(0, 3).map((p) => p.title);
  const more = provisional.length - shown.length;
  return (
    <div className={`${styles['book-foot']} ochre`}>
      Provisional: {shown.join(', ')}
      {more > 0 ? ` and ${more} more` : ''}. Ends before <b>{first.forbiddenAt.toLowerCase()}</b>.
    </div>
  );
}

/** Everything anyone did on this job, newest at the bottom like a paper book; it can be narrowed and searched. */
export function Logbook({ shut }: { shut: boolean }) {
  const { sheet } = useJob();
  const jobId = sheet.job.id;
  const [looking, setLooking] = useState(false);
  const [filter, setFilter] = useState<BookFilter>({});
  const [search, setSearch] = useState('');
  const [q] = useDebouncedValue(search.trim(), 150);
  const clean = Object.fromEntries(Object.entries(filter).filter(([, v]) => v)) as BookFilter;
  const book = useBook(jobId, sheet.log, clean);
  const found = useFound(q, jobId);
  const searching = q.length >= 2;
  const rows = useMemo(
    () =>
      withDays(
        searching
          ? (found.data?.hits ?? []).toReversed().map((h) => ({ entry: h, hit: h.hit }))
          : book.entries.map((entry) => ({ entry })),
      ),
    [searching, found.data, book.entries],
  );
  const box = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => box.current,
    estimateSize: () => 46,
    overscan: 12,
    getItemKey: (i) => {
      const row = rows[i]!;
      return 'day' in row ? row.key : row.entry.id;
    },
  });
  const newest = book.entries.at(-1)?.id;
  // A line that came while the book was open moves in; what stood there stands there.
  const arrived = useChanged(newest) ? newest : undefined;
  useEffect(() => {
    if (rows.length > 0) virtual.scrollToIndex(rows.length - 1, { align: 'end' });
    // Only a new line at the end, or another way of looking, moves the book; older pages do not.
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the count of rows grows with older pages too
  }, [newest, virtual, searching, q, filter]);
  // Near the top the page before is fetched, and the line that was read stays where it was.
  const first = rows[0] && 'entry' in rows[0] ? rows[0].entry.id : rows[1] && 'entry' in rows[1] ? rows[1].entry.id : 0;
  const keep = useRef<{ first: number; height: number }>(undefined);
  useEffect(() => {
    const was = keep.current;
    if (!was || was.first === first || !box.current) return;
    keep.current = undefined;
    box.current.scrollTop += virtual.getTotalSize() - was.height;
  }, [first, virtual]);
  const earlier = (): void => {
    if (searching || !book.more || book.loading) return;
    keep.current = { first, height: virtual.getTotalSize() };
    book.earlier();
  };
  const narrowed = isNarrowed(clean) || searching;
  return (
    <aside className={`${styles['book']}${shut ? ' shut' : ''}`} aria-label="Logbook">
      <div className={styles['book-head']}>
        <h2 style={{ fontSize: 18 }}>Logbook</h2>
        <button
          type="button"
          className="plain-button small bare"
          aria-expanded={looking}
          onClick={() => {
            setLooking(!looking);
            setFilter({});
            setSearch('');
          }}
        >
          {looking ? 'The whole book' : 'Search'}
        </button>
      </div>
      {looking && <Filters filter={filter} set={setFilter} search={search} setSearch={setSearch} />}
      {looking && (
        <a className={styles['book-table']} href={readLogTable.path.replace(':jobId', jobId)} download>
          The whole book as a table (CSV)
        </a>
      )}
      {clean.about && (
        <p className={styles['book-about']}>
          On: {shortTitleOf(clean.about)}{' '}
          <button type="button" className="plain-button small bare" onClick={() => setFilter({})}>
            Everything
          </button>
        </p>
      )}
      <div
        ref={box}
        className={styles['book-lines']}
        // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex -- what scrolls must be reachable by keyboard
        tabIndex={0}
        role="log"
        aria-label="Lines of the logbook"
        onScroll={(e) => e.currentTarget.scrollTop < 400 && earlier()}
      >
        {!searching && book.more && (
          <button
            type="button"
            className={`plain-button small bare ${styles['book-earlier']}`}
            disabled={book.loading}
            onClick={earlier}
          >
            {book.loading ? 'Reading' : 'Earlier'}
          </button>
        )}
        {narrowed && rows.length === 0 && !book.loading && !found.isFetching && (
          <p className="quiet">No line like that.</p>
        )}
        <div style={{ height: virtual.getTotalSize(), position: 'relative' }}>
          {virtual.getVirtualItems().map((item) => {
            const row = rows[item.index]!;
            return (
              <div
                key={item.key}
                data-index={item.index}
                {...('entry' in row && row.entry.id === arrived ? { className: 'moves' } : {})}
                ref={virtual.measureElement}
                style={{ position: 'absolute', top: 0, left: 0, right: 0, transform: `translateY(${item.start}px)` }}
              >
                {'day' in row ? (
                  <div className={styles['book-day']}>{row.day}</div>
                ) : (
                  <EntryLine
                    jobId={jobId}
                    entry={row.entry}
                    {...(row.hit ? { hit: row.hit } : {})}
                    showAbout={(about) => setFilter({ about })}
                  />
                )}
              </div>
            );
          })}
        </div>
      </div>
      <Provisional />
    </aside>
  );
}
