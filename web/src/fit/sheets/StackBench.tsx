import { useMemo } from 'react';
import { stackSheet } from '@bay/core/fit';
import { SheetBench } from './SheetBench.tsx';
import type { TryField } from './TryFields.tsx';
import { useTries } from './useTries.ts';

const both: readonly TryField[] = [
  { factId: 'cho-stack', partKey: 'adapter-plate', step: 0.5 },
  { factId: 'cho-stack', partKey: 'crank-spacer', step: 0.5 },
  { factId: 'eng-flywheel', partKey: 'face-from-crank-flange', step: 0.5 },
];
const automatic: readonly TryField[] = [{ factId: 'cho-stack', partKey: 'pad-spacer', step: 0.5 }];
const manual: readonly TryField[] = [
  { factId: 'gbx-clutch-set', partKey: 'finger-height', step: 0.5 },
  { factId: 'gbx-clutch-set', partKey: 'bearing-behind-bell-face', step: 0.5 },
];

/** Plate, spacers, flywheel, clutch or converter as one stack: change one and see all. */
export default function StackBench() {
  const tries = useTries();
  const sheet = useMemo(() => stackSheet(tries.books), [tries.books]);
  const kind = tries.books.job.get('gbx-kind')?.parts['value'];
  const hasClutch = kind === 'manual' || kind === 'transaxle-manual';
  return (
    <SheetBench
      sheet={sheet}
      tries={tries}
      places={[
        'fit-bellhousing',
        'fit-crank-flange',
        ...(hasClutch ? ['fit-pilot', 'fit-clutch'] : ['fit-converter-seat']),
        'fit-starter',
      ]}
      moves={['fit-gearbox-mount', 'fit-propshaft-length']}
      fields={[...both, ...(hasClutch ? manual : automatic)]}
      caution="Flange and bell bolts are the maker's: length, grade, torque. Turn the engine two full turns by hand before anything turns it for you."
      height={360}
      placed={false}
    />
  );
}
