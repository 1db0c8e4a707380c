import { type FibreInput, fibreNumber } from '../shelf/index.ts';

/** Bags as hands know them, litres. */
export const BAG_SIZES = [
  { id: 'handful', words: 'a handful', litres: 0.5 },
  { id: 'loaf', words: 'as big as a loaf', litres: 2 },
  { id: 'cushion', words: 'as big as a cushion', litres: 10 },
  { id: 'sack', words: 'a full sack', litres: 40 },
] as const;

/** Wool squeezed into a bag lies so many times as dense as torn off (ours). */
const SQUEEZED = 1.6;

/**
 * About what is in a bag of wool: its volume by how loose such wool lies. To two digits: nobody knows it better by eye.
 * @returns null where its preparation has no loft that is known
 */
export function gramsOfBag(fibre: FibreInput, litres: number): number | null {
  const loft = fibreNumber(fibre, 'loftGPerCm3');
  return loft && Number((litres * 1000 * loft.value * SQUEEZED).toPrecision(2));
}
