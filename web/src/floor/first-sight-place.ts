/** Where the Floor stands before the application is there. */
export const firstSightId = 'first-sight';

/** The application shows what it has now. */
export const endFirstSight = (): void => document.getElementById(firstSightId)?.remove();
