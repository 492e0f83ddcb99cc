import { useEffect, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { FitLine, FitWord } from '@bay/core/fit';
import { counted, formatMeasure, units } from '@bay/core/units';
import { useJob, usePut, useRecords } from '../sheet/index.ts';
import { Trouble, VerdictMark, verdictWords } from '../ui/index.ts';
import { FitCard, leansOn } from './FitCard.tsx';
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
              <span className="mark" aria-hidden="true">
                {status === 'done' ? '✓' : status === 'on-it' ? '›' : ''}
              </span>
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
                      onClick={() => put.mutate({ kind: 'task', key: t.id, data: { status: 'on-it' } })}
                    >
                      Start
                    </button>
                  )}
                  <button
                    type="button"
                    className="plain-button small bare"
                    aria-label={`${status === 'done' ? 'Undo' : 'Done'}: ${t.title}`}
                    onClick={() =>
                      put.mutate({ kind: 'task', key: t.id, data: { status: status === 'done' ? 'open' : 'done' } })
                    }
                  >
                    {status === 'done' ? 'Undo' : 'Done'}
                  </button>
                </div>
              )}
            </li>
          );
        })}
        {dropped.map(([key, t]) => (
          <li key={key} className="step done">
            <span className="mark" aria-hidden="true">
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

/** Interface by interface: does it go together. */
export default function FitBench() {
  const { plan } = useJob();
  const records = useRecords('fit');
  const [params, setParams] = useSearchParams();
  const [only, setOnly] = useState<FitWord>();
  const open = params.get('at');
  const opened = useRef<HTMLLIElement>(null);
  // A link into the list shows the place it speaks of.
  useEffect(() => {
    opened.current?.scrollIntoView({ block: 'start' });
  }, []);
  const count = (w: FitWord): number => plan.fits.filter((l) => l.verdict.word === w).length;
  const shown = plan.fits.filter((l) => !only || l.verdict.word === only);
  const groups = [...new Set(shown.map((l) => l.def.group))];
  return (
    <>
      <div className="bench-head">
        <h2>Does it go together?</h2>
        <span className="quiet">{plan.fits.length} places where car, engine and gearbox meet</span>
      </div>
      <div className="counts">
        {order.map((w) => (
          <button key={w} type="button" aria-pressed={only === w} onClick={() => setOnly(only === w ? undefined : w)}>
            <VerdictMark word={w} /> <b>{count(w)}</b> {verdictWords[w]}
          </button>
        ))}
      </div>
      {groups.map((group) => (
        <section key={group}>
          <h3 className="group-title">{group}</h3>
          <ul className="rows">
            {shown
              .filter((l) => l.def.group === group)
              .map((line) => (
                <li key={line.def.id} ref={open === line.def.id ? opened : undefined}>
                  <button
                    type="button"
                    className="row-button"
                    aria-expanded={open === line.def.id}
                    onClick={() => setParams(open === line.def.id ? {} : { at: line.def.id }, { replace: true })}
                  >
                    <VerdictMark word={line.verdict.word} />
                    <span>
                      {line.def.title}{' '}
                      <span className="quiet">{line.resolved ? 'way out chosen' : line.verdict.headline}</span>
                      {line.verdict.basis === 'judged' && <span className="tag"> judged by a person</span>}
                      {line.verdict.basis === 'trial' && <span className="tag teal"> trial fit</span>}
                      {line.verdict.weakest && leansOn.has(line.verdict.weakest) && (
                        <span className="tag ochre"> {sourceWords[line.verdict.weakest].toLowerCase()} fact</span>
                      )}
                      {line.stale && <span className="tag ochre"> facts changed since</span>}
                    </span>
                    <span className="figure">{figureOf(line)}</span>
                    <span className={`word verdict-${line.verdict.word}`}>{verdictWords[line.verdict.word]}</span>
                  </button>
                  {open === line.def.id && <FitCard line={line} record={records[line.def.id]} />}
                </li>
              ))}
          </ul>
        </section>
      ))}
      <Tasks />
    </>
  );
}
