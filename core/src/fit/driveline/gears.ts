import { ifKnown } from '../../rules/evidence.ts';
import type { Books } from '../../rules/evidence.ts';
import type { Sum } from '../../rules/sum.ts';
import { engineRpmAt, gripN, tyreDiameterMm, wheelPullN } from '../../sums/index.ts';
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
  /** Pull of the engine's most torque at the wheels over what they hold on dry asphalt; nothing while one of its figures is not known. */
  overGrip?: number;
}

/** Of the torque so much arrives at the wheels; friction of a road tyre on dry asphalt. Common practice, no source. */
const arrives = 0.85;
const dryFriction = 0.9;

const gearKeys = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'top'] as const;

/** Mass on the driven wheels, kg, as weighed with the old engine. */
function drivenLoad(layout: string, front: number | undefined, rear: number | undefined): number | undefined {
  if (layout.endsWith('all-drive')) return front === undefined || rear === undefined ? undefined : front + rear;
  return layout === 'front-transverse' ? front : rear;
}

/** Road speed in each gear with axle and tyre; nothing while one of them or the limit of the engine is not known. */
export function gearsOf(books: Books): Gear[] {
  const e = new FitEvidence(books);
  const round = ifKnown(() => circumferenceMm(e));
  const axle = e.maybe('rec-axle-ratio');
  const limit = e.maybe('eng-max-rpm');
  if (!round || !axle || !limit) return [];
  const torque = e.maybe('eng-torque')?.value;
  const front = e.maybe('rec-axle-masses', 'front')?.value;
  const rear = e.maybe('rec-axle-masses', 'rear')?.value;
  const layout = e.maybeWord('rec-drive-layout');
  const load = layout === undefined ? undefined : drivenLoad(layout, front, rear);
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
        ...(torque !== undefined && torque > 0 && load !== undefined && load > 0
          ? { overGrip: wheelPullN(torque, ratio, axle.value, round.value, arrives) / gripN(dryFriction, load, 'all') }
          : {}),
      },
    ];
  });
}
