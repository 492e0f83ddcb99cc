import { Button, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { twoPeopleAt } from '@bay/core/crew';
import { becauseWords } from '@bay/core/facts';
import { shortTitleOf, titleOf } from '@bay/core/plan';
import { stepStates, workStates } from '@bay/core/pull';
import type { PullLine, PullPlan, StepState, TaskRecord } from '@bay/core/pull';
import { useCrew } from '../api/index.ts';
import { History } from '../logbook/index.ts';
import { useJob, usePut, useRecords } from '../sheet/index.ts';
import { dayWords, Dialog, timeWords, Trouble } from '../ui/index.ts';

/** What usually gives a state: the steps that do, and what else does. */
const givers = (id: string): string => {
  const state = workStates.find((s) => s.id === id);
  return [...(state?.givenBy ?? []).map(shortTitleOf), ...(state?.givenWords ? [state.givenWords] : [])].join(', ');
};

const stateTitle = (id: string): string => workStates.find((s) => s.id === id)?.title ?? id;

const signs: Record<StepState['status'], string> = { done: '✓', waived: '–', 'on-it': '›', free: '', held: '' };
const words: Record<StepState['status'], string> = {
  done: 'Done',
  waived: 'Not needed',
  'on-it': 'On it',
  free: 'Ready',
  held: 'Held',
};

/** Steps whose next move can hurt: a confirm stands there. */
const dangerous = new Set([
  'rm-lift-50',
  'rm-mounts-free',
  'rm-fuel-open',
  'rm-hv-make-safe',
  'rm-hv-pack-out',
  'rm-split',
  'rm-subframe-loose',
]);

function heldWords(state: StepState): string {
  const after = state.heldBy.slice(0, 3).map(shortTitleOf);
  const more = state.heldBy.length > 3 ? ` and ${state.heldBy.length - 3} more` : '';
  const ended = state.ended.map((e) => `needs "${stateTitle(e.state)}", ended by ${shortTitleOf(e.by)}`);
  return [after.length > 0 ? `after ${after.join('; ')}${more}` : '', ...ended].filter(Boolean).join('. ');
}

type Write = (status: TaskRecord['status'], extra?: Record<string, unknown>) => void;

/** What is asked before a step is written: why not, to whom, or whether the danger was minded. */
function Asking({
  what,
  caution,
  write,
  busy,
  close,
}: {
  what: 'waive' | 'hand-over' | 'danger';
  caution: string | undefined;
  write: Write;
  busy: boolean;
  close: () => void;
}) {
  const crew = useCrew();
  const [text, setText] = useState('');
  const titles = { waive: 'Not needed here', 'hand-over': 'Hand over', danger: 'Before this one' };
  return (
    <Dialog close={close} title={titles[what]}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          if (what === 'danger') write('done');
          else if (text.trim() === '') return;
          else if (what === 'waive') write('waived', { note: text });
          else write('open', { handedToId: text });
        }}
      >
        {what === 'danger' ? (
          <>
            <p className="oxide" style={{ fontWeight: 600 }}>
              {caution}
            </p>
            <p className="quiet">The maker's manual, local code and licensed trades go first.</p>
          </>
        ) : what === 'waive' ? (
          <TextInput label="Why" value={text} onChange={(e) => setText(e.currentTarget.value)} data-autofocus />
        ) : (
          <>
            <Select
              label="To whom"
              data={(crew.data?.crew ?? []).map((p) => ({ value: p.id, label: p.name }))}
              value={text || null}
              onChange={(t) => setText(t ?? '')}
            />
            <p className="quiet">The step goes back to ready and the book says who takes it on.</p>
          </>
        )}
        <div className="row-actions">
          <Button type="submit" disabled={what !== 'danger' && text.trim() === ''} loading={busy}>
            {what === 'danger' ? 'Done, with that in mind' : 'Write it'}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}

