export type FactSubject = 'recipient' | 'donor' | 'engine' | 'gearbox' | 'choice';

/** One value of a fact. Exactly one of unit, options, text is given; unit '' is a plain number. */
export interface FactPart {
  key: string;
  label: string;
  unit?: string;
  options?: readonly string[];
  text?: true;
}

export interface FactDef {
  id: string;
  subject: FactSubject;
  group: string;
  label: string;
  parts: readonly FactPart[];
  /** What the kind adds in words: between which faces, at which condition. */
  kindNote?: string;
  howTo: string;
  /** Ids of interfaces, kit lines, gates, faults, observations that ask for it. */
  neededBy: readonly string[];
}

export const factSources = ['measured', 'looked-up', 'assumed'] as const;
export type FactSource = (typeof factSources)[number];

/** What is known of one fact. A part that is not in `parts` is not known. */
export interface FactValue {
  parts: Readonly<Record<string, number | string>>;
  typed: Readonly<Record<string, string>>;
  source: FactSource;
  by?: string;
  at?: string;
  note?: string | null;
  revision?: number;
}

/** Everything known about one set of subjects; a fact that is not in it is not known. */
export type FactBook = ReadonlyMap<string, FactValue>;
