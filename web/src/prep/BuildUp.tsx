import { twoPeopleAt } from '@bay/core/crew';
import { buildStates, buildSteps } from '@bay/core/prep';
import { useJob, usePut, useRecords } from '../sheet/index.ts';
import { dayWords, Trouble } from '../ui/index.ts';

const byId = new Map(buildSteps.map((s) => [s.id, s]));

/** The order of building up, with what each step waits for. */
export function BuildUp() {
  const { mayWrite } = useJob();
  const tasks = useRecords('task');
  const put = usePut();
  return (
    <>
      <Trouble of={put} />
      <ol>
        {buildStates(tasks).map(({ id, status, heldBy }) => {
          const step = byId.get(id)!;
          const free = status === 'free';
          return (
            <li key={id} className={`step ${status}`}>
              <span className="mark" aria-hidden="true">
                {status === 'done' ? '✓' : status === 'on-it' ? '›' : ''}
              </span>
              <div>
                <p className="title">{step.title}</p>
                <p className="meta">
                  {step.how}. Why here: {step.why}
                </p>
                {status === 'held' && (
                  <p className="meta ochre">
                    Held: after {heldBy.map((f) => byId.get(f)!.short ?? byId.get(f)!.title).join('; ')}
                  </p>
                )}
                {twoPeopleAt(id) && status !== 'done' && <p className="meta ochre">{twoPeopleAt(id)}</p>}
                {step.caution && status !== 'done' && <p className="caution">{step.caution}</p>}
                {status !== 'free' && status !== 'held' && tasks[id]?.at && (
                  <p className="meta">
                    {tasks[id].by}, {dayWords(tasks[id].at)}
                  </p>
                )}
              </div>
              {mayWrite && (
                <div className="actions">
                  {free && (
                    <button
                      type="button"
                      className="plain-button small"
                      onClick={() => put.mutate({ kind: 'task', key: id, data: { status: 'on-it' } })}
                    >
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
                  {status !== 'free' && status !== 'held' && (
                    <button
                      type="button"
                      className="plain-button small bare"
                      aria-label={`Undo: ${step.title}`}
                      onClick={() => put.mutate({ kind: 'task', key: id, data: { status: 'open' } })}
                    >
                      Undo
                    </button>
                  )}
                  {(status === 'free' || status === 'held') && (
                    <button
                      type="button"
                      className="plain-button small bare"
                      aria-label={`Not needed: ${step.title}`}
                      onClick={() =>
                        put.mutate({ kind: 'task', key: id, data: { status: 'waived', note: 'not opened so far' } })
                      }
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
