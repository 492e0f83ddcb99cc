import { refits } from './data/refits.ts';
import type { BagRecord } from './records.ts';

/** Bags of bolts as the steps of putting together want them. */

const goesBackAt = new Map<string, string[]>();
for (const [off, on] of refits) goesBackAt.set(off, [...(goesBackAt.get(off) ?? []), on]);

/** The steps at which what came off at a step goes back, by the keys of their records; none where nobody knows. */
export const refitsOf = (step: string): readonly string[] => goesBackAt.get(step) ?? [];

/** Where a bag is wanted: where somebody said, else where what came off at its step goes back. */
export const bagWantedAt = ({ step, goesAt }: BagRecord): readonly string[] =>
  goesAt !== undefined ? [goesAt] : step === undefined ? [] : refitsOf(step);

/** What the bolts of a bag are, in one line. */
export const boltsOf = (b: BagRecord): string =>
  [
    b.count === undefined ? '' : `${b.count} ×`,
    b.thread ?? '',
    b.lengthMm === undefined ? '' : `${b.lengthMm} mm`,
    b.head ?? '',
  ]
    .filter((w) => w !== '')
    .join(' ');

/** Bags that are still full, by the step that wants them: what each is called in a sentence. */
export function fullBagsAt(bags: Readonly<Record<string, BagRecord>>): Map<string, readonly string[]> {
  const wanted = new Map<string, string[]>();
  for (const bag of Object.values(bags)) {
    if (bag.back) continue;
    const said = `bag ${bag.label}, ${bag.what}`;
    for (const step of bagWantedAt(bag)) wanted.set(step, [...(wanted.get(step) ?? []), said]);
  }
  return wanted;
}

/** Bolts that nobody put back: left over of bags that are empty. */
export const leftOverOf = (
  bags: Readonly<Record<string, BagRecord>>,
): { label: string; what: string; left: number; why: string }[] =>
  Object.values(bags).flatMap(({ back, leftOver, leftWhy, label, what }) =>
    back && leftOver !== undefined && leftOver > 0 ? [{ label, what, left: leftOver, why: leftWhy ?? '' }] : [],
  );
