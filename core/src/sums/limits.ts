/** Limits that more than one rule holds a number against: each is written once. Common practice, no source. */

/** How far two pulleys of one belt may stand out of plane: so many mm over such a span. */
export const beltOffset = { mm: 1, spanMm: 300 } as const;

/** What a hoist is to carry over the load itself: a quarter more. */
export const liftReserve = 0.25;

/** A leg of a sling flatter than this from level is refused, degrees. ASME B30.9, from memory. */
export const flattestLegDeg = 30;

/** Where a gearbox balances, as a part of its length behind its bell face: nobody weighs it. Common practice, no source. */
export const gearboxBalance = 0.4;
