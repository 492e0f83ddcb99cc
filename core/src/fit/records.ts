import type { FitWord } from '../rules/condition.ts';
import type { PartValue } from '../rules/book.ts';
import type { Act, Stamp } from '../rules/stamp.ts';
import type { MakingSort } from './making/steps.ts';

type Judgement = Exclude<FitWord, 'not-measured'>;

/** Facts as they were when somebody judged, by "book:fact": what a verdict stood on. */
export type StoodOn = Readonly<Record<string, Readonly<Record<string, PartValue>> | null>>;

/** What was read at one spot of a place in the trial fit. */
export type TrialReading = Act<{
  word: Judgement;
  gapMm?: number | undefined;
  place: string;
  condition: 'cold' | 'hot';
  /** The photo that shows it, a ruler in view. */
  photo?: string | undefined;
  stoodOn?: StoodOn | undefined;
  /** The gap that was forecast there when it was read, mm. */
  forecastMm?: number | undefined;
}>;

/** One more gap of a place: each spot has its own, and none overwrites another. */
export interface GapRecord extends Stamp {
  interfaceId: string;
  read: TrialReading;
  withdrawn?: Act<{ why: string }> | undefined;
}

/** What people recorded at an interface. */
export interface FitRecord {
  judged?: Act<{ word: Judgement; why: string; stoodOn?: StoodOn | undefined }> | undefined;
  trial?: TrialReading | undefined;
  /** Not measured, and accepted so by name; it counts only as long as nobody knows better. */
  waived?: Act<{ why: string }> | undefined;
  resolution?: Act<{ text: string; kit: readonly string[]; asked: readonly string[] }> | undefined;
}

/** How parts for it are to be had. */
export const partSupplies = ['good', 'scarce', 'none'] as const;
export type PartSupply = (typeof partSupplies)[number];

/** What a candidate engine would cost. */
export interface CandidateRecord extends Stamp {
  cost?: number | undefined;
  note?: string | undefined;
  /** It has run, by what is said of it, km. */
  km?: number | undefined;
  /** Days until it is here. */
  days?: number | undefined;
  supply?: PartSupply | undefined;
  /** The last day on which it may go back, an ISO date. */
  returnBy?: string | undefined;
  /** Why it is not recommended. */
  against?: string | undefined;
}

/** A piece that is missing on a candidate, with its price. */
export interface CandidatePieceRecord extends Stamp {
  unitId: string;
  what: string;
  price?: number | undefined;
  gone?: boolean | undefined;
}

/** What the customer's wish weighs among candidates, by criterion. */
export interface ChoosingRecord extends Stamp {
  weights: Record<string, number>;
}

/** How a place was read, from the surest on: one standard deviation of each is what `sureByReading` gives. */
export const shapeSureness = ['tape', 'card', 'eye'] as const;
export type ShapeSureness = (typeof shapeSureness)[number];

/** A way out that somebody knows of: a shape that comes to stand elsewhere, or ends elsewhere, by so many mm. */
export interface WayOutRecord extends Stamp {
  title: string;
  /** Id of the shape of unit or bay. */
  shape: string;
  /** Forward, to the left, up, mm. */
  x?: number | undefined;
  y?: number | undefined;
  z?: number | undefined;
  cost?: number | undefined;
  hours?: number | undefined;
  /** Who has to agree, where structure, steering or brakes are altered. */
  approval?: string | undefined;
  /** No longer thought of. */
  gone?: boolean | undefined;
  /** As people wrote it, by field. */
  typed: Record<string, string>;
}

/** A thing in the bay or on the unit that no fact covers, as a box by its six faces, in the datum of its side, mm. */
export interface OwnShapeRecord extends Stamp {
  name: string;
  side: 'bay' | 'unit';
  x: readonly [number, number];
  y: readonly [number, number];
  z: readonly [number, number];
  /** A bar, so thick, mm, from the first numbers to the second; a box where nothing is said. */
  across?: number | undefined;
  /** How it was read. */
  sure: ShapeSureness;
  /** Shapes of the other side that it is held against, and by which least gap. */
  against: readonly string[];
  clearance: string;
  gone?: boolean | undefined;
  /** As people wrote it, by field. */
  typed: Record<string, string>;
}

export const liftReasons = ['trial', 'to-stay', 'put-right'] as const;
export type LiftReason = (typeof liftReasons)[number];

/** How it sits, from the least final on. */
export const sittings = ['offered-up', 'loose', 'tacked', 'final'] as const;
export type Sitting = (typeof sittings)[number];

/** Where it was read to sit, in body datum: mm forward of the firewall, to the left, above the rail; degrees, tail down positive. */
export interface PlaceRead {
  alongMm?: number | undefined;
  sidewaysMm?: number | undefined;
  heightMm?: number | undefined;
  slopeDeg?: number | undefined;
  /** It stood on its own mounts, not on the hoist. */
  ownMounts: boolean;
  /** As people wrote it, by field. */
  typed: Record<string, string>;
}

/** Engine, or what stands in for it, put into the bay once; its own stamp says who put it in and when. */
export interface LiftRecord extends Stamp {
  reason: LiftReason;
  why: string;
  /** The quote counts with it. */
  foreseen: boolean;
  unit: 'real' | 'stand-in';
  /** What was on it, and which variant of it. */
  carries: string;
  mounts?: string | undefined;
  read?: Act<PlaceRead> | undefined;
  sits?: Act<{ how: Sitting; despite?: string | undefined }> | undefined;
  touched?: string | undefined;
  /** Moved where it sits, without coming out, so often: where it sits and how is not known any more, and what was read before is of another place. */
  shifted?: Act<{ why: string; times: number }> | undefined;
  photos?: readonly string[] | undefined;
  out?: Act<{ why: string; hours?: number | undefined }> | undefined;
  /** Put in although lines of its gate were open: why, and what stood against it. */
  deviation?: Act<{ why: string; stoodOn?: { against: readonly string[]; harm: boolean } | undefined }> | undefined;
  /** The second person's own signature under that. */
  second?: Act | undefined;
}

/** A part that is made for this car, step by step. */
export interface MakingRecord extends Stamp {
  title: string;
  sort: MakingSort;
  /** The place of the fit that it is made for. */
  place?: string | undefined;
  /** It is not made after all. */
  dropped?: Act<{ why: string }> | undefined;
}

/** One step of a part that is being made, done by whoever signs it. */
export interface MakingStepRecord extends Stamp {
  making: string;
  step: string;
  /** For the which time it is done: 1 the first. Done anew with the same words it is signed anew. */
  times: number;
  said?: string | undefined;
  mm?: number | undefined;
  /** As it was typed. */
  typed?: string | undefined;
  photo?: string | undefined;
  /** It does not stand any more: it was cut again, it cracked. */
  voided?: Act<{ why: string }> | undefined;
}

/** A part on the car that is not its own. */
export interface ForeignPartRecord extends Stamp {
  what: string;
  /** Places of the fit that it stands at. */
  places: readonly string[];
  note?: string | undefined;
  /** Kit lines that somebody held against it. */
  held?: readonly string[] | undefined;
  /** Off the car. */
  gone?: boolean | undefined;
}

export interface FitRecords {
  'foreign-part': ForeignPartRecord;
  making: MakingRecord;
  'making-step': MakingStepRecord;
  lift: LiftRecord;
  fit: FitRecord;
  gap: GapRecord;
  candidate: CandidateRecord;
  'candidate-piece': CandidatePieceRecord;
  choosing: ChoosingRecord;
  'way-out': WayOutRecord;
  'own-shape': OwnShapeRecord;
}
