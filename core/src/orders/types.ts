/** Orders of the shop: goods that are bought, and work that goes out and comes back. One order may serve several jobs. */

export const orderSorts = ['goods', 'outside-work'] as const;
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
}

export interface OrderTimes {
  /** ISO dates. */
  orderedOn: string;
  promisedOn: string | null;
  lines: readonly OrderLine[];
}

export const orderWords = ['late', 'due', 'undated', 'part-here', 'here', 'cancelled'] as const;
/** Where an order stands: late when its day went by with something still to come. */
export type OrderWord = (typeof orderWords)[number];
