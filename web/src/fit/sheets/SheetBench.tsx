import { useState } from 'react';
import { Link } from 'react-router';
import { interfaceOf } from '@bay/core/fit';
import type { FitSheet } from '@bay/core/fit';
import type { FactId } from '@bay/core/facts';
import { factDef, partName } from '@bay/core/facts';
import { FactEditor, usualBearer } from '../../facts/index.ts';
import { useJob } from '../../sheet/index.ts';
import { Board } from '../../ui/board/index.ts';
import { Sum, VerdictMark, verdictWords } from '../../ui/index.ts';
import styles from '../fit.module.css';
import { AtBestPlace } from './AtBestPlace.tsx';
import { Figures } from './Figures.tsx';
import { TryFields } from './TryFields.tsx';
import type { TryField } from './TryFields.tsx';
import type { TriesView } from './useTries.ts';

/** A place of the fit that this sheet speaks of: its verdict, and what it would be with what is tried. */
function PlaceLine({ id, tries }: { id: string; tries: TriesView }) {
  const [open, setOpen] = useState(false);
  const { now, then } = tries.line(id);
  const verdict = then?.verdict ?? now.verdict;
  const moved = then && (then.verdict.word !== now.verdict.word || then.verdict.headline !== now.verdict.headline);
  return (
    <li>
      <button type="button" className={styles['gap-row']} aria-expanded={open} onClick={() => setOpen(!open)}>
        <VerdictMark word={verdict.word} />
        <span>
          <b>{interfaceOf(id).title}</b>
          <span className={`verdict-${verdict.word}`}>
            {' '}
            {verdictWords[verdict.word]}, {verdict.headline}
          </span>
        </span>
      </button>
      {moved && (
        <p className="quiet">
          As it is: {verdictWords[now.verdict.word]}, {now.verdict.headline}
        </p>
      )}
      {open && (
        <>
          <Sum rows={verdict.sum} result={verdict.result} />
          <p className="quiet">
            {verdict.source}. <Link to={`?at=${id}`}>Open the place</Link>
          </p>
        </>
      )}
    </li>
  );
}

const severity = ['clash', 'adapt', 'not-measured', 'bolts-up'] as const;
const tones = { clash: 'oxide', adapt: 'ochre', 'not-measured': 'quiet', 'bolts-up': 'teal' } as const;

/** What it comes to, in words first: the worst of the places. */
function Headline({ places, tries }: { places: readonly string[]; tries: TriesView }) {
  const lines = places.map((id) => {
    const { now, then } = tries.line(id);
    return then ?? now;
  });
  const worst = severity.flatMap((word) => lines.filter((l) => l.verdict.word === word))[0]!;
  const { word, headline } = worst.verdict;
  const said =
    word === 'bolts-up' ? 'All of it bolts up' : `${worst.def.title}: ${verdictWords[word].toLowerCase()}, ${headline}`;
  return (
    <p className={`${styles['verdict']} ${tones[word]}`} role="status">
      {said}.
    </p>
  );
}

/** What is missing for more of the sheet, fact by fact: one press opens it. */
function Wanted({ sheet }: { sheet: FitSheet }) {
  const { mayWrite } = useJob();
  const [fact, setFact] = useState<FactId>();
  const byFact = new Map<FactId, string[]>();
  for (const { factId, partKey } of sheet.wants) byFact.set(factId, [...(byFact.get(factId) ?? []), partKey]);
  if (byFact.size === 0) return null;
  return (
    <section className={`panel ${styles['on-screen']}`} aria-label="Measure for more of it">
      <h3>Measure for more of it</h3>
      <div className="row-actions">
        {[...byFact].map(([factId, parts]) => (
          <button
            key={factId}
            type="button"
            className="plain-button small"
            disabled={!mayWrite}
            onClick={() => setFact(factId)}
          >
            {parts.length === 1 ? partName(factId, parts[0]) : factDef(factId).label}
          </button>
        ))}
      </div>
      {fact && <FactEditor factId={fact} bearer={usualBearer(fact)} close={() => setFact(undefined)} />}
    </section>
  );
}

/** A sheet of the fit: drawn, in figures, with the places it decides and what may be tried. */
export function SheetBench({
  sheet,
  tries,
  places,
  moves = [],
  fields,
  caution,
  height = 340,
  placed = true,
  children,
}: {
  sheet: FitSheet;
  tries: TriesView;
  places: readonly string[];
  /** Places that move with it, and have a sheet of their own. */
  moves?: readonly string[];
  fields: readonly TryField[];
  caution: string;
  height?: number;
  /** It hangs on where the engine sits. */
  placed?: boolean;
  /** Below the drawing. */
  children?: React.ReactNode;
}) {
  return (
    <div className={styles['sheet']}>
      <div className={styles['drawn']}>
        <Headline places={places} tries={tries} />
        {placed && <AtBestPlace tries={tries} />}
        <section aria-label={sheet.drawing.name}>
          <h4>
            {sheet.drawing.name}. {sheet.drawing.summary}
          </h4>
          {sheet.drawing.shapes.length > 0 && (
            <Board drawing={sheet.drawing} height={height} margin={30} listed={false} />
          )}
        </section>
        {children}
        <TryFields fields={fields} tries={tries} />
      </div>
      <div className={styles['said']}>
        <section className="panel" aria-label="What it decides" aria-live="polite">
          <h3>What it decides</h3>
          <ul className="rows">
            {[...places, ...moves].map((id) => (
              <PlaceLine key={id} id={id} tries={tries} />
            ))}
          </ul>
        </section>
        <p className="caution">{caution}</p>
        <Wanted sheet={sheet} />
        <Figures groups={sheet.groups.filter((g) => g.figures.length > 0)} />
      </div>
    </div>
  );
}
