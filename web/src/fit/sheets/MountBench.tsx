import { useMemo } from 'react';
import { mountSheet } from '@bay/core/fit';
import { optionWords } from '@bay/core/facts';
import { capital } from '@bay/core/units';
import { SheetBench } from './SheetBench.tsx';
import type { TryField } from './TryFields.tsx';
import { useTries } from './useTries.ts';

const fields: readonly TryField[] = [
  { factId: 'cho-engine-place', partKey: 'bell-face-ahead-of-firewall-x', step: 1 },
  { factId: 'cho-engine-place', partKey: 'sideways-from-centre-line-y', step: 1 },
  { factId: 'cho-engine-place', partKey: 'crank-axis-above-body-datum-z', step: 1 },
  { factId: 'cho-engine-place', partKey: 'slope-tail-down', step: 0.1 },
];

/** Where each boss stands from its pad, and what each mount carries. */
export default function MountBench() {
  const tries = useTries();
  const sheet = useMemo(() => mountSheet(tries.books), [tries.books]);
  return (
    <SheetBench
      sheet={sheet}
      tries={tries}
      places={['fit-mount-pads', 'fit-mount-boss', 'fit-gearbox-mount']}
      fields={fields}
      caution="Mounts are structure: welds, bolt lines and their edge distances are a qualified person's, the maker's manual and local law go first. At full torque an engine that turns clockwise, seen from its front, lifts its left mount."
    >
      {sheet.schools.length > 0 && (
        <section className="panel" aria-label="Ways of mounting">
          <h3>Ways of mounting</h3>
          <ul className="rows">
            {sheet.schools.map((s) => (
              <li key={s.id}>
                <b>{capital(optionWords(s.id))}</b>{' '}
                <span className={s.goes ? 'teal' : 'ochre'}>{s.goes ? 'goes' : 'does not go'}</span>
                <br />
                <span className="quiet">{s.said}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </SheetBench>
  );
}
