import type { Condition } from '../rules/condition.ts';

export interface KitLineDef {
  id: string;
  system: string;
  title: string;
  /** What fitting it changes that wants approval. */
  touches?: 'structure' | 'steering' | 'brakes';
  when: Condition;
  /** Part of what stands behind the block: not wanted where all of that stays as it is. */
  behind?: true;
  /** Made to where the engine sits: not ordered before its place was read in the car. */
  toPlace?: true;
  /** Options to settle before ordering, in words. */
  options: string;
  /** Facts that fill the order; a blank one stops it. */
  optionsFrom?: readonly string[];
  leftOut: string;
  /** Low, likely, high; neutral units, estimates. */
  price: readonly number[];
}
