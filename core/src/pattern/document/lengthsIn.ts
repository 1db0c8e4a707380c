import type { Length } from '../../base/index.ts';

/** A length somewhere in a document. */
export interface PlacedLength {
  readonly pointer: string;
  readonly length: Length;
}

const isLength = (value: object): value is Length => 'value' in value && 'unit' in value;

/** Every length in a piece of a document, with its place. @param pointer JSON pointer of the piece */
export function lengthsIn(value: unknown, pointer: string): PlacedLength[] {
  const found: PlacedLength[] = [];
  collect(value, pointer, found);
  return found;
}

function collect(value: unknown, pointer: string, found: PlacedLength[]): void {
  if (value === null || typeof value !== 'object') return;
  if (isLength(value)) {
    found.push({ pointer, length: value });
    return;
  }
  for (const key in value) {
    const inner: unknown = (value as Readonly<Record<string, unknown>>)[key];
    if (typeof inner === 'object' && inner !== null) collect(inner, `${pointer}/${key}`, found);
  }
}
