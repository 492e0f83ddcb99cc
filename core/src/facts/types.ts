export type FactSubject = 'recipient' | 'donor' | 'engine' | 'gearbox' | 'choice';

/** One value of a fact. Exactly one of unit, options, text, columns is given; unit '' is a plain number, columns make a list of stations. */
export interface FactPart {
  key: string;
  label: string;
  unit?: string;
  options?: readonly string[];
  text?: true;
  /** What each station has, its place first. */
  columns?: readonly { key: string; label: string; unit: string }[];
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
