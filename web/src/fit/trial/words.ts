import type { LiftReason, Sitting } from '@bay/core/fit';
import type { TriedFit } from '@bay/core/logbook';

export const reasonWords: Readonly<Record<LiftReason, string>> = {
  trial: 'On trial',
  'to-stay': 'To stay',
  'put-right': 'To put something right',
};

export const sittingWords: Readonly<Record<Sitting, string>> = {
  'offered-up': 'Offered up',
  loose: 'Loose',
  tacked: 'Tacked',
  final: 'Welded or bolted for good',
};

export const fitsWords: Readonly<Record<TriedFit, string>> = {
  fits: 'Fits as it is',
  altered: 'Fits, altered',
  'does-not-fit': 'Does not fit',
};
