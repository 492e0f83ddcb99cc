export interface SchoolQuestion {
  id: string;
  question: string;
  sides: readonly { id: string; label: string }[];
  /** The default as the trade words it; it may depend on the car. */
  defaultWords: string;
  why: string;
  /** The side taken when nobody chose. */
  defaultSide: string;
}

export interface SchoolSide {
  id: string;
  standsFor: string;
  reasons: string;
  suits: string;
  weak: string;
  changes: string;
}

export interface NotASchool {
  id: string;
  floor: string;
  because: string;
}

/** Chosen sides by question id, and whether a person chose them. */
export type SchoolChoice = ReadonlyMap<string, { side: string; from: 'default' | 'shop' | 'job' }>;
