/** Work that two people do, wherever it stands: a step of the pull or of the build, a line of a gate. */
export interface TwoPersonStep {
  id: string;
  step: string;
  /** How long both are needed, minutes (an estimate); without it from the first to the last moment of the step. */
  bothMinutes?: { least: number; most: number };
  roles: string;
  /** What stands in for the second person; without it nobody does this alone. */
  alone?: string;
  /** The steps and gate lines it is about. */
  at: readonly string[];
}
