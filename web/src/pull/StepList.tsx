import { useHotkeys } from '@mantine/hooks';
import { useMemo, useState } from 'react';
import { shortTitleOf, stepList, titleOf } from '@bay/core/plan';
import type { StepListId } from '@bay/core/plan';
import { freedBy, isBehind, stands, workPlaceOf, workPlaces, workPlaceWords } from '@bay/core/pull';
import type { StepLine, StepPlan, StepState } from '@bay/core/pull';
import { useMe } from '../api/index.ts';
import { GateView } from '../commissioning/index.ts';
import { useJob, useRecords } from '../sheet/index.ts';
import { dayWords, FindIn, inGroups, useKeepPlace } from '../ui/index.ts';
import { NextStep } from './NextStep.tsx';
import { PlannedAgainstFound } from './Snags.tsx';
import { StepRow } from './StepRow.tsx';
import { WhatIsLeft } from './WhatIsLeft.tsx';
import type { Placed } from './useStep.ts';
import styles from './pull.module.css';

/** How records of steps begin that the plan may no longer ask for, and the gate that stands before the list. */
const lists = {
  pull: { family: 'rm-', gate: 'High voltage' },
  donor: { family: 'donor-', gate: 'Donor high voltage' },
  prep: { family: 'bld-', gate: undefined },
  fit: { family: 'ein-', gate: undefined },
  own: { family: 'own-', gate: undefined },
} as const;

function Contradictions({ plan }: { plan: StepPlan }) {
  return plan.contradictions.map((c) => (
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
  ));
}

/** Keys of the list: j and k go along it, x ticks, s starts. Each presses what stands there, so a key can do no more than a finger. */
function useStepKeys(ids: readonly string[], at: string | undefined, select: (id: string) => void) {
  const list = useKeepPlace<HTMLDivElement>('[data-key=row]');
  const go = (by: 1 | -1) => (): void => {
    const now = at === undefined ? -1 : ids.indexOf(at);
    const next = ids[Math.max(0, Math.min(ids.length - 1, now + by))];
    if (next === undefined) return;
    select(next);
    list.current?.querySelector<HTMLElement>(`#${CSS.escape(next)} [data-key=row]`)?.focus();
  };
  const press = (key: 'x' | 's') => (): void => {
    const step = at ?? ids[0];
    if (step !== undefined) list.current?.querySelector<HTMLElement>(`#${CSS.escape(step)} [data-key=${key}]`)?.click();
  };
  useHotkeys([
    ['j', go(1)],
    ['k', go(-1)],
    ['x', press('x')],
    ['s', press('s')],
  ]);
  return list;
}

