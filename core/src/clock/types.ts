export interface DurationDef {
  id: string;
  task: string;
  /** Low, likely, high. */
  hours: readonly number[];
  people: string;
  needs: string;
  skill: string;
  leftOut: string;
}

export interface WaitDef {
  id: string;
  wait: string;
  low: string;
  likely: string;
  high: string;
  unit: string;
  starts: string;
  holds: string;
  shortenBy: string;
}

export interface TimeFactor {
  id: string;
  factor: string;
  multiplyBy: string;
  appliesTo: string;
}

export interface TwoPersonStep {
  id: string;
  step: string;
  bothMinutes: string;
  roles: string;
  ifAlone: string;
}
