/** Pieces as they are sent: a whole number, none where nothing is typed, and no number where the words are none. */
export const counting = (typed: string): number => (typed.trim() === '' ? 0 : Number(typed.trim()));
