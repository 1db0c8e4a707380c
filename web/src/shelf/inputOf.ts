/** A thing as the server answers it. */
export type Stored<T> = T & { readonly id: string; readonly version: number };

/** What the shelf adds to what was said of a thing. */
const ADDED = ['id', 'version', 'lots', 'onHand', 'onHandG', 'peak', 'peakG', 'asFibre'];

/** What is written of a stored thing: all but what the shelf adds to it. */
export const inputOf = <T>(stored: Stored<T>): T =>
  Object.fromEntries(Object.entries(stored as object).filter(([name]) => !ADDED.includes(name))) as T;
