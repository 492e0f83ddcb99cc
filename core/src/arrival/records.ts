import type { Stamp } from '../rules/stamp.ts';

/** The four views of a car that one walks round. */
export const carViews = ['left', 'front', 'right', 'rear'] as const;
export type CarView = (typeof carViews)[number];

/** What a mark on a view of the car says, with the letter that stands in it. */
export const cameWith = {
  damage: { letter: 'D', word: 'Damage' },
  rust: { letter: 'R', word: 'Rust' },
  missing: { letter: 'M', word: 'Missing' },
  leak: { letter: 'L', word: 'Leak' },
  repair: { letter: 'E', word: 'Earlier repair' },
} as const;
export type CameWith = keyof typeof cameWith;

/** Something seen on the car as it came, so that nobody is blamed for it later. */
export interface CameRecord extends Stamp {
  view: CarView;
  /** On the view, 0 to 1 from its left and from its ground. */
  x: number;
  y: number;
  what: CameWith;
  note: string;
  /** Set in error: it is drawn no more and stays in the book. */
  removed?: boolean | undefined;
}

export interface ArrivalRecords {
  'as-it-came': CameRecord;
}
