import type { Length } from '../units/index.ts';

/** A length somewhere in a document. */
export interface PlacedLength {
  readonly pointer: string;
  readonly length: Length;
}

const isLength = (value: object): value is Length => 'value' in value && 'unit' in value;

/** Every length in a piece of a document, with its place. @param pointer JSON pointer of the piece */
export function lengthsIn(value: unknown, pointer: string): PlacedLength[] {
  if (value === null || typeof value !== 'object') return [];
  if (isLength(value)) return [{ pointer, length: value }];
  return Object.entries(value).flatMap(([key, inner]) => lengthsIn(inner, `${pointer}/${key}`));
}
