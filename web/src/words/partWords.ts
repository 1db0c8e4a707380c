import { showLengths, showSizesMm, sizesOf, type LengthUnit, type Part, type RollUp } from '@lanakit/core';
import { SHAPE_WORDS } from './show.ts';

const UNKNOWN = 'size unknown';

/** `82 × 60 mm`, or that nobody has said. */
export function sizesOfPart(part: Part): string {
  const sizes = [...sizesOf(part.shape).values()];
  const known = sizes.filter((size) => size !== null);
  return known.length === sizes.length ? showLengths(known) : UNKNOWN;
}

/** `egg 82 × 60 mm` */
export function sizeLine(part: Part): string {
  const sizes = sizesOfPart(part);
  return `${SHAPE_WORDS[part.shape.kind]}${sizes === UNKNOWN ? ',' : ''} ${sizes}`;
}

/** What to roll or lay out, in hands' words. */
export function rollUpWords(rollUp: RollUp, unit: LengthUnit): string {
  if (rollUp.kind === 'rolled') return `roll to ${showSizesMm(rollUp.solid.sizesMm, unit)}`;
  const face = showSizesMm([rollUp.lengthMm, rollUp.widthMm], unit);
  return `lay out ${face}, ${Math.max(1, Math.round(rollUp.depthMm))} mm deep`;
}
