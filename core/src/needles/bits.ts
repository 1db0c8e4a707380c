/** A set of small whole numbers, thirty to a word: many of them are made and compared. */
export type Bits = Int32Array;

const PER_WORD = 30;

export const noBits = (size: number): Bits => new Int32Array(Math.max(1, Math.ceil(size / PER_WORD)));

export const hasBit = (bits: Bits, at: number): boolean =>
  ((bits[Math.floor(at / PER_WORD)] ?? 0) & (1 << (at % PER_WORD))) !== 0;

/** Puts one in, in place. */
export function setBit(bits: Bits, at: number): void {
  const word = Math.floor(at / PER_WORD);
  bits[word] = (bits[word] ?? 0) | (1 << (at % PER_WORD));
}

/** Whether all of `part` are in `whole`. */
export const hasAll = (whole: Bits, part: Bits): boolean =>
  part.every((word, index) => (word & ~(whole[index] ?? 0)) === 0);
