import { useState } from 'react';
import { Link } from 'react-router';
import { gapRows, tightest } from '@bay/core/fit';
import type { JobScene } from '@bay/core/fit';
import { Sum, VerdictMark } from '../ui/index.ts';
import styles from './fit.module.css';
import type { PositionView } from './usePosition.ts';

/** Every gap at this place, the tightest first; each opens to its sum. */
export function Gaps({ scene, judged }: { scene: JobScene; judged: PositionView['judged'] }) {
  const [open, setOpen] = useState<string>();
  return (
    <ul className="rows" aria-label="Gaps">
      {tightest(scene, judged.margins).map((m) => {
        const pair = scene.pairs[m.meeting.pair]!;
        const isOpen = open === pair.id;
        // A shape of it that nobody measured may be nearer: what is short stays short, what is kept may not be.
        const halfKnown = m.margin >= 0 && scene.openPairs.some((o) => o.pair.id === pair.id);
        return (
          <li key={pair.id}>
            <button
              type="button"
              className={styles['gap-row']}
              aria-expanded={isOpen}
              onClick={() => setOpen(isOpen ? undefined : pair.id)}
            >
              <VerdictMark word={halfKnown ? 'not-measured' : m.margin < 0 ? 'clash' : 'bolts-up'} />
              <span>
                {pair.name}{' '}
                <span className="quiet">
                  {m.gap < 0 ? `meets by ${(-m.gap).toFixed(0)} mm` : `${m.gap.toFixed(0)} mm left`}
                </span>
              </span>
              <span className={`mono ${halfKnown ? 'ochre' : m.margin < 0 ? 'oxide' : 'teal'}`}>
                {Math.abs(m.margin).toFixed(1)} mm {halfKnown ? 'at most' : m.margin < 0 ? 'short' : 'in hand'}
              </span>
            </button>
            {isOpen && (
              <div className={styles['gap']}>
                <Sum
                  rows={gapRows(scene, m)}
                  result={{ label: 'In hand', value: Math.round(m.margin * 10) / 10, unit: 'mm' }}
                />
                {pair.interfaceId && <Link to={`?at=${pair.interfaceId}`}>The place, its facts and its ways out</Link>}
              </div>
            )}
          </li>
        );
      })}
    </ul>
  );
}
