import type { Condition } from '../rules/condition.ts';

/** What the engine does with the fault: nothing, it turns by the starter, it runs. */
export const engineStates = ['still', 'turns', 'runs'] as const;
export type EngineState = (typeof engineStates)[number];

export interface FaultDef {
  id: string;
  title: string;
  system: string;
  prior: number;
  /** Only a certain no leaves the fault out. */
  onlyWhen: Condition;
  /** Each that is true makes it three times as likely. */
  raisedBy: readonly Condition[];
  fix: string;
}

export interface ObservationDef {
  id: string;
  question: string;
  kind: string;
  unit?: string;
  /** The healthy outcome comes first. */
  outcomes: readonly { id: string; base: number }[];
  minutes: number;
  /** 0 none, 1 key on, 2 cranking or hot, 3 fuel open or high tension: never alone. */
  risk: number;
  needs: string;
}

export type LikelihoodMatrix = Readonly<Record<string, Readonly<Record<string, Readonly<Record<string, number>>>>>>;
