import { Button } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { notASchool, schoolEffects, schoolQuestions, schoolSides } from '@bay/core/schools';
import { chooseSchool, readSchools } from '@bay/contract/schools';
import { call, keys, newId, sentenceOf, useRights } from '../api/index.ts';
import { columns, Failed, FindIn, Loading, Trouble, useNarrow } from '../ui/index.ts';

const sideOf = (id: string) => schoolSides.find((s) => s.id === id);
const changes = new Set(schoolEffects.map((e) => e.id));

/** Where practitioners disagree: the shop picks a side once, with the reasons of every side. */
export function SchoolsPage() {
  const client = useQueryClient();
  const { isManager } = useRights();
  const schools = useQuery({ queryKey: keys.schools, queryFn: () => call(readSchools) });
  const [open, setOpen] = useState<string>();
  const choosing = useMutation({
    mutationFn: (v: { question: string; side: string }) =>
      call(chooseSchool, { params: { question: v.question }, body: { commandId: newId(), side: v.side } }),
    onSuccess: (reply) => client.setQueryData(keys.schools, reply),
  });
  const list = useNarrow(
    schoolQuestions,
    (q) => `${q.question} ${q.sides.map((s) => sideOf(s.id)?.standsFor ?? '').join(' ')}`,
  );
  if (schools.isPending)
    return (
      <div className="page">
        <Loading as="panels" />
      </div>
    );
  if (schools.isError && !schools.data)
    return (
      <div className="page">
        <Failed sentence={sentenceOf(schools.error)} again={() => void schools.refetch()} />
      </div>
    );
  const { chosen } = schools.data;
  return (
    <div className="page">
      <div className="page-head">
        <h1>The shop's schools</h1>
        <span className="quiet">
          Where good people disagree, the shop takes one side; a job may differ, with a reason.
        </span>
      </div>
      <Trouble of={choosing} />
      <div className="list-head">
        <FindIn label="Find a question" value={list.sought} set={list.set} groups={[]} />
      </div>
      {list.none && <p className="quiet">{list.none}</p>}
      <ul className="rows panel">
        {list.shown.map((q) => {
          const side = chosen[q.id] ?? q.defaultSide;
          const acts = q.sides.some((s) => changes.has(s.id));
          return (
            <li key={q.id}>
              <button
                type="button"
                className="row-button stacks"
                style={columns('minmax(0, 1.3fr) minmax(0, 1fr) 130px')}
                aria-expanded={open === q.id}
                onClick={() => setOpen(open === q.id ? undefined : q.id)}
              >
                <span>{q.question}</span>
                <b>{sideOf(side)?.standsFor ?? side}</b>
                <span className="quiet">{chosen[q.id] ? "the shop's" : 'default'}</span>
              </button>
              {open === q.id && (
                <div className="card-open">
                  <p className="quiet">
                    Default: {q.defaultWords}. Why: {q.why}.{' '}
                    {acts ? 'Plans follow this choice.' : 'Shown as advice; no line of a plan follows it yet.'}
                  </p>
                  <div className="grid-2" style={{ marginTop: 10 }}>
                    {q.sides.map((s) => {
                      const words = sideOf(s.id);
                      return (
                        <div
                          key={s.id}
                          className="panel"
                          style={{ marginBottom: 0, borderColor: s.id === side ? 'var(--bay)' : undefined }}
                        >
                          <h3>{words?.standsFor ?? s.label}</h3>
                          {words && (
                            <>
                              <p>
                                <b>For it:</b> {words.reasons}
                              </p>
                              <p>
                                <b>Suits:</b> {words.suits}
                              </p>
                              <p>
                                <b>Weak:</b> {words.weak}
                              </p>
                              <p className="quiet">
                                <b>The plan:</b> {words.changes}
                              </p>
                            </>
                          )}
                          {s.id === chosen[q.id] ? (
                            <div className="row-actions">
                              <span className="tag teal">the shop's side</span>
                              {isManager && (
                                <Button variant="subtle" onClick={() => choosing.mutate({ question: q.id, side: '' })}>
                                  Back to the default
                                </Button>
                              )}
                            </div>
                          ) : (
                            isManager && (
                              <div className="row-actions">
                                <Button
                                  variant="default"
                                  loading={choosing.isPending}
                                  onClick={() => choosing.mutate({ question: q.id, side: s.id })}
                                >
                                  Take this side
                                </Button>
                              </div>
                            )
                          )}
                        </div>
                      );
                    })}
                  </div>
                </div>
              )}
            </li>
          );
        })}
      </ul>
      <div className="panel">
        <h2>Not a matter of school</h2>
        <ul>
          {notASchool.map((n) => (
            <li key={n.id} style={{ padding: '4px 0' }}>
              {n.floor} <span className="quiet">({n.because})</span>
            </li>
          ))}
        </ul>
      </div>
    </div>
  );
}
