import type { Sum } from '../../rules/sum.ts';
import type { FitEvidence } from '../evidence.ts';
import { gearboxCentre } from '../mounts/judged.ts';
import { gearboxBalance } from '../../sums/index.ts';
import { plateOf } from '../stack/sums.ts';

/** What comes into the car and what goes out, each with its place: weight on the axles by levers. */

export interface MassLine {
  name: string;
  /** What goes out is negative. */
  kg: Sum;
  /** Ahead of the firewall, mm. */
  x: Sum;
}

export interface AxleWeights {
  lines: readonly MassLine[];
  /** What the front axle and the rear axle gain, kg. */
  front: Sum;
  rear: Sum;
}

const place = 'cho-engine-place';

/** Change of both axles by levers; nothing while wheelbase or a place is not known. */
export function axleWeights(e: FitEvidence): AxleWeights | undefined {
  const base = e.maybe('rec-wheelbase');
  const axle = e.maybe('rec-wheelbase', 'front-axle-x');
  const bell = e.maybe(place, 'bell-face-ahead-of-firewall-x');
  const cg = e.maybe('eng-cg', 'x-ahead-of-bell-face');
  if (!base || !axle || !bell || !cg) return undefined;
  const nothing = e.limit('Nothing', 0, 'kg', 'to start from');
  const leaves = e.maybeOutgoing('eng-cg', 'x-ahead-of-bell-face') ?? half(e, e.maybeOutgoing('eng-length')) ?? cg;
  const lines: MassLine[] = [
    { name: 'Engine that comes in', kg: e.fact('eng-mass'), x: bell.plus(cg) },
    {
      name: 'Engine that goes out',
      kg: nothing.minus(e.outgoing('eng-mass')),
      x: bell.plus(leaves).plus(e.assume('Its bell face from the new one', 0, 'mm', 'nobody read where it sat')),
    },
  ];
  const gearbox = e.maybe('gbx-mass');
  const own = e.maybeOutgoing('gbx-mass');
  const long = e.maybe('gbx-length');
  if (gearbox && own && long) {
    const plate = plateOf(e);
    const face = plate ? bell.minus(plate) : bell;
    const ownLong = e.maybeOutgoing('gbx-length');
    const behind = gearboxCentre(e, long);
    lines.push(
      { name: 'Gearbox that comes in', kg: gearbox, x: face.minus(behind) },
      {
        name: 'Gearbox that goes out',
        kg: nothing.minus(own),
        x: bell.minus(
          ownLong
            ? ownLong.times(e.assume('Of its length', gearboxBalance, '', 'where gearboxes balance'), 'Its centre')
            : behind,
        ),
      },
    );
  }
  lines.push(...massesMoved(e));
  const onFront = lines.map(({ name, kg, x }) =>
    kg.through(
      `${name}, on the front axle`,
      'kg',
      (mass, at, wheelbase, front) => (mass * (at - (front - wheelbase))) / wheelbase,
      'levers',
      x,
      base,
      axle,
    ),
  );
  const front = onFront.slice(1).reduce((sum, one) => sum.plus(one), onFront[0]!);
  const all = lines.slice(1).reduce((sum, { kg }) => sum.plus(kg), lines[0]!.kg);
  return { lines, front, rear: all.minus(front) };
}

const half = (e: FitEvidence, length: Sum | undefined): Sum | undefined =>
  length?.times(e.assume('Half of it', 0.5, '', 'where engines balance'), 'Centre of gravity of the one that goes out');

/** What else comes in, goes out or moves, as somebody wrote it: each a mass at its place. */
export function massesMoved(e: FitEvidence): MassLine[] {
  const list = e.books.job.get('cho-masses-moved')?.parts['list'];
  const rows = typeof list === 'object' ? list : [];
  return rows.flatMap(([x], i) => {
    const name = `Mass ${i + 1}, ${Math.abs(x!).toFixed(0)} mm ${x! < 0 ? 'behind' : 'ahead of'} the firewall`;
    const kg = e.ofStations('cho-masses-moved', 'list', name, (all) => all[i]![1]);
    return kg ? [{ name, kg, x: e.limit('Its place', x!, 'mm', 'as it was written') }] : [];
  });
}
