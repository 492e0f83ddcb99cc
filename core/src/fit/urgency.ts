import type { FitLine } from './judge.ts';

/** What a place wants of somebody, the most pressing first. */
export type Urgency = 'clash' | 'decide' | 'look-again' | 'one-fact' | 'measure' | 'settled';

/**
 * What a place wants: a way out of a clash, one for an Adapt, another look because something it stands on or touches changed, the
 * one fact that is missing, several of them or a person's judgement, or nothing.
 */
export function urgencyOf({ verdict, resolved, waived, stale, knockOnOpen }: FitLine): Urgency {
  if (verdict.word === 'clash' && !resolved) return 'clash';
  if (stale || knockOnOpen.length > 0) return 'look-again';
  if (verdict.word === 'adapt' && !resolved) return 'decide';
  if (verdict.word === 'not-measured' && !waived) return verdict.needs.length === 1 ? 'one-fact' : 'measure';
  return 'settled';
}
