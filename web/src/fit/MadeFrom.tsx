import { useState } from 'react';
import { madeFrom } from '@bay/core/fit';
import type { JobScene } from '@bay/core/fit';
import { useJob, useRecords } from '../sheet/index.ts';
import { dayWords, Fold } from '../ui/index.ts';

/** Every named shape of the drawing with what it was made from, how sure that is, and who wrote it when. */
export function MadeFrom({ scene }: { scene: JobScene }) {
  const { plan } = useJob();
  const own = useRecords('own-shape');
  const [open, setOpen] = useState(false);
  const rows = madeFrom(scene.shapes, plan.facts, own);
  return (
    <section className="panel" aria-label="What each shape was made from">
      <Fold name="What each shape was made from" count={rows.length} open={open} toggle={() => setOpen(!open)}>
        <ul className="rows">
          {rows.map(({ id, name, side, from, sigmaMm, source, assumed, by, at }) => (
            <li key={id}>
              <b>{name}</b> <span className="quiet">{side === 'bay' ? 'of the car' : 'of the unit'}</span>
              <br />
              <span>
                {from.length > 0 ? from.join(', ') : 'drawn by hand'}; sure to{' '}
                <span className="mono">±{sigmaMm} mm</span>
                {source && <span className="quiet">, {source.replace('-', ' ')}</span>}
                {by && (
                  <span className="quiet">
                    , {by}
                    {at && `, ${dayWords(at)}`}
                  </span>
                )}
              </span>
              {assumed.map((a) => (
                <small key={a} className="ochre">
                  {' '}
                  {a}
                </small>
              ))}
            </li>
          ))}
        </ul>
      </Fold>
    </section>
  );
}
