import type { ProofRunRecord } from './records.ts';

/** How far a run proves engine and gearbox before they are taken out. Common practice, no source. */

/** At least so long at working heat, minutes; coolant that is warm, °C; oil pressure at hot idle below which a bearing is doubted, bar. */
const least = { minutes: 15, coolantC: 80, oilHotBar: 0.7 } as const;

export interface ProofOfRun {
  /** What nobody wrote: it is not proved by that. */
  gaps: readonly string[];
  /** What speaks against it. */
  against: readonly string[];
  proved: boolean;
}

/** What a run proves, what is missing for it, and what speaks against it. An unsigned run proves nothing to anybody else. */
export function proofOf(run: ProofRunRecord): ProofOfRun {
  const gaps: string[] = [];
  const against: string[] = [];
  const need = (known: boolean, words: string): void => void (known || gaps.push(words));
  need(run.minutes !== undefined, 'how long it ran');
  need(run.coolantC !== undefined, 'coolant temperature');
  need(run.oilColdBar !== undefined, 'oil pressure cold');
  need(run.oilHotBar !== undefined, 'oil pressure hot at idle');
  need((run.codes ?? '') !== '', 'codes, or that there are none');
  need(run.shifts !== 'not-tried', 'whether it shifts');
  need(run.joints !== 'not-looked', 'whether its joints are dry');
  need(run.signed !== undefined, 'a second name under it');
  if (run.minutes !== undefined && run.minutes < least.minutes)
    against.push(`ran ${run.minutes} min, ${least.minutes} wanted`);
  if (run.coolantC !== undefined && run.coolantC < least.coolantC)
    against.push(`never got warm: ${run.coolantC} °C, ${least.coolantC} wanted`);
  if (run.oilHotBar !== undefined && run.oilHotBar < least.oilHotBar)
    against.push(`${run.oilHotBar} bar of oil hot at idle, ${least.oilHotBar} wanted`);
  if (run.shifts === 'badly') against.push('shifts badly');
  if (run.joints === 'leaks') against.push('leaks');
  return { gaps, against, proved: gaps.length === 0 && against.length === 0 };
}
