import type { Act, Stamp } from '../rules/stamp.ts';

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

export const worksStates = ['works', 'does-not'] as const;

/** Something of the car that was tried when it came, and again before it goes. */
export interface WorksRecord extends Stamp {
  what: string;
  state: (typeof worksStates)[number];
  note?: string | undefined;
  again?: Act<{ state: (typeof worksStates)[number]; note?: string | undefined }> | undefined;
}

export const deadlineReasons = ['none', 'event', 'race', 'inspection', 'season', 'other'] as const;

/** What was taken down with the car when it came. */
export interface ArrivalRecord extends Stamp {
  odometerKm?: number | undefined;
  odometerFrom?: 'odometer' | 'paper' | 'said' | undefined;
  keys?: number | undefined;
  fuel?: string | undefined;
  fluids?: string | undefined;
  /** Warning lamps and stored codes. */
  lamps?: string | undefined;
  codes?: string | undefined;
  /** Things of the customer that stay in it. */
  things?: string | undefined;
  /** Why it must be done by a day. */
  deadline?: (typeof deadlineReasons)[number] | undefined;
  deadlineNote?: string | undefined;
  /** What the customer wants to spend, in the smallest unit of the shop's currency. */
  budget?: number | undefined;
  /** Drawn by the customer on the tablet: lines of points, each 0 to 1000 across and 0 to 300 down. */
  received?: Act<{ name: string; strokes: readonly (readonly (readonly [number, number])[])[] }> | undefined;
}

export interface ArrivalRecords {
  'as-it-came': CameRecord;
  works: WorksRecord;
  arrival: ArrivalRecord;
}
