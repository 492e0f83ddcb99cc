import type { Condition } from '../rules/condition.ts';

export interface CircuitDef {
  id: string;
  title: string;
  kind: string;
  usualA: string;
  fuseA: string;
  sizeMm2: string;
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
export interface IoSignal {
  id: string;
  signal: string;
  direction: string;
  recipientUnit: string;
  donorUnit: string;
  standalone: string;
  carburettor: string;
  mechanicalDiesel: string;
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
