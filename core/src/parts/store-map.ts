/** The store as the shop draws it: places on a floor of squares, none over another. */

/** Squares of the floor, each way. */
export const mapSide = 40;

export const placeSorts = ['shelf', 'rack', 'box', 'bench', 'yard', 'shell'] as const;
export type PlaceSort = (typeof placeSorts)[number];
export const placeSortWords: Readonly<Record<PlaceSort, string>> = {
  shelf: 'Shelf',
  rack: 'Rack for engines',
  box: 'Box or drawer',
  bench: 'Bench',
  yard: 'Yard, in the open',
  shell: 'Inside a shell',
};

/** Where a place lies and how large it is, in squares from the upper left corner. */
export interface PlaceBox {
  left: number;
  top: number;
  wide: number;
  high: number;
}

export const overlaps = (a: PlaceBox, b: PlaceBox): boolean =>
  a.left < b.left + b.wide && b.left < a.left + a.wide && a.top < b.top + b.high && b.top < a.top + a.high;

/** A box of whole squares that stays on the floor: moved and cut so that it does. */
export function onFloor({ left, top, wide, high }: PlaceBox): PlaceBox {
  const within = (n: number, least: number, most: number): number => Math.min(most, Math.max(least, Math.round(n)));
  const w = within(wide, 1, mapSide);
  const h = within(high, 1, mapSide);
  return { left: within(left, 0, mapSide - w), top: within(top, 0, mapSide - h), wide: w, high: h };
}

/** The first free spot of a size, row by row; nothing where the floor is full. */
export function freeSpot(taken: readonly PlaceBox[], wide: number, high: number): PlaceBox | undefined {
  for (let top = 0; top + high <= mapSide; top += 1)
    for (let left = 0; left + wide <= mapSide; left += 1) {
      const box = { left, top, wide, high };
      if (!taken.some((t) => overlaps(t, box))) return box;
    }
  return undefined;
}

/** How full a place is, from nothing to over; nothing where nobody said what it holds. */
export const fullness = (things: number, holds: number | undefined): number | undefined =>
  holds === undefined ? undefined : things / holds;
