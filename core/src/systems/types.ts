import type { Condition } from '../rules/condition.ts';
import type { LoadKind } from '../sums/electric.ts';

/** A usual range, or words where no number can be had before something else is known. */
export type Usual = { least: number; most: number; note?: string } | { words: string };

export interface CircuitDef {
  id: string;
  title: string;
  /** Both ends; empty where the title names no two. */
  from: string;
  to: string;
  kind: string;
  load: LoadKind;
  /** What such a circuit usually draws, its fuse and its wire: estimates to start from, not measures. */
  amps: Usual;
  fuse: Usual;
  mm2: Usual;
  when: Condition;
  proof: string;
}
export interface EarthDef {
  id: string;
  earth: string;
  size: string;
  place: string;
  proof: string;
}
/** The ways of running an engine, as columns of the signal table. */
export type Strategy = 'recipientUnit' | 'donorUnit' | 'standalone' | 'carburettor' | 'mechanicalDiesel';

/** needs: does not run without; wants: runs with limits, a code or a lamp; dash: as the dash asks; elsewhere: comes from or goes to what the note says. */
export interface SignalWant {
  want: 'needs' | 'wants' | 'dash' | 'elsewhere';
  note?: string;
}

export interface IoSignal {
  id: string;
  signal: string;
  direction: 'in' | 'out' | 'both';
  by: Partial<Record<Strategy, SignalWant>>;
  /** What is asked before anything is ordered. */
  ask: string;
}
export interface LabelColumn {
  id: string;
  rule: string;
  content: string;
}
export interface BenchTest {
  id: string;
  test: string;
  expect: string;
  when: Condition;
  finds: string;
}
export interface PracticeRule {
  id: string;
  group: string;
  rule: string;
  number: string;
  basis: string;
  why: string;
}
export interface HeatMeans {
  id: string;
  means: string;
  use: string;
  caution: string;
}
export interface FillStep {
  id: string;
  step: string;
  number: string;
  caution: string;
}