/** Steps in their computed order: the next one large, what it frees, and the rest as a chain. */
export function StepList({ of }: { of: StepListId }) {
  const { family, gate } = lists[of];
  const { sheet, plan: whole } = useJob();
  const tasks = useRecords('task');
  const list = useMemo(() => stepList(whole, of, tasks), [whole, of, tasks]);
  const { plan, own, states, keyOf } = list;
  const me = useMe().data?.person?.id;
  const [only, setOnly] = useState<'free' | 'open' | 'all'>('free');
  const [at, setAt] = useState<string>();
  const [opened, setOpened] = useState<string>();
  const [sought, setSought] = useState('');
  const [byPlace, setByPlace] = useState(false);
  const stateOf = (l: StepLine): StepState => states.get(l.def.id)!;
  const ready = plan.lines.filter((l) => ['free', 'on-it'].includes(stateOf(l).status));
  const among = {
    free: ready,
    // What waits for its second signature is not settled: it frees nothing yet.
    open: plan.lines.filter(
      (l) => !isBehind(stateOf(l).status) || !stands(l.def.id, own[l.def.id] ?? { status: 'open' }),
    ),
    all: plan.lines,
  };
  // What this person is clocked on, what anybody is on, and else the first that is ready.
  const mine = sheet.running.find((c) => c.personId === me)?.about;
  const next =
    ready.find((l) => keyOf(l.def.id) === mine) ?? ready.find((l) => stateOf(l).status === 'on-it') ?? ready[0];
  const wanted = sought.trim().toLowerCase();
  const rest = among[only].filter(
    (l) => l !== next && (wanted === '' || `${l.def.title} ${l.def.phase}`.toLowerCase().includes(wanted)),
  );
  const placed = plan.lines.some((l) => workPlaceOf(l.def.id) !== undefined);
  const groups =
    byPlace && placed
      ? workPlaces.flatMap((at) => {
          const items = rest.filter((l) => workPlaceOf(l.def.id) === at);
          return items.length > 0 ? [{ id: `at-${at}`, name: workPlaceWords[at], items }] : [];
        })
      : inGroups(rest, (l) => l.def.phase);
  const select = (id: string): void => {
    setAt(id);
    setOpened(opened === id && at === id ? undefined : id);
  };
  const ids = [...(next ? [next.def.id] : []), ...groups.flatMap((g) => g.items.map((l) => l.def.id))];
  const place = useStepKeys(ids, at, (id) => {
    setAt(id);
    setOpened(id);
  });
  const asPlaced = (line: StepLine): Placed => ({
    line,
    state: stateOf(line),
    record: own[line.def.id],
    recordKey: keyOf(line.def.id),
    pull: plan,
    minutes: list.minutesOf(line.def.id),
  });
  const known = new Set(plan.lines.map((l) => keyOf(l.def.id)));
  const dropped = Object.entries(tasks).filter(
    ([key, t]) => key.startsWith(family) && t.status === 'done' && !known.has(key),
  );
  const high = whole.gates.find((g) => g.gate === gate);
  const held = [...states.values()].some((s) => s.status === 'held' || s.status === 'unmet');
  return (
    <div ref={place}>
      {high && !high.opens && (
        <section className="panel">
          <h3>{high.gate}: before anything else is opened</h3>
          <GateView gate={high} />
        </section>
      )}
      <Contradictions plan={plan} />
      {next && (
        <NextStep
          key={next.def.id}
          placed={asPlaced(next)}
          freed={freedBy(states, next.def.id)}
          at={at === next.def.id}
          open={opened === next.def.id}
          select={() => select(next.def.id)}
        />
      )}
      <WhatIsLeft list={list} />
      <div className="list-head">
        <div className="counts">
          {(
            [
              ['free', 'ready or on it'],
              ['open', 'open'],
              ['all', 'all'],
            ] as const
          ).map(([id, name]) => (
            <button
              key={id}
              type="button"
              aria-label={`${among[id].length} ${name}: show these steps`}
              aria-pressed={only === id}
              onClick={() => setOnly(id)}
            >
              <b>{among[id].length}</b> {name}
            </button>
          ))}
          {placed && (
            <button type="button" aria-pressed={byPlace} onClick={() => setByPlace(!byPlace)}>
              By place
            </button>
          )}
        </div>
        {among[only].length > 12 && <FindIn label="Find a step" value={sought} set={setSought} groups={groups} />}
      </div>
      {groups.map((g) => (
        <section key={g.id} id={g.id} aria-label={g.name} className={styles['phase']}>
          <h3 className="group-title">{g.name}</h3>
          <ol className={styles['chain']}>
            {g.items.map((line) => (
              <StepRow
                key={line.def.id}
                placed={asPlaced(line)}
                at={at === line.def.id}
                open={opened === line.def.id}
                select={() => select(line.def.id)}
              />
            ))}
          </ol>
        </section>
      ))}
      {rest.length === 0 && (
        <p className="quiet">
          {wanted !== ''
            ? `No step here has "${sought.trim()}".`
            : !next && held
              ? 'Nothing is ready. Look at what is open: each held step says what it waits for.'
              : !next
                ? 'Nothing left here.'
                : 'Nothing else here.'}
        </p>
      )}
      <PlannedAgainstFound keys={known} />
      {dropped.length > 0 && (
        <section style={{ marginTop: 16 }}>
          <h3>Done, no longer asked for</h3>
          <ul>
            {dropped.map(([key, t]) => (
              <li key={key} className="quiet" style={{ padding: '4px 0' }}>
                {titleOf(key.replace(keyOf(''), ''))}, {t.by}, {t.at ? dayWords(t.at) : ''}. It stays in the record.
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}
