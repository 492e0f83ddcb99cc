/** A count with its noun in the right number: "1 line", "3 lines", "0 lines". */
export const counted = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;

/** Words as they begin a line. */
export const capital = (words: string): string => `${words.slice(0, 1).toUpperCase()}${words.slice(1)}`;
