/** The place in the head of every page where an open job says which it is, on screens that have no room for more. */
export const hereId = 'here';
export const herePlace = (): HTMLElement | null => document.getElementById(hereId);
