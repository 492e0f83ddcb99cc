import { buildSteps } from '@bay/core/prep';
import { orderSteps } from '@bay/core/plan';
import type { TaskRecord } from '@bay/core/pull';
import { useJob, usePut, useRecords } from '../jobs/useJob.ts';
import { dayWords, Trouble } from '../ui/index.ts';

const ordered = orderSteps(
  buildSteps.map((s, i) => ({ id: s.id, rank: i, after: s.after, before: [], needs: [] })),
  [],
);
const byId = new Map(buildSteps.map((s) => [s.id, s]));

/** The order of building up, with what each step waits for. */
export function BuildUp() {
  const { mayWrite } = useJob();
  const tasks = useRecords<TaskRecord>('task');
  const put = usePut();
  const closed = (id: string): boolean => ['done', 'waived'].includes(tasks[id]?.status ?? 'open');
  return (
    <>
      <Trouble of={put} />
      <ol>
        {ordered.ids.map((id) => {
          const step = byId.get(id)!;
          const status = tasks[id]?.status ?? 'open';
          const heldBy = (ordered.before.get(id) ?? []).map((e) => e.from).filter((f) => !closed(f));
          const free = status === 'open' && heldBy.length === 0;
          return (
            <li key={id} className={`step ${status === 'open' ? (free ? 'free' : 'held') : status}`}>
              <span className="mark" aria-hidden="true">
                {status === 'done' ? '✓' : status === 'on-it' ? '›' : ''}
              </span>
              <div>
                <p className="title">{step.title}</p>
                <p className="meta">
                  {step.how}. Why here: {step.why}
                </p>
                {heldBy.length > 0 && status === 'open' && (
                  <p className="meta ochre">Held: after {heldBy.map((f) => byId.get(f)!.title.split(/[:,;]/)[0]).join('; ')}</p>
                )}
                {step.caution && status !== 'done' && <p className="caution">{step.caution}</p>}
                {status !== 'open' && tasks[id]?.at && (
                  <p className="meta">
                    {tasks[id].by}, {dayWords(tasks[id].at)}
                  </p>
                )}
              </div>
              {mayWrite && (
                <div className="actions">
                  {free && (
                    <button type="button" className="plain-button small" onClick={() => put.mutate({ kind: 'task', key: id, data: { status: 'on-it' } })}>
                      Start
                    </button>
                  )}
                  {(free || status === 'on-it') && (
                    <button
                      type="button"
                      className="plain-button small teal"
                      aria-label={`Done: ${step.title}`}
                      onClick={() => put.mutate({ kind: 'task', key: id, data: { status: 'done' } })}
                    >
                      Done
                    </button>
                  )}
                  {status !== 'open' && (
                    <button
                      type="button"
                      className="plain-button small bare"
                      aria-label={`Undo: ${step.title}`}
                      onClick={() => put.mutate({ kind: 'task', key: id, data: { status: 'open' } })}
                    >
                      Undo
                    </button>
                  )}
                  {status === 'open' && (
                    <button
                      type="button"
                      className="plain-button small bare"
                      aria-label={`Not needed: ${step.title}`}
                      onClick={() => put.mutate({ kind: 'task', key: id, data: { status: 'waived', note: 'not opened so far' } })}
                    >
                      Not needed
                    </button>
                  )}
                </div>
              )}
            </li>
          );
        })}
      </ol>
    </>
  );
}