function Step({
  line,
  state,
  record,
  recordKey,
}: {
  line: PullLine;
  state: StepState;
  record: TaskRecord | undefined;
  recordKey: string;
}) {
  const { sheet, plan, mayWrite } = useJob();
  const put = usePut();
  const [asking, setAsking] = useState<'waive' | 'hand-over' | 'danger'>();
  const { def } = line;
  const write = (status: TaskRecord['status'], extra: Record<string, unknown> = {}) =>
    put.mutate({ kind: 'task', key: recordKey, data: { status, ...extra } }, { onSuccess: () => setAsking(undefined) });
  const finish = () => (dangerous.has(def.id) ? setAsking('danger') : write('done'));
  return (
    <li className={`step ${state.status}`} id={def.id}>
      <span className="mark" aria-hidden="true">
        {signs[state.status]}
      </span>
      <div>
        <p className="title">
          {def.title} <span className="skip">{words[state.status]}</span>
        </p>
        <p className="meta">
          {def.minutes[0]}–{def.minutes[1]} min (estimate){def.support ? `. ${def.support}` : ''}
          {def.thenWait ? `. ${def.thenWait}` : ''}
          {def.onlyIf ? <span className="ochre">. Only if: {def.onlyIf}</span> : null}
        </p>
        {state.status === 'held' && <p className="meta ochre">Held: {heldWords(state)}</p>}
        {line.needs.length > 0 && (
          <p className="meta">Depends on {line.needs.map((id) => titleOf(id)).join(', ')}: not known yet</p>
        )}
        {line.because.length > 0 && (
          <p className="meta">Because {line.because.map((id) => becauseWords(id, plan.facts)).join(' · ')}</p>
        )}
        {twoPeopleAt(def.id) && state.status !== 'done' && <p className="meta ochre">{twoPeopleAt(def.id)}</p>}
        {def.needsWords && <p className="meta">Needs: {def.needsWords}</p>}
        {def.caution && state.status !== 'done' && <p className="caution">{def.caution}</p>}
        {record?.at && state.status !== 'free' && state.status !== 'held' && (
          <p className="meta">
            {words[state.status]}, {record.by}, {dayWords(record.at)} {timeWords(record.at)}
            {record.note ? `: ${record.note}` : ''}
          </p>
        )}
        <Trouble of={put} />
        {record && <History jobId={sheet.job.id} about={recordKey} title={def.title} />}
      </div>
      {mayWrite && (
        <div className="actions">
          {state.status === 'free' && (
            <button
              type="button"
              className="plain-button small"
              onClick={() => write('on-it')}
              disabled={put.isPending}
            >
              Start
            </button>
          )}
          {(state.status === 'free' || state.status === 'on-it') && (
            <button
              type="button"
              className="plain-button small teal"
              onClick={finish}
              disabled={put.isPending}
              aria-label={`Done: ${def.title}`}
            >
              Done
            </button>
          )}
          {state.status === 'on-it' && (
            <button type="button" className="plain-button small bare" onClick={() => setAsking('hand-over')}>
              Hand over
            </button>
          )}
          {(state.status === 'free' || state.status === 'held') && (
            <button
              type="button"
              className="plain-button small bare"
              onClick={() => setAsking('waive')}
              aria-label={`Not needed: ${def.title}`}
            >
              Not needed
            </button>
          )}
          {(state.status === 'done' || state.status === 'waived') && (
            <button
              type="button"
              className="plain-button small bare"
              onClick={() => write('open')}
              disabled={put.isPending}
              aria-label={`Undo: ${def.title}`}
            >
              Undo
            </button>
          )}
        </div>
      )}
      {asking && (
        <Asking
          what={asking}
          caution={def.caution}
          write={write}
          busy={put.isPending}
          close={() => setAsking(undefined)}
        />
      )}
    </li>
  );
}

/** Steps in their computed order, with what is free now, what holds the others, and what contradicts itself. */
export function StepList({ plan, prefix = '' }: { plan: PullPlan; prefix?: string }) {
  const tasks = useRecords('task');
  const own = Object.fromEntries(plan.lines.map((l) => [l.def.id, tasks[prefix + l.def.id]]));
  const states = stepStates(plan, own);
  const [only, setOnly] = useState<'all' | 'free' | 'open'>('free');
  const shown = plan.lines.filter((l) => {
    const s = states.get(l.def.id)!.status;
    return only === 'all' || (only === 'free' ? s === 'free' || s === 'on-it' : s !== 'done' && s !== 'waived');
  });
  const count = (...wanted: StepState['status'][]): number =>
    [...states.values()].filter((s) => wanted.includes(s.status)).length;
  const known = new Set(plan.lines.map((l) => prefix + l.def.id));
  const dropped = Object.entries(tasks).filter(
    ([key, t]) => key.startsWith(prefix === '' ? 'rm-' : prefix) && t.status === 'done' && !known.has(key),
  );
  return (
    <>
      {plan.contradictions.map((c) => (
        <div key={c.steps.join()} className="notice oxide-notice" role="alert">
          <b>This order contradicts itself.</b>{' '}
          {c.edges
            .map(
              (e) =>
                `${shortTitleOf(e.from)} before ${shortTitleOf(e.to)}${e.why.kind === 'state' ? ` (${e.why.how === 'ends' ? 'which ends' : 'which gives'} "${stateTitle(e.why.state)}")` : ''}`,
            )
            .join(', and ')}
          . Change a school or say which one is not needed.
        </div>
      ))}
      {plan.unmet.map((u) => (
        <div key={u.step + u.state} className="notice ochre-notice">
          "{shortTitleOf(u.step)}" needs "{stateTitle(u.state)}" and no step of this plan gives it. Usual:{' '}
          {givers(u.state)}.
        </div>
      ))}
      <div className="counts">
        {(
          [
            ['free', `${count('free', 'on-it')}`, 'ready or on it'],
            ['open', `${count('free', 'held', 'on-it')}`, 'open'],
            ['all', `${plan.lines.length}`, 'all'],
          ] as const
        ).map(([id, n, name]) => (
          <button
            key={id}
            type="button"
            aria-label={`${n} ${name}: show these steps`}
            aria-pressed={only === id}
            onClick={() => setOnly(id)}
          >
            <b>{n}</b> {name}
          </button>
        ))}
      </div>
      <ol>
        {shown.map((line) => (
          <Step
            key={line.def.id}
            line={line}
            state={states.get(line.def.id)!}
            record={own[line.def.id]}
            recordKey={prefix + line.def.id}
          />
        ))}
      </ol>
      {shown.length === 0 && (
        <p className="quiet">
          {only === 'free' && count('held') > 0
            ? 'Nothing is ready. Look at what is open: each held step says what it waits for.'
            : 'Nothing left here.'}
        </p>
      )}
      {dropped.length > 0 && (
        <section style={{ marginTop: 16 }}>
          <h3>Done, no longer asked for</h3>
          <ul>
            {dropped.map(([key, t]) => (
              <li key={key} className="quiet" style={{ padding: '4px 0' }}>
                {titleOf(key.replace(prefix, ''))}, {t.by}, {t.at ? dayWords(t.at) : ''}. It stays in the record.
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}
