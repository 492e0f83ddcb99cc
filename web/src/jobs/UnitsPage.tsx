import { counted } from '@bay/core/units';
import { Button, TextInput } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { keepPreviousData, useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { factDef, showFact } from '@bay/core/facts';
import { unitKinds } from '@bay/core/jobs';
import type { UnitKind } from '@bay/core/jobs';
import { countUnits, listUnits, moveUnit, readUnit, unitFacts } from '@bay/contract/jobs';
import type { Unit } from '@bay/contract/jobs';
import { call, keys, newId, sentenceOf, useRights } from '../api/index.ts';
import { columns, dayWords, Failed, Loading, Trouble } from '../ui/index.ts';

function Card({ unit }: { unit: Unit }) {
  const client = useQueryClient();
  const { mayWrite } = useRights();
  const [place, setPlace] = useState(unit.place);
  const facts = useQuery({
    queryKey: keys.unitFacts(unit.id),
    queryFn: () => call(unitFacts, { params: { unitId: unit.id } }),
  });
  const records = facts.data?.records ?? [];
  const found = records.filter((r) => r.kind === 'finding');
  const tests = records.filter((r) => r.kind === 'sheet' || r.kind === 'torque');
  const moving = useMutation({
    mutationFn: (leaveJobId: string | undefined) =>
      call(moveUnit, {
        params: { unitId: unit.id },
        body: { commandId: newId(), place, job: null, ...(leaveJobId ? { leaveJobId } : {}) },
      }),
    onSuccess: () => client.invalidateQueries({ queryKey: keys.units() }),
  });
  return (
    <div className="card-open">
      <div className="row-actions" style={{ marginTop: 0, alignItems: 'end' }}>
        <TextInput
          label="Where it is"
          value={place}
          onChange={(e) => setPlace(e.currentTarget.value)}
          disabled={!mayWrite}
        />
        {mayWrite && (
          <Button
            variant="default"
            onClick={() => moving.mutate(undefined)}
            disabled={place.trim() === '' || place === unit.place}
            loading={moving.isPending}
          >
            It is there now
          </Button>
        )}
        {mayWrite &&
          unit.kind !== 'car' &&
          unit.jobs.map((j) => (
            <Button key={j.jobId} variant="subtle" onClick={() => moving.mutate(j.jobId)}>
              Take off job {j.number}, to this place
            </Button>
          ))}
      </div>
      <Trouble of={moving} />
      <h3 style={{ marginTop: 12 }}>What is known of it</h3>
      {found.length > 0 && (
        <ul className="rows">
          {found.map((r) => (
            <li key={r.key} style={{ padding: '6px 0' }}>
              <b>{r.data.what}</b>{' '}
              <span className={`tag ${r.data.settled ? 'teal' : 'ochre'}`}>{r.data.settled ? 'Settled' : 'Open'}</span>{' '}
              <span className="quiet">
                {r.by}, {dayWords(r.at)}
              </span>
            </li>
          ))}
        </ul>
      )}
      {tests.length > 0 && (
        <p className="quiet">
          {tests.filter((r) => r.kind === 'sheet').length} measured places and{' '}
          {counted(tests.filter((r) => r.kind === 'torque').length, 'torque hangs', 'torques hang')} on it.
        </p>
      )}
      {facts.data?.facts.length === 0 && (
        <p className="quiet">Nothing yet. Facts typed on a job hang on the unit and go with it.</p>
      )}
      <table className="data">
        <tbody>
          {(facts.data?.facts ?? []).map((f) => (
            <tr key={f.factId}>
              <td>{factDef(f.factId).label}</td>
              <td className="mono">{showFact(f.factId, f)}</td>
              <td className="quiet">
                {f.source}, {f.by}, {dayWords(f.at)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

const kindWords: Record<UnitKind, readonly [one: string, many: string]> = {
  car: ['car', 'cars'],
  engine: ['engine', 'engines'],
  gearbox: ['gearbox', 'gearboxes'],
  computer: ['computer', 'computers'],
  loom: ['loom', 'looms'],
};
const kindWord = (kind: UnitKind, count: number | undefined): string => kindWords[kind][count === 1 ? 0 : 1];

function UnitRow({ unit: u, open, toggle }: { unit: Unit; open: boolean; toggle: () => void }) {
  return (
    <li>
      <button
        type="button"
        className="row-button stacks"
        style={columns('90px minmax(0, 1.4fr) minmax(0, 1fr) minmax(0, 1fr)')}
        aria-expanded={open}
        onClick={toggle}
      >
        <span>
          <span className="tag">{u.kind}</span>
        </span>
        <span>
          <b>{u.name}</b> <span className="quiet mono">{u.identity}</span>
        </span>
        <span>{u.place}</span>
        <span className="quiet">
          {u.jobs.length === 0
            ? 'on no job'
            : u.jobs.map((j) => `job ${j.number} as ${j.role.replaceAll('-', ' ')}`).join(', ')}
        </span>
      </button>
      {open && (
        <>
          <Card unit={u} />
          {u.jobs.map((j) => (
            <Link key={j.jobId} to={`/jobs/${j.jobId}/scope`} style={{ marginRight: 12 }}>
              Open job {j.number}
            </Link>
          ))}
        </>
      )}
    </li>
  );
}

/** Every car, engine, gearbox, computer and loom of the shop: an identity of its own, wherever it sits. */
export function UnitsPage() {
  const [params, setParams] = useSearchParams();
  const [typed, setTyped] = useState('');
  const [q] = useDebouncedValue(typed.trim(), 200);
  const kind = unitKinds.find((k) => k === params.get('kind'));
  const open = params.get('open');
  const units = useInfiniteQuery({
    queryKey: keys.units({ q, kind }),
    queryFn: ({ pageParam, signal }) =>
      call(listUnits, { query: { q, ...(kind ? { kind } : {}), ...(pageParam ? { after: pageParam } : {}) }, signal }),
    initialPageParam: '',
    getNextPageParam: (page) => (page.more ? page.units.at(-1)?.id : undefined),
    placeholderData: keepPreviousData,
  });
  const counted = useQuery({ queryKey: [...keys.units(), 'counts'], queryFn: () => call(countUnits) });
  // A unit that a link opens may be far down the list: it is read by itself.
  const shown = units.data?.pages.flatMap((p) => p.units) ?? [];
  const apart = open !== null && units.data !== undefined && !shown.some((u) => u.id === open);
  const linked = useQuery({
    queryKey: keys.unit(open ?? ''),
    queryFn: () => call(readUnit, { params: { unitId: open! } }),
    enabled: apart,
  });
  if (units.isPending)
    return (
      <div className="page">
        <Loading />
      </div>
    );
  if (units.isError && !units.data)
    return (
      <div className="page">
        <Failed sentence={sentenceOf(units.error)} again={() => void units.refetch()} />
      </div>
    );
  const counts = counted.data?.counts;
  const set = (change: Record<string, string | null>): void => {
    const next = new URLSearchParams(params);
    for (const [key, value] of Object.entries(change))
      if (value === null) next.delete(key);
      else next.set(key, value);
    setParams(next, { replace: true });
  };
  const rows = apart && linked.data ? [linked.data.unit, ...shown] : shown;
  return (
    <div className="page">
      <div className="page-head">
        <h1>Units</h1>
        <span className="quiet">Facts and findings hang on the unit, not on the car it sits in.</span>
        <span className="right">
          <TextInput
            aria-label="Find a unit"
            placeholder="Find a unit"
            value={typed}
            onChange={(e) => setTyped(e.currentTarget.value)}
          />
        </span>
      </div>
      <div className="counts">
        {unitKinds.map((k) => (
          <button
            key={k}
            type="button"
            aria-pressed={kind === k}
            aria-label={`${counts?.[k] ?? ''} ${kindWord(k, counts?.[k])}`.trim()}
            onClick={() => set({ kind: kind === k ? null : k })}
          >
            <b>{counts?.[k] ?? ''}</b> {kindWord(k, counts?.[k])}
          </button>
        ))}
      </div>
      <ul className="rows panel">
        {rows.map((u) => (
          <UnitRow key={u.id} unit={u} open={open === u.id} toggle={() => set({ open: open === u.id ? null : u.id })} />
        ))}
      </ul>
      {rows.length === 0 && (
        <p className="quiet">No unit has these words. Look under another kind, or clear the search.</p>
      )}
      {units.hasNextPage && (
        <div className="row-actions">
          <Button variant="default" loading={units.isFetchingNextPage} onClick={() => void units.fetchNextPage()}>
            Show more units
          </Button>
        </div>
      )}
    </div>
  );
}
