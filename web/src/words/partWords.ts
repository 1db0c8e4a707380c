import { type Length, showLengths, showTypedLength } from '@lanakit/core/base';
import type { Part } from '@lanakit/core/pattern';
import { sizesOf } from '@lanakit/core/shapes';
import { SHAPE_WORDS, showGrams } from './show.ts';

const UNKNOWN = 'size unknown';

/** `82 × 60 mm`, or that nobody has said. */
export function sizesOfPart(part: Part): string {
  const { shape } = part;
  if (shape.kind === 'by-grams') return shape.massG === null ? UNKNOWN : showGrams(shape.massG);
  if (shape.kind === 'by-count') return '';
  const sizes = [...sizesOf(shape)].map(([name, size]) => size ?? derivedWords(part, name));
  if (sizes.includes(null)) return UNKNOWN;
  const given = sizes.filter((size) => size !== null && typeof size !== 'string');
  return given.length === sizes.length ? showLengths(given) : sizes.map(shownSize).join(' × ');
}

const derivedWords = ({ derived }: Part, name: string): string | null =>
  derived.some(({ size }) => size === name) ? 'to fit' : null;

const shownSize = (size: Length | string | null): string =>
  size === null ? '?' : typeof size === 'string' ? size : showTypedLength(size);

/** `egg 82 × 60 mm` */
export function sizeLine(part: Part): string {
  const sizes = sizesOfPart(part);
  return `${SHAPE_WORDS[part.shape.kind]}${sizes === UNKNOWN ? ',' : ''} ${sizes}`;
}
