import type { CircuitDef, Usual } from './types.ts';

function words(usual: Usual, unit: string): string {
  if ('words' in usual) return usual.words;
  const range = usual.least === usual.most ? `${usual.least}` : `${usual.least}–${usual.most}`;
  return `${range} ${unit}${usual.note ? `, ${usual.note}` : ''}`;
}

export const usualAmpsWords = (def: CircuitDef): string => words(def.amps, 'A');
export const usualFuseWords = (def: CircuitDef): string => words(def.fuse, 'A');
export const usualMm2Words = (def: CircuitDef): string => words(def.mm2, 'mm²');

/**
 * Where a new circuit starts from: the most it usually draws, A; the least wire, mm², and the least fuse, A, that are usual. What is
 * no number (the output of an alternator nobody named) stays open: a factor is not a size.
 */
export function usualStart(def: CircuitDef): { currentA?: number; areaMm2?: number; fuseA?: number } {
  return {
    ...('words' in def.amps ? {} : { currentA: def.amps.most }),
    ...('words' in def.mm2 ? {} : { areaMm2: def.mm2.least }),
    ...('words' in def.fuse ? {} : { fuseA: def.fuse.least }),
  };
}
