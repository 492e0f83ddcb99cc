/** Changes of these carry people: somebody qualified inspects them before the first drive, and the law may ask for more. */
export const touchedParts = ['structure', 'steering', 'brakes'] as const;
export type TouchedPart = (typeof touchedParts)[number];
