import { useState } from 'react';
import { stationName } from '@bay/core/jobs';
import { moneyFigures, offerSections } from '@bay/core/money';
import type { QuoteLine } from '@bay/core/money';
import { counted } from '@bay/core/units';
import { factDef } from '@bay/core/facts';
import { useJob, useRecords } from '../../sheet/index.ts';
import { Because, Fold, inGroups } from '../../ui/index.ts';
import { useCurrency } from '../useCurrency.ts';
import { LineForm } from './LineForm.tsx';
import styles from './quote.module.css';

/** Hours to a tenth: an estimate says no more. */
const tenth = (hours: number | undefined): string => String(Math.round((hours ?? 0) * 10) / 10);

const hoursWords = ([low, likely, high]: readonly number[]): string =>
  low === high ? `${tenth(likely)} h` : `${tenth(low)} · ${tenth(likely)} · ${tenth(high)} h`;

const stateWord = (line: QuoteLine): string => {
  if (line.state === 'open') return 'Open';
  if (line.state === 'left-off') return 'Left off';
  if (line.state === 'offered') return 'Not in';
  if (line.who === 'customer') return 'Customer';
  if (line.who === 'donor') return 'Donor';
  return line.who === 'outside' ? 'Outside' : 'In';
};

function Line({ line, seesMoney }: { line: QuoteLine; seesMoney: boolean }) {
  const { plan, mayWrite } = useJob();
  const record = useRecords('quote-line')[line.id];
  const currency = useCurrency();
  const [open, setOpen] = useState(false);
  return (
    <li>
      <button
        type="button"
        className={`row-button ${styles['line']}`}
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        <span>
          {line.title}
          {line.optional && <span className="tag">optional</span>}
          {line.past && <span className="quiet"> as here before</span>}
          {line.basis === 'typed' && <span className="quiet"> typed</span>}
          {line.basis === 'paid' && <span className="quiet"> paid</span>}
        </span>
        <span className={styles['figure']}>{line.hours && line.who === 'shop' ? hoursWords(line.hours) : ''}</span>
        <span className={styles['figure']}>
          {seesMoney && line.state !== 'left-off' && line.state !== 'offered'
            ? line.amount === undefined
              ? 'no price'
              : moneyFigures(line.amount, currency)
            : ''}
        </span>
        <span className={`word ${line.state === 'open' ? 'ochre' : ''}`}>{stateWord(line)}</span>
      </button>
      {open && (
        <div className="card-open">
          {line.why && <p>Because: {line.why}</p>}
          {line.needs.length > 0 && (
            <p className="ochre">Hangs on {line.needs.map((id) => factLabel(id)).join(', ')}, which nobody said.</p>
          )}
          {line.leftOut && (
            <p className="quiet">
              {line.section === 'work' ? 'Often left out of the sum: ' : 'Without it: '}
              {line.leftOut}.
            </p>
          )}
          {line.past && (
            <p className="quiet">
              By {counted(line.past.jobs, 'closed job')} of the shop: work at this station took{' '}
              {line.past.ratio.toFixed(2)} times what was reckoned.
            </p>
          )}
          {line.basis === 'estimate' && (
            <p className="quiet">
              {line.section === 'work'
                ? 'Hours low, likely and high: an estimate, common practice, no source.'
                : 'Its price is an estimate from the price list.'}
            </p>
          )}
          <Because ids={line.because} facts={plan.facts} />
          {mayWrite && <LineForm line={line} record={record} seesMoney={seesMoney} close={() => setOpen(false)} />}
        </div>
      )}
    </li>
  );
}

const factLabel = (id: string): string => {
  try {
    return factDef(id).label.toLowerCase();
  } catch {
    return 'a place that is not judged';
  }
};

/** The lines of a section, by station or system; folded, its sum stands there. */
export function Section({
  section,
  lines,
  seesMoney,
  begins,
}: {
  section: QuoteLine['section'];
  lines: readonly QuoteLine[];
  seesMoney: boolean;
  /** Open to begin with. */
  begins: boolean;
}) {
  const currency = useCurrency();
  const [open, setOpen] = useState(begins);
  const own = lines.filter((l) => l.section === section);
  if (own.length === 0) return null;
  const live = own.filter((l) => l.state === 'counted');
  const sum = live.reduce((total, l) => total + (l.amount ?? 0), 0);
  const waiting = own.filter((l) => l.state === 'open').length;
  const note = [
    `${counted(live.length, 'line')} in`,
    ...(waiting > 0 ? [`${waiting} open`] : []),
    ...(seesMoney && sum > 0 ? [moneyFigures(sum, currency)] : []),
  ].join(', ');
  return (
    <Fold name={offerSections[section]!} count={own.length} note={note} open={open} toggle={() => setOpen(!open)}>
      {inGroups(own, (l) => l.group).map((g) => (
        <section key={g.id}>
          <h4 className="group-title">{stationName(g.name)}</h4>
          <ul className="rows">
            {g.items.map((line) => (
              <Line key={line.id} line={line} seesMoney={seesMoney} />
            ))}
          </ul>
        </section>
      ))}
    </Fold>
  );
}
