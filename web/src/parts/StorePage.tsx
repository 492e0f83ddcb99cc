import { Button, Select, TextInput } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { partFates, partFateWords } from '@bay/core/parts';
import type { PartFate } from '@bay/core/parts';
import { find, readFloor } from '@bay/contract/jobs';
import { changeStored, listPlaces, listStore, movePlace } from '@bay/contract/parts';
import type { Stored } from '@bay/contract/parts';
import { call, command, keys, sentenceOf, useRights } from '../api/index.ts';
import { columns, Empty, Failed, Form, FormDialog, fromToday, Loading, useForm, words } from '../ui/index.ts';
import styles from './parts.module.css';

const gone: readonly PartFate[] = ['sold', 'scrapped', 'sent-back'];

/** Jobs to keep a part for: those on the floor, and those that have the words that are typed. */
function useJobsToKeepFor(wanted: boolean, said: string) {
  const [q] = useDebouncedValue(said.trim(), 200);
  const floor = useQuery({ queryKey: keys.floor, queryFn: () => call(readFloor), enabled: wanted });
  const found = useQuery({
    queryKey: keys.find(q),
    queryFn: () => call(find, { query: { q } }),
    enabled: wanted && q !== '',
    placeholderData: keepPreviousData,
  });
  const onFloor = (floor.data?.strips ?? []).map((j) => ({ value: j.id, label: `${j.number} ${j.carName}` }));
  const hits = (found.data?.hits ?? [])
    .filter((h) => h.kind === 'job')
    .map((h) => ({ value: h.to.replace('/jobs/', ''), label: h.title }));
  return [...new Map([...onFloor, ...hits].map((j) => [j.value, j])).values()];
}

/** What becomes of a part or a bag: another place, a job that it is kept for, or that it is gone. */
export function StoredForm({ thing, close }: { thing: Stored; close: () => void }) {
  const client = useQueryClient();
  const isPart = thing.sort === 'part';
  const [said, setSaid] = useState('');
  const own = thing.forJobId === null ? [] : [{ value: thing.forJobId, label: `${thing.forJobNumber ?? ''}` }];
  const found = useJobsToKeepFor(isPart, said);
  const jobs = [...own.filter((o) => !found.some((f) => f.value === o.value)), ...found];
  const form = useForm({
    draft: `store:${thing.id}`,
    since: thing.revision,
    initial: { place: thing.place, forJob: thing.forJobId ?? '', fate: thing.fate, goneTo: '', note: '' },
    command: changeStored,
    sent: (v) => ({
      revision: thing.revision,
      ...(v.place.trim() === thing.place ? {} : { place: v.place.trim() }),
      ...(isPart && v.forJob !== (thing.forJobId ?? '') ? { forJob: v.forJob === '' ? null : v.forJob } : {}),
      ...(isPart && v.fate !== thing.fate ? { fate: v.fate, goneTo: words(v.goneTo), note: words(v.note) } : {}),
    }),
    names: { 'data.goneTo': 'goneTo', 'data.forJob': 'forJob', 'data.note': 'note' },
  });
  return (
    <Form
      className="card-open"
      of={form}
      submit="Keep"
      cancel={close}
      after={close}
      send={async (body) => {
        await command(
          changeStored,
          { params: { sort: thing.sort as 'part' | 'bag', thingId: thing.id }, body },
          { label: `${thing.title} changed`, ...(thing.jobId ? { jobId: thing.jobId } : {}) },
        );
        await client.invalidateQueries({ queryKey: keys.store() });
      }}
    >
      <div className="fields">
        <TextInput label="Lies at" data-autofocus autoFocus {...form.field('place')} />
        {isPart && (
          <>
            <Select
              label="Kept for"
              data={[{ value: '', label: 'no job' }, ...jobs]}
              searchable
              onSearchChange={setSaid}
              allowDeselect={false}
              {...form.field('forJob')}
            />
            <Select
              label="What became of it"
              data={partFates.map((value) => ({ value, label: partFateWords[value] }))}
              allowDeselect={false}
              {...form.field('fate')}
            />
            {gone.includes(form.values.fate) && (
              <>
                <TextInput label="Who has it now" {...form.field('goneTo')} />
                <TextInput label="Note" placeholder="why it suits nobody here" {...form.field('note')} />
              </>
            )}
          </>
        )}
      </div>
    </Form>
  );
}

