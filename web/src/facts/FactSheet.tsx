import { counted } from '@bay/core/units';
import { Button } from '@mantine/core';
import { lazy, Suspense, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { factCatalogue, showPart } from '@bay/core/facts';
import type { FactDef } from '@bay/core/facts';
import { titleOf } from '@bay/core/plan';
import type { FactRow } from '@bay/contract/facts';
import { useJob } from '../sheet/index.ts';
import { UnitForm } from '../units/index.ts';
import { dayWords, FindIn, inGroups, Tabs } from '../ui/index.ts';
import { FactEditor, sourceOf } from './FactEditor.tsx';
import { FactWalk, useAwaited } from './FactWalk.tsx';
import { usualBearer } from './useFact.ts';
import type { Bearer } from './useFact.ts';

// Reading and writing tables is loaded with the sheet, not with the job.
const FactTable = lazy(async () => ({ default: (await import('./FactTable.tsx')).FactTable }));

const subjects: readonly { id: string; title: string; bearer: Bearer; of: FactDef['subject'] }[] = [
  { id: 'recipient', title: 'Car', bearer: 'car', of: 'recipient' },
  { id: 'engine', title: 'Engine going in', bearer: 'engine', of: 'engine' },
  { id: 'gearbox', title: 'Gearbox', bearer: 'gearbox', of: 'gearbox' },
  { id: 'donor', title: 'Donor', bearer: 'donor', of: 'donor' },
  { id: 'choice', title: 'Choices', bearer: 'job', of: 'choice' },
  { id: 'own-engine', title: 'Engine coming out', bearer: 'own-engine', of: 'engine' },
  { id: 'own-gearbox', title: 'Gearbox coming out', bearer: 'own-gearbox', of: 'gearbox' },
];

function Value({ def, row }: { def: FactDef; row: FactRow }) {
  return (
    <span>
      {def.parts
        .filter((p) => row.parts[p.key] !== undefined)
        .map((p) => {
          const shown = showPart(def.id, p.key, row.parts[p.key]!, row.typed[p.key]);
          return (
            <span key={p.key} style={{ display: 'inline-block', marginRight: 14 }}>
              {p.label && <span className="quiet">{p.label.toLowerCase()} </span>}
              <span className="mono">{shown.main}</span>{' '}
              {shown.beside && <small className="quiet mono">{shown.beside}</small>}
            </span>
          );
        })}
    </span>
  );
}

/** The fact sheet: what is known, what is not, and which verdicts wait for it. */
export default function FactSheet() {
  const { sheet, plan, mayWrite } = useJob();
  const [params, setParams] = useSearchParams();
  const asked = params.get('of');
  const known = subjects.find((s) => s.id === asked);
  const subject = known ?? subjects[0]!;
  const [filter, setFilter] = useState('');
  const [missingOnly, setMissingOnly] = useState(false);
  const openId = params.get('fact');
  const bearerId = subject.bearer === 'job' ? sheet.job.id : sheet.units.find((u) => u.role === subject.bearer)?.id;
  const rows = useMemo(
    () => new Map(sheet.facts.filter((f) => f.bearerId === bearerId).map((f) => [f.factId, f])),
    [sheet.facts, bearerId],
  );
  const defs = factCatalogue.filter((d) => d.subject === subject.of);
  const shown = defs.filter(
    (d) =>
      (!missingOnly || !rows.has(d.id)) && `${d.label} ${d.id}`.toLowerCase().includes(filter.trim().toLowerCase()),
  );
  const groups = inGroups(shown, (d) => d.group);
  const [walking, setWalking] = useState(false);
  const awaited = useAwaited();
  const open = (fact: string | undefined) => {
    const next = new URLSearchParams(params);
    if (fact) next.set('fact', fact);
    else next.delete('fact');
    setParams(next, { replace: true });
  };
  return (
    <>
      <div className="bench-head">
        <h2>Facts</h2>
        <span className="quiet">
          {rows.size} of {defs.length} known about the {subject.title.toLowerCase()}
        </span>
        <span className="right">
          {bearerId && (
            <Suspense fallback={null}>
              <FactTable
                name={`facts ${sheet.job.number} ${subject.title.toLowerCase()}`}
                defs={defs}
                rows={rows}
                subject={subject.of}
                bearer={subject.bearer}
                mayWrite={mayWrite}
              />
            </Suspense>
          )}
          {mayWrite && awaited[0] && (
            <Button onClick={() => setWalking(true)}>
              Next fact, {counted(awaited[0].lines, 'line waits', 'lines wait')} for it
            </Button>
          )}
        </span>
      </div>
      {asked !== null && !known && (
        <p className="notice ochre-notice" role="status">
          There are no facts of "{asked}". These are of the {subject.title.toLowerCase()}.
        </p>
      )}
      <Tabs
        names={Object.fromEntries(subjects.map((s) => [s.id, s.title]))}
        at={subject.id}
        to={(of) => setParams({ of }, { replace: true })}
      >
        {!bearerId ? (
          <>
            <p className="notice ochre-notice">
              This job has no {subject.title.toLowerCase()} yet; its facts hang on it.
            </p>
            {mayWrite && subject.bearer !== 'job' && (
              <UnitForm key={subject.id} jobId={sheet.job.id} role={subject.bearer} label={subject.title} />
            )}
          </>
        ) : (
          <>
            <div className="list-head">
              <FindIn label="Find a fact" value={filter} set={setFilter} groups={groups} />
              <button
                type="button"
                className="plain-button"
                aria-pressed={missingOnly}
                onClick={() => setMissingOnly(!missingOnly)}
              >
                {missingOnly ? 'Show all' : 'Only what is not known'}
              </button>
            </div>
            {groups.map((group) => (
              <section key={group.id} id={group.id}>
                <h3 className="group-title">{group.name}</h3>
                <ul className="rows">
                  {group.items.map((def) => {
                    const row = rows.get(def.id);
                    const assumed = !row && subject.bearer === usualBearer(def.id) ? plan.facts.get(def.id) : undefined;
                    const waiting = row ? [] : (plan.waitingFor.get(def.id) ?? []);
                    return (
                      <li key={def.id}>
                        <button
                          type="button"
                          className="row-button"
                          style={{ gridTemplateColumns: 'minmax(150px, 0.8fr) minmax(0, 2fr)' }}
                          onClick={() => open(def.id)}
                        >
                          <b>{def.label}</b>
                          <span>
                            {row ? (
                              <>
                                <Value def={def} row={row} />
                                <small className="quiet">
                                  {sourceOf(def, row.source).toLowerCase()}, {row.by}, {dayWords(row.at)}
                                </small>
                              </>
                            ) : assumed ? (
                              <span className="quiet">
                                {assumed.source === 'inferred' ? 'inferred' : 'taken as'}{' '}
                                {String(Object.values(assumed.parts)[0]).replaceAll('-', ' ')},{' '}
                                {assumed.source === 'inferred' ? `since ${assumed.note}` : 'by the school chosen'}
                              </span>
                            ) : (
                              <span className="quiet">
                                not known
                                {waiting.length > 0 && (
                                  <span className="ochre">
                                    ,{' '}
                                    {waiting.length === 1
                                      ? `"${titleOf(waiting[0]!)}" waits`
                                      : `${counted(waiting.length, 'line waits', 'lines wait')}`}{' '}
                                    for it
                                  </span>
                                )}
                              </span>
                            )}
                          </span>
                        </button>
                      </li>
                    );
                  })}
                </ul>
              </section>
            ))}
          </>
        )}
        {walking && <FactWalk close={() => setWalking(false)} />}
        {openId && bearerId && (
          <FactEditor key={openId} factId={openId} bearer={subject.bearer} close={() => open(undefined)} />
        )}
      </Tabs>
    </>
  );
}
