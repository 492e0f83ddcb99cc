import type { OwnSort } from '@bay/core/memory';

export const sortWords: Readonly<Record<OwnSort, string>> = {
  step: 'A step',
  part: 'A part to buy',
  check: 'A check before a gate',
  circuit: 'A circuit',
};
