export interface KitLineDef {
  id: string;
  system: string;
  title: string;
  /** Condition; see plan/condition.ts. */
  when: string;
  /** Options to settle before ordering, in words. */
  options: string;
  /** Facts that fill the order; a blank one stops it. */
  optionsFrom?: readonly string[];
  leftOut: string;
  /** Low, likely, high; neutral units, estimates. */
  price: readonly number[];
}

export const kitStatuses = ['wanted', 'ordered', 'here', 'fitted', 'sent-back', 'not-needed'] as const;
export type KitStatus = (typeof kitStatuses)[number];

export interface KitRecord {
  status: KitStatus;
  options?: string | undefined;
  note?: string | undefined;
  price?: number | undefined;
  by?: string;
  at?: string;
}
