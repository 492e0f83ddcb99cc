import { useState } from 'react';
import { formatMeasure, units } from '@bay/core/units';
import type { Figure, FigureGroup } from '@bay/core/fit';
import { Sum } from '../../ui/index.ts';
import { leansOn } from '../FitCard.tsx';
import styles from '../fit.module.css';

const words = { look: 'Look', stop: 'Stop' } as const;
const tones = { look: 'ochre', stop: 'oxide' } as const;

const known = new Set(units.map((u) => u.symbol));
export const shown = ({ value, unit }: { value: number; unit: string }): string =>
  known.has(unit) ? formatMeasure(Number(value.toFixed(unit === 'deg' ? 2 : 1)), unit) : `${Math.round(value)} ${unit}`;

/** One figure: its name, its number, and the sum under it when it is pressed. */
function One({ of }: { of: Figure }) {
  const [open, setOpen] = useState(false);
  const { sum, word } = of;
  const rows = [...sum.rows, ...sum.beside];
  const taken = sum.weakest && leansOn.has(sum.weakest);
  return (
    <li>
      <button type="button" className={styles['figure']} aria-expanded={open} onClick={() => setOpen(!open)}>
        <span>
          {of.name}
          {word && <span className={`tag ${tones[word]}`}>{words[word]}</span>}
        </span>
        <b className="mono">
          {taken ? 'about ' : ''}
          {shown(sum)}
        </b>
      </button>
      {open && (
        <>
          <Sum rows={rows} result={{ label: of.name, value: sum.value, unit: sum.unit }} />
          {taken && <p className="ochre">A part of this is taken and not read.</p>}
        </>
      )}
    </li>
  );
}

/** The figures of a sheet, each with the sum behind it. */
export function Figures({ groups }: { groups: readonly FigureGroup[] }) {
  return groups.map(({ title, figures }) => (
    <section key={title} className="panel" aria-label={title}>
      <h3>{title}</h3>
      <ul className="rows">
        {figures.map((f) => (
          <One key={f.id} of={f} />
        ))}
      </ul>
    </section>
  ));
}
