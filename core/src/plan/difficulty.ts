import type { FitWord } from '../fit/types.ts';
import type { Nearness } from './pairings.ts';

/** How hard a pair is, and how new to this shop: counted, with what follows from it. */
export interface Difficulty {
  word: 'known-ground' | 'usual' | 'hard';
  /** What speaks for that, a clause each. */
  why: readonly string[];
  /** What to plan for it, a sentence; nothing where it is known ground. */
  follows: string;
  /** What "this pair in this shop" is by the closed jobs. */
  pairing: 'first-here' | 'near-pair' | 'done-here';
}

/** From here on a pair is hard: places that clash, and places that nobody measured. Common practice, no source. */
const manyClashes = 3;
const mostlyUnmeasured = 0.5;

const nearest = (near: readonly Nearness[]): Difficulty['pairing'] =>
  near.includes('engine-and-car') ? 'done-here' : near.length > 0 ? 'near-pair' : 'first-here';

/** How hard: `counts` are the places by verdict, open ones only where they clash; `near` is how near each closed job is. */
export function difficultyOf(counts: Readonly<Record<FitWord, number>>, near: readonly Nearness[]): Difficulty {
  const pairing = nearest(near);
  const places = Object.values(counts).reduce((sum, n) => sum + n, 0);
  const unmeasured = places > 0 && counts['not-measured'] / places > mostlyUnmeasured;
  const hard = counts.clash >= manyClashes || (pairing === 'first-here' && (counts.clash > 0 || unmeasured));
  const word = hard ? 'hard' : pairing === 'done-here' && counts.clash === 0 && !unmeasured ? 'known-ground' : 'usual';
  const has = (pair: Nearness): boolean => near.includes(pair) || near.includes('engine-and-car');
  const why = [
    `${counts.clash} open ${counts.clash === 1 ? 'clash' : 'clashes'}, ${counts.adapt} to adapt, ${counts['not-measured']} not measured`,
    pairing === 'done-here'
      ? 'this engine was put into this car here before'
      : `${has('engine') ? 'the engine is known here' : 'the engine is new here'}, ${has('car') ? 'the car is known here' : 'the car is new here'}, the two together are new`,
  ];
  const follows = {
    hard: 'Measure more before a price is named, foresee more lifts and hours, and give it to somebody who has fitted a strange engine before',
    usual: 'Measure what is not measured before parts are ordered',
    'known-ground': '',
  }[word];
  return { word, why, follows, pairing };
}
