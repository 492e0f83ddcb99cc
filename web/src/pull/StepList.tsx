import { Button, Select, TextInput } from '@mantine/core';
import { useMemo, useState } from 'react';
import { twoPeopleAt } from '@bay/core/crew';
import { becauseWords } from '@bay/core/facts';
import { provedLines } from '@bay/core/commissioning';
import { holdWords, shortTitleOf, titleOf } from '@bay/core/plan';
import { harmNear, stands, stepStates, workStates } from '@bay/core/pull';
import type { StepLine, StepPlan, StepState, TaskRecord } from '@bay/core/pull';
import { useCrew } from '../api/index.ts';
import { GateView } from '../commissioning/index.ts';
import { SecondSignature } from '../crew/index.ts';
import { History } from '../logbook/index.ts';
import { useJob, usePut, useRecords } from '../sheet/index.ts';
import { dayWords, Dialog, timeWords, Trouble } from '../ui/index.ts';

/** What usually gives a state: the steps that do, and what else does. */
const givers = (id: string): string => {
  const state = workStates.find((s) => s.id === id);
  return [...(state?.givenBy ?? []).map(shortTitleOf), ...(state?.givenWords ? [state.givenWords] : [])].join(', ');
};

const signs: Record<StepState['status'], string> = {
  done: '✓',
  waived: '–',
  'on-it': '›',
  free: '',
  held: '',
  unmet: '!',
  'other-way': '',
};
const words: Record<StepState['status'], string> = {
  done: 'Done',
  waived: 'Not needed',
  'on-it': 'On it',
  free: 'Ready',
  held: 'Held',
  unmet: 'Unmet',
  'other-way': 'Another way',
};

function heldWords(state: StepState): string {
  const after = state.heldBy.slice(0, 3).map(shortTitleOf);
  const more = state.heldBy.length > 3 ? ` and ${state.heldBy.length - 3} more` : '';
  const ended = state.ended.map((e) => `needs "${titleOf(e.state)}", ended by ${shortTitleOf(e.by)}`);
  return [after.length > 0 ? `after ${after.join('; ')}${more}` : '', ...ended].filter(Boolean).join('. ');
}

/** What nothing of this plan brings about, and what would. */
function unmetWords(state: StepState): string[] {
  return state.unmet.map((u) => {
    const facts = u.needs.length > 0 ? ` Or say what is so: ${u.needs.map(titleOf).join(', ')}.` : '';
    return `Needs "${titleOf(u.state)}", and nothing brings it about. Usual: ${givers(u.state)}.${facts}`;
  });
}

const sentences = (parts: readonly (string | undefined)[]): string =>
  parts.flatMap((p) => (p ? p.charAt(0).toUpperCase() + p.slice(1) : [])).join('. ');

/** Whose steps a list shows: how their records and steps begin, and the gate that stands before them. */
const lists = {
  pull: { prefix: '', family: 'rm-', gate: 'High voltage' },
  donor: { prefix: 'donor-', family: 'donor-', gate: 'Donor high voltage' },
  prep: { prefix: '', family: 'bld-', gate: undefined },
} as const;

type Question = 'waive' | 'hand-over' | 'danger' | 'anyway';
type Write = (status: TaskRecord['status'], extra?: Record<string, unknown>) => void;

