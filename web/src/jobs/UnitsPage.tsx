import { Button, TextInput } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { factDef, showFact } from '@bay/core/facts';
import { listUnits, moveUnit, unitFacts } from '@bay/contract/jobs';
import type { Unit } from '@bay/contract/jobs';
import { call, newId, sentenceOf } from '../api/index.ts';
import { columns, dayWords, Failed, Loading, Trouble } from '../ui/index.ts';
import { useRights } from './useJob.ts';

function Card({ unit }: { unit: Unit }) {
  const client = useQueryClient();
  const { mayWrite } = useRights();
  const [place, setPlace] = useState(unit.place);
  const facts = useQuery({ queryKey: ['unit-facts', unit.id], queryFn: () => call(unitFacts, { params: { unitId: unit.id } }) });
  const records = facts.data?.records ?? [];
  const found = records.filter((r) => r.kind === 'finding');
  const tests = records.filter((r) => r.kind === 'sheet' || r.kind === 'torque');
  const moving = useMutation({
    mutationFn: (leaveJobId: string | undefined) =>
      call(moveUnit, { params: { unitId: unit.id }, body: { commandId: newId(), place, job: null, ...(leaveJobId ? { leaveJobId } : {}) } }),
    onSuccess: () => client.invalidateQueries({ queryKey: ['units'] }),
  });
  return (
    <div className="card-open">
      <div className="row-actions" style={{ marginTop: 0, alignItems: 'end' }}>
        <TextInput label="Where it is" value={place} onChange={(e) => setPlace(e.currentTarget.value)} disabled={!mayWrite} />
        {mayWrite && (
          <Button variant="default" onClick={() => moving.mutate(undefined)} disabled={place.trim() === '' || place === unit.place} loading={moving.isPending}>
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
              <b>{String(r.data['what'])}</b> <span className={`tag ${r.data['settled'] ? 'teal' : 'ochre'}`}>{r.data['settled'] ? 'Settled' : 'Open'}</span>{' '}
              <span className="quiet">
                {r.by}, {dayWords(r.at)}
              </span>
            </li>
          ))}
        </ul>
      )}
      {tests.length > 0 && (
        <p className="quiet">
          {tests.filter((r) => r.kind === 'sheet').length} measured places and {tests.filter((r) => r.kind === 'torque').length} torques hang on it.
        </p>
      )}
      {facts.data?.facts.length === 0 && <p className="quiet">Nothing yet. Facts typed on a job hang on the unit and go with it.</p>}
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

/** Every car, engine, gearbox, computer and loom of the shop: an identity of its own, wherever it sits. */
export function UnitsPage() {
  const units = useQuery({ queryKey: ['units'], queryFn: () => call(listUnits) });
  const [params, setParams] = useSearchParams();
  const [filter, setFilter] = useState('');
  const open = params.get('open');
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
  const shown = units.data.units.filter((u) => `${u.name} ${u.identity ?? ''} ${u.place} ${u.kind}`.toLowerCase().includes(filter.trim().toLowerCase()));
  return (
    <div className="page">
      <div className="page-head">
        <h1>Units</h1>
        <span className="quiet">Facts and findings hang on the unit, not on the car it sits in.</span>
        <span className="right">
          <TextInput aria-label="Find a unit" placeholder="Find a unit" value={filter} onChange={(e) => setFilter(e.currentTarget.value)} />
        </span>
      </div>
      <ul className="rows panel">
        {shown.map((u) => (
          <li key={u.id}>
            <button
              type="button"
              className="row-button stacks"
              style={columns('90px minmax(0, 1.4fr) minmax(0, 1fr) minmax(0, 1fr)')}
              aria-expanded={open === u.id}
              onClick={() => setParams(open === u.id ? {} : { open: u.id }, { replace: true })}
            >
              <span className="tag">{u.kind}</span>
              <span>
                <b>{u.name}</b> <span className="quiet mono">{u.identity}</span>
              </span>
              <span>{u.place}</span>
              <span className="quiet">
                {u.jobs.length === 0 ? 'on no job' : u.jobs.map((j) => `job ${j.number} as ${j.role.replaceAll('-', ' ')}`).join(', ')}
              </span>
            </button>
            {open === u.id && (
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
        ))}
      </ul>
    </div>
  );
}
