import { Button } from '@mantine/core';
import { useMemo, useState } from 'react';
import { partName } from '@bay/core/facts';
import { measuringRound } from '@bay/core/fit';
import type { JobScene, Margin, RoundReading, RoundStop } from '@bay/core/fit';
import { counted } from '@bay/core/units';
import { useIsThere } from '../../facts/index.ts';
import { useJob } from '../../sheet/index.ts';
import { Dialog } from '../../ui/index.ts';
import styles from '../fit.module.css';
import { ReadOne } from './ReadOne.tsx';
import { roundPlaceWords, whyWords } from './words.ts';

/** How many readings are shown before the walk is begun. */
const shownFirst = 5;

const idOf = (r: RoundReading): string => `${r.factId}:${r.partKey}`;

/** One reading after the other, place by place as the walk was begun; each decides anew what comes next at its place. */
function Round({ stops, close }: { stops: readonly RoundStop[]; close: () => void }) {
  const [walk] = useState(() => stops.map((s) => s.place));
  const [behind, setBehind] = useState<ReadonlySet<string>>(new Set());
  const [read, setRead] = useState(0);
  const ahead = walk.flatMap((place) =>
    (stops.find((s) => s.place === place)?.readings ?? []).filter((r) => !behind.has(idOf(r))),
  );
  const at = ahead[0];
  const goOn = (): void => {
    if (at) setBehind((were) => new Set([...were, idOf(at)]));
  };
  return (
    <Dialog close={close} title={at ? roundPlaceWords[at.place] : 'The round is done'} size="lg">
      <p role="status" className="quiet">
        {counted(read, 'reading')} taken, {ahead.length} ahead.
      </p>
      {at ? (
        <>
          <p>
            <b>{partName(at.factId, at.partKey)}</b> decides {at.pairs.join(', ')}; {whyWords[at.why]}.
          </p>
          <ReadOne
            key={idOf(at)}
            reading={at}
            saved={() => {
              setRead((n) => n + 1);
              goOn();
            }}
            skip={goOn}
          />
        </>
      ) : (
        <Button onClick={close} autoFocus>
          Close
        </Button>
      )}
    </Dialog>
  );
}

/** What to measure next: the readings that lessen most the doubt whether it fits, and the walk that takes them all. */
export function MeasureNext({ scene, margins }: { scene: JobScene; margins: readonly Margin[] }) {
  const { plan, mayWrite } = useJob();
  const [walking, setWalking] = useState(false);
  const isThere = useIsThere();
  const stops = useMemo(
    () => measuringRound(scene, plan.facts, margins, isThere),
    [scene, plan.facts, margins, isThere],
  );
  const all = stops.flatMap((s) => s.readings);
  const most = Math.max(...all.map((r) => r.bits), 0);
  if (all.length === 0 && !walking) return null;
  return (
    <section className="panel" aria-label="Measure next">
      <h3>Measure next</h3>
      <p className="quiet">
        What lessens most the doubt whether it fits; {counted(all.length, 'reading')} in{' '}
        {counted(stops.length, 'place')} round the car.
      </p>
      <ol className={styles['next']}>
        {[...all]
          .sort((a, b) => b.bits - a.bits)
          .slice(0, shownFirst)
          .map((r) => (
            <li key={idOf(r)}>
              <span>
                {partName(r.factId, r.partKey)}{' '}
                <span className="quiet">
                  {roundPlaceWords[r.place].toLowerCase()}, {whyWords[r.why]}
                </span>
              </span>
              <meter
                min={0}
                max={1}
                value={most > 0 ? r.bits / most : 0}
                aria-label={`Decides ${Math.round((most > 0 ? r.bits / most : 0) * 100)} % of what the first does`}
              />
            </li>
          ))}
      </ol>
      {mayWrite && (
        <Button variant="default" onClick={() => setWalking(true)}>
          Walk round and measure
        </Button>
      )}
      {walking && <Round stops={stops} close={() => setWalking(false)} />}
    </section>
  );
}