/** What is asked before a step is written: why not, to whom, or whether the danger was minded. */
function Asking({
  what,
  caution,
  against,
  harm,
  gives,
  write,
  busy,
  close,
}: {
  what: Question;
  caution: string | undefined;
  /** What holds the step. */
  against: readonly string[];
  /** Done all the same it wants two people. */
  harm: boolean;
  /** States that others need and only this step gives. */
  gives: readonly string[];
  write: Write;
  busy: boolean;
  close: () => void;
}) {
  const crew = useCrew();
  const [text, setText] = useState('');
  const [instead, setInstead] = useState('');
  const titles = {
    waive: 'Not needed here',
    'hand-over': 'Hand over',
    danger: 'Before this one',
    anyway: 'Done although it is held',
  };
  return (
    <Dialog close={close} title={titles[what]}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          if (what === 'danger') write('done');
          else if (text.trim() === '') return;
          else if (what === 'anyway') write('done', { deviation: { why: text.trim() } });
          else if (what === 'waive')
            write('waived', { note: text, ...(instead.trim() === '' ? {} : { instead: instead.trim() }) });
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
        ) : what === 'anyway' ? (
          <>
            <ul className="caution">
              {against.map((clause) => (
                <li key={clause}>{clause}</li>
              ))}
            </ul>
            <TextInput
              label="Why it was done all the same"
              description="A sentence; it stays in the record with what stood against it."
              value={text}
              onChange={(e) => setText(e.currentTarget.value)}
              data-autofocus
            />
            {harm && (
              <p className="oxide">
                Somebody could have been hurt here: a second person signs it, and until then it frees nothing.
              </p>
            )}
          </>
        ) : what === 'waive' ? (
          <>
            <TextInput label="Why" value={text} onChange={(e) => setText(e.currentTarget.value)} data-autofocus />
            {gives.length > 0 && (
              <TextInput
                label={`What gives it instead: ${gives.map(titleOf).join(', ')}`}
                description="Left empty, what needs it stays unmet. Where somebody can be hurt a second person signs this."
                value={instead}
                onChange={(e) => setInstead(e.currentTarget.value)}
                error={
                  instead.trim() !== '' && instead.trim().length < 10
                    ? 'Say in a few words what gives it instead.'
                    : undefined
                }
              />
            )}
          </>
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
          <Button
            type="submit"
            disabled={
              (what !== 'danger' && text.trim().length < (what === 'anyway' ? 10 : 1)) ||
              (instead.trim() !== '' && instead.trim().length < 10)
            }
            loading={busy}
          >
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
  pull,
}: {
  line: StepLine;
  state: StepState;
  record: TaskRecord | undefined;
  recordKey: string;
  pull: StepPlan;
}) {
  const { sheet, plan, mayWrite } = useJob();
  const put = usePut();
  const [asking, setAsking] = useState<Question>();
  const { def } = line;
  const write = (status: TaskRecord['status'], extra: Record<string, unknown> = {}) =>
    put.mutate({ kind: 'task', key: recordKey, data: { status, ...extra } }, { onSuccess: () => setAsking(undefined) });
  const against = holdWords(state, true);
  const finish = () => (against.length > 0 ? setAsking('anyway') : def.harm ? setAsking('danger') : write('done'));
  const halfSigned = record !== undefined && !stands(def.id, record);
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
          {sentences([
            def.minutes && `${def.minutes[0]}–${def.minutes[1]} min (estimate)`,
            def.how,
            def.why && `Why here: ${def.why}`,
            def.support,
            def.thenWait,
          ])}
          {def.onlyIf ? <span className="ochre">. Only if: {def.onlyIf}</span> : null}
        </p>
        {state.status === 'held' && <p className="meta ochre">Held: {heldWords(state)}</p>}
        {state.status === 'free' && state.better.length > 0 && (
          <p className="meta">Better after {state.better.slice(0, 3).map(shortTitleOf).join('; ')}</p>
        )}
        {unmetWords(state).map((sentence) => (
          <p key={sentence} className="meta oxide">
            {sentence}
          </p>
        ))}
        {state.gates.length > 0 && state.status !== 'waived' && (
          <p className="meta ochre">Gate first: {state.gates.map(titleOf).join('; ')}</p>
        )}
        {state.status === 'other-way' && (
          <p className="meta">
            {state.instead === undefined
              ? 'Only where a step needs what it gives'
              : `Another way than "${shortTitleOf(state.instead)}"`}
          </p>
        )}
        {line.needs.length > 0 && (
          <p className="meta">Depends on {line.needs.map((id) => titleOf(id)).join(', ')}: not known yet</p>
        )}
        {line.because.length > 0 && (
          <p className="meta">Because {line.because.map((id) => becauseWords(id, plan.facts)).join(' · ')}</p>
        )}
        {twoPeopleAt(def.id) && state.status !== 'done' && <p className="meta ochre">{twoPeopleAt(def.id)}</p>}
        {def.needsWords && <p className="meta">Needs: {def.needsWords}</p>}
        {def.caution && state.status !== 'done' && <p className="caution">{def.caution}</p>}
        {record?.deviation && (
          <p className="meta oxide">
            Out of its order: {record.deviation.why}. Stood against it: {record.deviation.stoodOn?.against.join('; ')}
          </p>
        )}
        {record?.instead && <p className="meta ochre">Given instead by: {record.instead}</p>}
        {halfSigned && (
          <>
            <p className="meta oxide">Waits for the second signature; until then it frees nothing.</p>
            {mayWrite && (
              <SecondSignature
                of={{
                  jobId: sheet.job.id,
                  kind: 'task',
                  key: recordKey,
                  revision: sheet.records.find((r) => r.kind === 'task' && r.key === recordKey)?.revision ?? 0,
                  firstId: record.deviation?.byId ?? record.byId,
                  what: def.title,
                }}
              />
            )}
          </>
        )}
        {record?.at && ['done', 'waived', 'on-it'].includes(state.status) && (
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
          {(state.status === 'free' || (state.status === 'other-way' && against.length === 0)) && (
            <button
              type="button"
              className="plain-button small"
              onClick={() => write('on-it')}
              disabled={put.isPending}
            >
              {state.status === 'other-way' ? 'This way instead' : 'Start'}
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
          {(state.status === 'held' || state.status === 'unmet') && (
            <button
              type="button"
              className="plain-button small bare"
              onClick={() => setAsking('anyway')}
              aria-label={`Done anyway: ${def.title}`}
            >
              Done anyway
            </button>
          )}
          {['free', 'held', 'unmet'].includes(state.status) && (
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
          against={against}
          harm={harmNear(pull, def.id, state)}
          gives={pull.states.filter((s) => s.givenBy.includes(def.id)).map((s) => s.id)}
          write={write}
          busy={put.isPending}
          close={() => setAsking(undefined)}
        />
      )}
    </li>
  );
}

/** Steps in their computed order, with what is free now, what holds the others, and what contradicts itself. */
export function StepList({ plan, of }: { plan: StepPlan; of: keyof typeof lists }) {
  const { prefix, family, gate } = lists[of];
  const { plan: whole } = useJob();
  const tasks = useRecords('task');
  const own = Object.fromEntries(plan.lines.map((l) => [l.def.id, tasks[prefix + l.def.id]]));
  const proved = useMemo(() => provedLines(whole.gates), [whole.gates]);
  const states = stepStates(plan, own, proved);
  const [only, setOnly] = useState<'all' | 'free' | 'open'>('free');
  const among = {
    all: plan.lines,
    free: plan.lines.filter((l) => ['free', 'on-it'].includes(states.get(l.def.id)!.status)),
    // What waits for its second signature is not settled: it frees nothing yet.
    open: plan.lines.filter(
      (l) =>
        !['done', 'waived', 'other-way'].includes(states.get(l.def.id)!.status) ||
        !stands(l.def.id, own[l.def.id] ?? { status: 'open' }),
    ),
  };
  const shown = among[only];
  const count = (...wanted: StepState['status'][]): number =>
    [...states.values()].filter((s) => wanted.includes(s.status)).length;
  const known = new Set(plan.lines.map((l) => prefix + l.def.id));
  const dropped = Object.entries(tasks).filter(
    ([key, t]) => key.startsWith(family) && t.status === 'done' && !known.has(key),
  );
  const high = whole.gates.find((g) => g.gate === gate);
  return (
    <>
      {high && !high.opens && (
        <section className="panel">
          <h3>{high.gate}: before anything else is opened</h3>
          <GateView gate={high} />
        </section>
      )}
      {plan.contradictions.map((c) => (
        <div key={c.steps.join()} className="notice oxide-notice" role="alert">
          <b>This order contradicts itself.</b>{' '}
          {c.edges
            .map(
              (e) =>
                `${shortTitleOf(e.from)} before ${shortTitleOf(e.to)}${e.why.kind === 'state' ? ` (${e.why.how === 'ends' ? 'which ends' : 'which gives'} "${titleOf(e.why.state)}")` : ''}`,
            )
            .join(', and ')}
          . Change a school or say which one is not needed.
        </div>
      ))}
      <div className="counts">
        {(
          [
            ['free', among.free.length, 'ready or on it'],
            ['open', among.open.length, 'open'],
            ['all', among.all.length, 'all'],
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
            pull={plan}
          />
        ))}
      </ol>
      {shown.length === 0 && (
        <p className="quiet">
          {only === 'free' && count('held', 'unmet') > 0
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
