/** The same order on every machine: a key that is sorted by a language differs from one studio to the next. */
export const byCodePoint = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);
