import {
  showLengths,
  showSizeMm,
  showTypedLength,
  sizesOf,
  toMm,
  type Length,
  type LengthUnit,
  type Part,
  type PartEstimate,
} from '@lanakit/core';
import { sizeWords } from '@lanakit/core/words';
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

/** `length 82 mm exactly, across about 60 mm`: each size with how exactly it is meant; calculated where it follows. */
export function sizesToHold(part: Part, estimate: PartEstimate | null, unit: LengthUnit): string {
  const { shape } = part;
  if (shape.kind === 'by-grams') return shape.massG === null ? UNKNOWN : `weighs ${showGrams(shape.massG)}`;
  const sized = estimate?.working.part.shape ?? shape;
  return [...sizesOf(sized)]
    .map(([name, size]) => {
      const words = size === null ? 'to fit' : inUnit(size, unit);
      switch (part.exactness.find((own) => own.size === name)?.is) {
        case 'exact':
          return `${sizeWords(name)} exactly ${words}`;
        case 'free':
          return `${sizeWords(name)} ${words}, or as you like`;
        case undefined:
          return `${sizeWords(name)} about ${words}`;
      }
    })
    .join(', ');
}

/** As it was typed, or in the pattern’s unit where it was worked out. */
const inUnit = (size: Length, unit: LengthUnit): string =>
  size.unit === unit ? showTypedLength(size) : showSizeMm(toMm(size), unit);
