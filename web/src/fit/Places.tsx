import { useEffect, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { urgencyOf } from '@bay/core/fit';
import type { FitLine, FitWord, Urgency } from '@bay/core/fit';
import { counted, formatMeasure, units } from '@bay/core/units';
import { useJob, usePut, useRecords } from '../sheet/index.ts';
import { FindIn, Fold, inGroups, Trouble, useChanged, VerdictMark, verdictWords } from '../ui/index.ts';
import { FitCard, leansOn } from './FitCard.tsx';
import { ForeignParts } from './ForeignParts.tsx';
import { sourceWords } from '../facts/index.ts';

const order: readonly FitWord[] = ['bolts-up', 'adapt', 'clash', 'not-measured'];
const symbols = new Set(units.map((u) => u.symbol));

function figureOf(line: FitLine): string {
  const { margin, word, needs } = line.verdict;
  if (word === 'not-measured') return needs.length > 0 ? `${counted(needs.length, 'fact')} wanted` : 'a person judges';
  if (!margin || !Number.isFinite(margin.value)) return '';
  const shown = symbols.has(margin.unit)
    ? formatMeasure(Math.abs(margin.value), margin.unit, margin.unit === '' ? 2 : 1)
    : `${margin.value} ${margin.unit}`;
  return `${margin.value < 0 ? '−' : '+'}${shown}`;
}

function Tasks() {
  const { plan, mayWrite } = useJob();
  const tasks = useRecords('task');
  const put = usePut();
  const known = new Set(plan.fitTasks.map((t) => t.id));
  const dropped = Object.entries(tasks).filter(
    ([key, t]) => key.startsWith('task-') && t.status === 'done' && !known.has(key),
  );
  if (plan.fitTasks.length === 0 && dropped.length === 0) return null;
  return (
    <section style={{ marginTop: 18 }}>
      <h3>Work that the verdicts bring</h3>
      <ol>
        {plan.fitTasks.map((t) => {
          const status = tasks[t.id]?.status ?? 'open';
          return (
            <li key={t.id} className={`step ${status === 'open' ? 'free' : status}`}>
              <button
                type="button"
                className="tick"
                disabled={!mayWrite || put.isPending}
                aria-label={`${status === 'done' ? 'Undo' : 'Done'}: ${t.title}`}
                onClick={() =>
                  put.mutate({ kind: 'task', key: t.id, data: { status: status === 'done' ? 'open' : 'done' } })
                }
              >
                <span className="mark" aria-hidden="true">
                  {status === 'done' ? '✓' : status === 'on-it' ? '›' : ''}
                </span>
              </button>
              <div>
                <p className="title">{t.title}</p>
                <p className="meta">for {plan.fits.find((l) => l.def.id === t.fitId)!.def.title}</p>
              </div>
              {mayWrite && (
                <div className="actions">
                  {status === 'open' && (
                    <button
                      type="button"
                      className="plain-button small"
                      aria-label={`Start: ${t.title}`}
                      onClick={() => put.mutate({ kind: 'task', key: t.id, data: { status: 'on-it' } })}
                    >
                      Start
                    </button>
                  )}
                </div>
              )}
            </li>
          );
        })}
        {dropped.map(([key, t]) => (
          <li key={key} className="step done">
            <span className="tick" aria-hidden="true">
              ✓
            </span>
            <p className="meta">
              {key.replace('task-', '').replaceAll('-', ' ')}: done by {t.by}, no longer asked for. It stays in the
              record.
            </p>
          </li>
        ))}
      </ol>
      <Trouble of={put} />
    </section>
  );
}

const parts: readonly { id: Urgency; name: string; note?: string; folded?: true }[] = [
  { id: 'clash', name: 'Clashes', note: 'choose a way out' },
  { id: 'decide', name: 'To adapt', note: 'choose how' },
  { id: 'look-again', name: 'To look at again', note: 'something it stands on or touches changed' },
  { id: 'one-fact', name: 'One fact away' },
  { id: 'measure', name: 'More to measure or to judge', folded: true },
  { id: 'settled', name: 'Settled', folded: true },
];

function Place({ line, open, toggle }: { line: FitLine; open: boolean; toggle: () => void }) {
  const record = useRecords('fit')[line.def.id];
  const { word, headline, basis, weakest } = line.verdict;
  const flipped = useChanged(word);
  return (
    <>
      <button type="button" className="row-button" aria-expanded={open} onClick={toggle}>
        <span key={word} className={flipped ? 'flips' : undefined}>
          <VerdictMark word={word} />
        </span>
        <span>
          {line.def.title} <span className="quiet">{line.resolved ? 'way out chosen' : headline}</span>
          {basis === 'judged' && <span className="tag"> judged by a person</span>}
          {basis === 'trial' && <span className="tag teal"> trial fit</span>}
          {weakest && leansOn.has(weakest) && (
            <span className="tag ochre"> {sourceWords[weakest].toLowerCase()} fact</span>
          )}
          {line.stale && (
            <span className="tag ochre"> {line.moved ? 'engine moved since' : 'facts changed since'}</span>
          )}
        </span>
        <span className="figure">{figureOf(line)}</span>
        <span className={`word verdict-${word}`}>{verdictWords[word]}</span>
      </button>
      {open && <FitCard line={line} record={record} />}
    </>
  );
}

/** Interface by interface: does it go together. What wants a decision stands first, what is settled last and folded. */
export function Places() {
  const { plan } = useJob();
  const [params, setParams] = useSearchParams();
  const [only, setOnly] = useState<FitWord>();
  const [sought, setSought] = useState('');
  const [turned, setTurned] = useState<ReadonlySet<string>>(new Set());
  const open = params.get('at');
  const opened = useRef<HTMLLIElement>(null);
  // A link into the list shows the place it speaks of.
  useEffect(() => {
    opened.current?.scrollIntoView({ block: 'nearest' });
  }, [open]);
  const count = (w: FitWord): number => plan.fits.filter((l) => l.verdict.word === w).length;
  const wanted = sought.trim().toLowerCase();
  const shown = plan.fits.filter(
    (l) =>
      (!only || l.verdict.word === only) &&
      (wanted === '' || `${l.def.title} ${l.def.group}`.toLowerCase().includes(wanted)),
  );
  const narrowed = only !== undefined || wanted !== '';
  const groups = parts
    .map((p) => ({ ...p, items: shown.filter((l) => urgencyOf(l) === p.id) }))
    .filter((p) => p.items.length > 0);
  const unknown = open !== null && !plan.fits.some((l) => l.def.id === open);
  return (
    <>
      {unknown && <p className="notice ochre-notice">There is no place called "{open}" on this job.</p>}
      <div className="list-head">
        <div className="counts">
          {order.map((w) => (
            <button key={w} type="button" aria-pressed={only === w} onClick={() => setOnly(only === w ? undefined : w)}>
              <VerdictMark word={w} /> <b>{count(w)}</b> {verdictWords[w]}
            </button>
          ))}
        </div>
        <FindIn label="Find a place" value={sought} set={setSought} groups={groups} />
      </div>
      {groups.map(({ id, name, note, folded, items }) => {
        const here = items.some((l) => l.def.id === open);
        // Folded at first, unless somebody looks for something or a link leads into it; a tap turns that.
        const unfolded = (narrowed || here || !folded) !== turned.has(id);
        return (
          <Fold
            key={id}
            id={id}
            name={name}
            note={note}
            count={items.length}
            open={unfolded}
            toggle={() => {
              const next = new Set(turned);
              if (!next.delete(id)) next.add(id);
              setTurned(next);
            }}
          >
            {inGroups(items, (l) => l.def.group).map((g) => (
              <section key={g.id}>
                {items.length > 6 && <h4 className="group-title">{g.name}</h4>}
                <ul className="rows">
                  {g.items.map((line) => {
                    const isOpen = open === line.def.id;
                    return (
                      <li key={line.def.id} ref={isOpen ? opened : undefined}>
                        <Place
                          line={line}
                          open={isOpen}
                          toggle={() => setParams(isOpen ? {} : { at: line.def.id }, { replace: true })}
                        />
                      </li>
                    );
                  })}
                </ul>
              </section>
            ))}
          </Fold>
        );
      })}
      {shown.length === 0 && <p className="quiet">No place here has "{sought.trim()}".</p>}
      <Tasks />
      <ForeignParts />
    </>
  );
}
