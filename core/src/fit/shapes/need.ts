import type { Sum } from '../../rules/sum.ts';
import { clearanceOf } from '../evidence.ts';
import type { FitEvidence } from '../evidence.ts';
import { rockOf } from '../mounts/rock.ts';
import type { PairRule } from './pairs.ts';
import type { FitShape } from './types.ts';

/**
 * The least gap of a pair, mm: that of its row, and the rock of the cushions: as far as these shapes of the unit swing where what the
 * cushions give is known, as the table has it where it is not.
 */
export function needOf(e: FitEvidence, pair: PairRule, unit: readonly FitShape[]): Sum {
  const { staticMm, rockMm, pair: words } = clearanceOf(pair.clearance);
  const rock = rockMm.some((mm) => mm > 0)
    ? rockOf(
        e,
        unit.flatMap((s) => s.points),
      )
    : undefined;
  return rock
    ? e.limit(`Least gap, ${words}`, staticMm, 'mm', 'common practice').plus(rock)
    : e.clearance(pair.clearance);
}

/** The same with what the row asks to be left over. */
export function needWithSpare(e: FitEvidence, pair: PairRule, unit: readonly FitShape[]): Sum {
  const need = needOf(e, pair, unit);
  return pair.spare ? need.plus(e.limit(pair.spare.label, pair.spare.mm, 'mm', 'common practice')) : need;
}
