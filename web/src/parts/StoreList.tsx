import { useInfiniteQuery } from '@tanstack/react-query';
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { useLayoutEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { partFateWords } from '@bay/core/parts';
import { listStore } from '@bay/contract/parts';
import type { Stored } from '@bay/contract/parts';
import { call, keys, sentenceOf, useRights } from '../api/index.ts';
import { columns, Empty, Failed, fromToday, Loading } from '../ui/index.ts';
import { StoredForm } from './StoredForm.tsx';
import styles from './parts.module.css';

export interface Sought {
  q: string;
  place: string;
  all: boolean;
}

/** Pages of what lies there, one after the other as the list is gone along. */
function useThings({ q, place, all }: Sought) {
  return useInfiniteQuery({
    queryKey: keys.store({ q, place, all }),
    queryFn: ({ signal, pageParam }) =>
      call(listStore, {
        query: {
          q,
          all: String(all),
          ...(place === '' ? {} : { place }),
          ...(pageParam ? { afterSort: pageParam.sort, afterTitle: pageParam.title, afterId: pageParam.id } : {}),
        },
        signal,
      }),
    initialPageParam: undefined as Stored | undefined,
    getNextPageParam: (last) => (last.more ? last.things.at(-1) : undefined),
    placeholderData: (before) => before,
  });
}

function Thing({ thing, open, toggle }: { thing: Stored; open: boolean; toggle: () => void }) {
  const { mayWrite } = useRights();
  return (
    <>
      <button
        type="button"
        className="row-button stacks"
        style={columns('84px minmax(0, 1.5fr) minmax(0, 1fr) minmax(0, 1.2fr)')}
        aria-expanded={open}
        onClick={toggle}
      >
        <span className="mono">{thing.sort === 'unit' ? thing.detail : thing.label || thing.sort}</span>
        <span>
          <b>{thing.title}</b>{' '}
          {thing.sort === 'part' && thing.detail !== 'good' && <span className="tag ochre">{thing.detail}</span>}
          {thing.sort === 'bag' && thing.detail !== '' && <span className="quiet mono">{thing.detail} pieces</span>}
          {thing.fate !== 'here' && <span className="tag">{partFateWords[thing.fate]}</span>}
        </span>
        <span>{thing.place || <span className="ochre">no place</span>}</span>
        <span className="quiet">
          {thing.forJobNumber
            ? `kept for ${thing.forJobNumber}`
            : thing.jobNumber
              ? `${thing.jobNumber} ${thing.carName ?? ''}`
              : 'on no job'}
          , {fromToday(thing.since)}
        </span>
      </button>
      {open && (
        <>
          <p className="row-actions">
            {thing.sort === 'part' && <Link to={`/parts/${thing.id}`}>Label and history</Link>}
            {thing.sort === 'unit' && <Link to={`/units?open=${thing.id}`}>The unit, and to another place</Link>}
            {thing.jobId && <Link to={`/jobs/${thing.jobId}`}>To job {thing.jobNumber}</Link>}
          </p>
          {mayWrite && thing.sort !== 'unit' && <StoredForm thing={thing} close={toggle} />}
        </>
      )}
    </>
  );
}

/** What lies in the shop. Only the rows that are in sight are there: a thousand go by as smoothly as ten. */
export function StoreList({ sought }: { sought: Sought }) {
  const [open, setOpen] = useState<string>();
  const things = useThings(sought);
  const rows = things.data?.pages.flatMap((p) => p.things) ?? [];
  const list = useRef<HTMLUListElement>(null);
  const [from, setFrom] = useState(0);
  useLayoutEffect(() => {
    setFrom(list.current?.offsetTop ?? 0);
  }, [things.isPending, rows.length]);
  const virtual = useWindowVirtualizer({
    count: rows.length,
    estimateSize: () => 58,
    overscan: 10,
    scrollMargin: from,
    getItemKey: (i) => `${rows[i]!.sort}:${rows[i]!.id}`,
  });
  const shown = virtual.getVirtualItems();
  const last = shown.at(-1)?.index ?? 0;
  const { hasNextPage, isFetchingNextPage, fetchNextPage } = things;
  useLayoutEffect(() => {
    if (hasNextPage && !isFetchingNextPage && last >= rows.length - 30) void fetchNextPage();
  }, [hasNextPage, isFetchingNextPage, fetchNextPage, last, rows.length]);
  if (things.isPending) return <Loading />;
  if (things.isError && !things.data)
    return <Failed sentence={sentenceOf(things.error)} again={() => void things.refetch()} />;
  if (rows.length === 0)
    return (
      <Empty title="Nothing lies there">
        {sought.q === '' && sought.place === ''
          ? 'A part that is ticked off a harvest list comes here, and a bag that is written.'
          : 'No part, bag or unit has these words in that place. Look also among what is gone.'}
      </Empty>
    );
  return (
    <>
      <ul
        ref={list}
        className={`rows panel ${styles['store-list']}`}
        aria-label="What lies here"
        style={{ height: virtual.getTotalSize() }}
      >
        {shown.map((item) => {
          const thing = rows[item.index]!;
          const key = String(item.key);
          return (
            <li
              key={key}
              ref={virtual.measureElement}
              data-index={item.index}
              aria-setsize={hasNextPage ? -1 : rows.length}
              aria-posinset={item.index + 1}
              style={{ transform: `translateY(${item.start - from}px)` }}
            >
              <Thing thing={thing} open={open === key} toggle={() => setOpen(open === key ? undefined : key)} />
            </li>
          );
        })}
      </ul>
      {isFetchingNextPage && <p className="quiet">More is coming.</p>}
    </>
  );
}
