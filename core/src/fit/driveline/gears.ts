import { ifKnown } from '../../rules/evidence.ts';
import type { Books } from '../../rules/evidence.ts';
import type { Sum } from '../../rules/sum.ts';
import { engineRpmAt, tyreDiameterMm } from '../../sums/index.ts';
import { capital } from '../../units/index.ts';
import { FitEvidence } from '../evidence.ts';

/** Rolling circumference, mm: measured over a turn where somebody did, else from the size on the side wall. */
export function circumferenceMm(e: FitEvidence): Sum {
  const rolled = e.maybe('rec-tyre-size', 'rolling-circumference');
  if (rolled) return rolled;
  const size = e.word('rec-tyre-size');
  const diameter = tyreDiameterMm(size);
  if (diameter === undefined) return e.fact('rec-tyre-size', 'rolling-circumference');
  // A loaded tyre rolls on about 97 % of its free circumference.
  return e.limit(`Circumference of ${size}, loaded to 97 %`, Math.PI * diameter * 0.97, 'mm', 'common practice');
}

export interface Gear {
  name: string;
  ratio: number;
  /** Speed of the engine at its limit, rpm, and of the car then, km/h. */
  rpm: number;
  topKmh: number;
  rpmAt100: number;
}

const gearKeys = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'top'] as const;

/** Road speed in each gear with axle and tyre; nothing while one of them or the limit of the engine is not known. */
export function gearsOf(books: Books): Gear[] {
  const e = new FitEvidence(books);
  const round = ifKnown(() => circumferenceMm(e));
  const axle = e.maybe('rec-axle-ratio');
  const limit = e.maybe('eng-max-rpm');
  if (!round || !axle || !limit) return [];
  return gearKeys.flatMap((key): Gear[] => {
    const ratio = e.maybe('gbx-ratios', key)?.value;
    if (ratio === undefined || !(ratio > 0)) return [];
    const each = engineRpmAt(1, round.value, ratio, axle.value);
    return [
      {
        name: capital(key),
        ratio,
        rpm: limit.value,
        topKmh: limit.value / each,
        rpmAt100: each * 100,
      },
    ];
  });
}
