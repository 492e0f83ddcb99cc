/** Limits that more than one rule holds a number against: each is written once. Common practice, no source. */

/** How far two pulleys of one belt may stand out of plane: so many mm over such a span. */
export const beltOffset = { mm: 1, spanMm: 300 } as const;
