import { useMemo } from 'react';
import { wayInSheet } from '@bay/core/fit';
import { SheetBench } from './SheetBench.tsx';
import type { TryField } from './TryFields.tsx';
import { useTries } from './useTries.ts';

const fields: readonly TryField[] = [
  { factId: 'rec-install-path', partKey: 'opening-length', step: 10 },
  { factId: 'rec-install-path', partKey: 'panel-height', step: 10 },
  { factId: 'rec-install-path', partKey: 'hook-height', step: 10 },
  { factId: 'rec-install-path', partKey: 'front-edge-x', step: 10 },
  { factId: 'eng-length', partKey: 'value', step: 10 },
  { factId: 'eng-height-up', partKey: 'highest-point', step: 10 },
];

/** How the unit must hang to go in, and whether hook and boom reach that far. */
export default function WayInBench() {
  const tries = useTries();
  const sheet = useMemo(() => wayInSheet(tries.books), [tries.books]);
  return (
    <SheetBench
      sheet={sheet}
      tries={tries}
      places={['fit-install-path']}
      fields={fields}
      placed={false}
      caution="Nobody under or beside a load that hangs. The rating at the boom place in use counts, not the largest one printed. The maker's lifting points go first."
    >
      {sheet.ways.length > 0 && (
        <section className="panel" aria-label="How it goes in">
          <h3>How it goes in</h3>
          {sheet.ways.map((w) => (
            <p key={w}>{w}</p>
          ))}
        </section>
      )}
    </SheetBench>
  );
}
