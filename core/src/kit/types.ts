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
  /** What fills the order from the cards, a field each; a blank one stops it. */
  optionsFrom?: readonly OrderField[];
  leftOut: string;
  /** Low, likely, high; neutral units, estimates. */
  price: readonly number[];
}

/** A fact that an order asks for: known at all, or these parts of it. Asked only where its condition is not certainly false. */
export type OrderField = string | { fact: string; parts?: readonly string[]; when?: Condition };
