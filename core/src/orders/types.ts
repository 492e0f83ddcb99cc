/** Orders of the shop: goods that are bought, work that goes out and comes back, tools that are borrowed. One order may serve several jobs. */

export const orderSorts = ['goods', 'outside-work', 'borrowed'] as const;
export type OrderSort = (typeof orderSorts)[number];

export interface OrderLine {
  id: string;
  title: string;
  count: number;
  /** Of these came whole and right. */
  came: number;
  /** Of these came damaged, or were another part. */
  wrong: number;
  /** Sent back, right or wrong. */
  sentBack: number;
  cancelled: boolean;
  /** Pieces that the shop owes back: old parts against their deposit, the borrowed thing itself. */
  owed: number;
  /** Of these went back. */
  given: number;
  /** By when they are to be back, ISO date. */
  owedBy: string | null;
}

export interface OrderTimes {
  /** ISO dates. */
  orderedOn: string;
  promisedOn: string | null;
  lines: readonly OrderLine[];
}

export const orderWords = ['late', 'due', 'undated', 'part-here', 'owes-late', 'owes', 'here', 'cancelled'] as const;
/** Where an order stands: late when its day went by with something still to come. */
export type OrderWord = (typeof orderWords)[number];
