import { useStep } from './useStep.ts';
import type { Placed, StepActs } from './useStep.ts';
import { useJob } from '../sheet/index.ts';
import { Trouble, useChanged } from '../ui/index.ts';
import { CountFasteners } from './CountFasteners.tsx';
import { StepAsk } from './StepAsk.tsx';
import { StepHeld, StepMore, StepRecord } from './StepMore.tsx';
import { minutesWords, statusSigns, statusWords } from './step-words.ts';

/** The dialog of whatever is asked about a step. */
export function StepAsked({ placed, acts }: { placed: Placed; acts: StepActs }) {
  if (!acts.asking) return null;
  const { def } = placed.line;
  return (
    <StepAsk
      what={acts.asking}
      caution={def.caution}
      against={acts.against}
      harm={acts.harm}
      gives={placed.pull.states.filter((s) => s.givenBy.includes(def.id)).map((s) => s.id)}
      wantsFound={def.wantsFound === true}
      write={acts.write}
      busy={acts.put.isPending}
      close={() => acts.ask(undefined)}
    />
  );
}

/** What else may be said of a step than that it is begun or done. */
export function StepElse({ placed, acts }: { placed: Placed; acts: StepActs }) {
  const { title } = placed.line.def;
  const { status } = placed.state;
  return (
    <>
      {status === 'on-it' && (
        <button
          type="button"
          className="plain-button small bare"
          aria-label={`Hand over: ${title}`}
          onClick={() => acts.ask('hand-over')}
        >
          Hand over
        </button>
      )}
      {['free', 'held', 'unmet'].includes(status) && (
        <button
          type="button"
          className="plain-button small bare"
          aria-label={`Not needed: ${title}`}
          onClick={() => acts.ask('waive')}
        >
          Not needed
        </button>
      )}
    </>
  );
}

/** The count of a group of fasteners, while somebody is at it. */
export function StepCount({ placed, acts }: { placed: Placed; acts: StepActs }) {
  const { def } = placed.line;
  if (!def.fasteners || placed.state.status !== 'on-it') return null;
  return (
    <CountFasteners
      title={def.title}
      way={def.fasteners}
      count={placed.record?.count}
      write={(count) => acts.write('on-it', { count })}
    />
  );
}

/** One step of the chain: the square ticks, the title opens. */
export function StepRow({
  placed,
  at,
  select,
  open,
}: {
  placed: Placed;
  /** It is the one that keys speak of. */
  at: boolean;
  select: () => void;
  open: boolean;
}) {
  const { mayWrite } = useJob();
  const acts = useStep(placed);
  const { line, state, record } = placed;
  const { def } = line;
  const { status } = state;
  const ticks = acts.mayFinish || acts.mayUndo;
  const cameFree = useChanged(status) && status === 'free';
  const verb = acts.mayUndo ? 'Undo' : acts.against.length > 0 ? 'Done anyway' : 'Done';
  return (
    <li className={`step ${status}${at ? ' at' : ''}${cameFree ? ' moves' : ''}`} id={def.id}>
      <button
        type="button"
        className="tick"
        aria-label={`${verb}: ${def.title}`}
        disabled={!mayWrite || !ticks || acts.put.isPending}
        data-key="x"
        onClick={acts.mayUndo ? acts.undo : acts.finish}
      >
        <span className="mark" aria-hidden="true">
          {statusSigns[status]}
        </span>
      </button>
      <div>
        <button type="button" className="title" aria-expanded={open} data-key="row" onClick={select}>
          {def.title} <span className="state-word">{statusWords[status]}</span>
          {record?.count && (
            <span className="tag mono">
              {record.count.done} of {record.count.of} {def.fasteners}
            </span>
          )}
          {placed.minutes && <span className="meta"> {minutesWords(placed.minutes)}</span>}
        </button>
        <StepHeld {...placed} />
        {def.caution && status !== 'done' && <p className="caution">{def.caution}</p>}
        <StepRecord {...placed} />
        <StepCount placed={placed} acts={acts} />
        <Trouble of={acts.put} />
        {open && (
          <>
            <StepMore {...placed} />
            {mayWrite && status !== 'on-it' && (
              <div className="row-actions">
                <StepElse placed={placed} acts={acts} />
              </div>
            )}
          </>
        )}
      </div>
      {mayWrite && (
        <div className="actions">
          {acts.mayStart && (
            <button
              type="button"
              className="plain-button small"
              aria-label={`${status === 'other-way' ? 'This way instead' : 'Start'}: ${def.title}`}
              data-key="s"
              disabled={acts.put.isPending}
              onClick={acts.start}
            >
              {status === 'other-way' ? 'This way instead' : 'Start'}
            </button>
          )}
          {status === 'on-it' && <StepElse placed={placed} acts={acts} />}
        </div>
      )}
      <StepAsked placed={placed} acts={acts} />
    </li>
  );
}