function Row({ thing, open, toggle }: { thing: Stored; open: boolean; toggle: () => void }) {
  const { mayWrite } = useRights();
  return (
    <li>
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
    </li>
  );
}

/** All that lies in one place goes to another. */
export function MovePlaceForm({ from, close }: { from: string; close: (to?: string) => void }) {
  const client = useQueryClient();
  const form = useForm({
    draft: `store:move:${from}`,
    initial: { to: '' },
    command: movePlace,
    sent: (v) => ({ from, to: v.to }),
  });
  return (
    <FormDialog
      title={`All of ${from} moves`}
      submit="It lies there now"
      of={form}
      close={() => close()}
      send={async (body) => {
        await command(movePlace, { body }, { label: `all of ${from} moved` });
        await client.invalidateQueries({ queryKey: keys.store() });
        close(form.values.to.trim());
      }}
    >
      <TextInput label="To" placeholder="shelf D1" data-autofocus {...form.field('to')} />
    </FormDialog>
  );
}

/** The store: where everything lies that came off a car or waits for one. */
export function StorePage() {
  const [params, setParams] = useSearchParams();
  const { mayWrite } = useRights();
  const [typed, setTyped] = useState(params.get('q') ?? '');
  const [q] = useDebouncedValue(typed.trim(), 150);
  const place = params.get('at') ?? '';
  const all = params.get('all') === 'yes';
  const [open, setOpen] = useState<string>();
  const [moving, setMoving] = useState(false);
  const things = useQuery({
    queryKey: keys.store({ q, place, all }),
    queryFn: ({ signal }) =>
      call(listStore, { query: { q, all: String(all), ...(place === '' ? {} : { place }) }, signal }),
    placeholderData: keepPreviousData,
  });
  const places = useQuery({ queryKey: [...keys.store(), 'places'], queryFn: () => call(listPlaces) });
  const set = (key: string, value: string): void => {
    const next = new URLSearchParams(params);
    if (value === '') next.delete(key);
    else next.set(key, value);
    setParams(next, { replace: true });
  };
  const rows = things.data?.things ?? [];
  return (
    <div className="page">
      <div className="page-head">
        <h1>Store</h1>
        <span className="quiet">Parts, bags and units: where each lies, for which job it is kept</span>
        <span className="right">
          <TextInput
            aria-label="Find what lies in the shop"
            placeholder="three letters, a label, a place"
            w={270}
            value={typed}
            onChange={(e) => setTyped(e.currentTarget.value)}
          />
        </span>
      </div>
      {(places.data?.places.length ?? 0) > 0 && (
        <ul className={styles['places']} aria-label="Places of the shop">
          {places.data!.places.map((p) => (
            <li key={p.place}>
              <button
                type="button"
                aria-pressed={place === p.place}
                onClick={() => set('at', place === p.place ? '' : p.place)}
              >
                <b>{p.place}</b>
                <span className="mono">{p.things}</span>
                <small className="quiet">since {fromToday(p.oldest)}</small>
              </button>
            </li>
          ))}
        </ul>
      )}
      <div className="counts">
        <button type="button" aria-pressed={!all} onClick={() => set('all', '')}>
          Here
        </button>
        <button type="button" aria-pressed={all} onClick={() => set('all', 'yes')}>
          Also what is gone or built in
        </button>
        {place !== '' && mayWrite && (
          <Button variant="default" onClick={() => setMoving(true)}>
            Move all of {place}
          </Button>
        )}
      </div>
      {things.isPending && <Loading />}
      {things.isError && !things.data && (
        <Failed sentence={sentenceOf(things.error)} again={() => void things.refetch()} />
      )}
      <ul className="rows panel" aria-label="What lies here">
        {rows.map((t) => {
          const key = `${t.sort}:${t.id}`;
          return <Row key={key} thing={t} open={open === key} toggle={() => setOpen(open === key ? undefined : key)} />;
        })}
      </ul>
      {things.data && rows.length === 0 && (
        <Empty title="Nothing lies there">
          {q === '' && place === ''
            ? 'A part that is ticked off a harvest list comes here, and a bag that is written.'
            : 'No part, bag or unit has these words in that place. Look also among what is gone.'}
        </Empty>
      )}
      {things.data?.more && <p className="quiet">Only the first hundred are shown: say more words, or a place.</p>}
      {moving && (
        <MovePlaceForm
          from={place}
          close={(to) => {
            setMoving(false);
            if (to) set('at', to);
          }}
        />
      )}
    </div>
  );
}
