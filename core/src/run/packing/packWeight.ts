import { roundToMicrogram } from '../../base/index.ts';
import type { PackLine } from './packLines.ts';

/** What a pack weighs by its parts. */
export interface PackMass {
  readonly knownG: number;
  /** Things in it that nobody has weighed. */
  readonly unknownCount: number;
}

export const massOfPack = (lines: readonly PackLine[]): PackMass => ({
  knownG: roundToMicrogram(lines.reduce((sum, { massG }) => sum + (massG ?? 0), 0)),
  unknownCount: lines.filter(({ massG }) => massG === null).length,
});

/** Weighed by hand a portion is off by so much of it. Ours: what a weighing may be off and still be right. */
const BY_HAND_FRACTION = 0.05;

/** Twice what readings and hands stray by together: further off than that something is missing, or too much. */
function packToleranceG(lines: readonly PackLine[], stepG: number): number {
  const wool = lines.flatMap((line) => (line.kind === 'bag' ? line.wool : []));
  const errors = wool.map(({ massG, isByScale }) => (isByScale ? stepG / 2 : massG * BY_HAND_FRACTION));
  return roundToMicrogram(2 * Math.hypot(stepG, ...errors));
}

/** A pack that is closed and was weighed whole. */
export interface WeighedPack {
  readonly weighedG: number;
  readonly knownG: number;
}

/**
 * What a finished pack should weigh. What nobody weighs (the box, paper, needles) is the same in packs that are alike: it is the
 * middle of what those weighed over their known parts.
 * @param alike packs of the same contents that were weighed whole
 * @returns null: something of it is unknown, and no pack like it was weighed yet
 */
function expectedPackG({ knownG, unknownCount }: PackMass, alike: readonly WeighedPack[]): number | null {
  if (alike.length > 0) {
    const over = alike.map((pack) => pack.weighedG - pack.knownG).sort((a, b) => a - b);
    const [low, high] = [
      over[Math.floor((over.length - 1) / 2)] ?? 0,
      over[Math.ceil((over.length - 1) / 2)] ?? 0,
    ];
    return roundToMicrogram(knownG + (low + high) / 2);
  }
  return unknownCount === 0 ? knownG : null;
}

/**
 * What is likely missing, where a finished pack weighs less than it should: things whose weight is what is short, or, where
 * nothing alone is, two of them.
 * @param shortG grams, above nought
 * @param withinG as near counts
 */
function likelyMissing(shortG: number, lines: readonly PackLine[], withinG: number): PackLine[][] {
  const known = lines.filter(({ massG }) => massG !== null && massG > withinG);
  const fits = (group: readonly PackLine[]) =>
    Math.abs(group.reduce((sum, { massG }) => sum + (massG ?? 0), 0) - shortG) <= withinG;
  const alone = known.map((line) => [line]).filter(fits);
  if (alone.length > 0) return alone;
  return known.flatMap((line, at) => known.slice(at + 1).map((other) => [line, other])).filter(fits);
}

/** A finished pack on the scale against what it should weigh. */
export type PackWeight =
  /** Nobody knows yet what such a pack weighs: the others are held against it. */
  | { readonly kind: 'first' }
  | { readonly kind: 'right'; readonly expectedG: number }
  | {
      readonly kind: 'short' | 'over';
      readonly expectedG: number;
      /** By so much, grams. */
      readonly byG: number;
      /** What is likely missing: things, or pairs of them. */
      readonly likely: readonly (readonly PackLine[])[];
    };

/** @param stepG what the scale reads to */
export function packWeight(
  lines: readonly PackLine[],
  alike: readonly WeighedPack[],
  stepG: number,
  weighedG: number,
): PackWeight {
  const expectedG = expectedPackG(massOfPack(lines), alike);
  if (expectedG === null) return { kind: 'first' };
  const withinG = packToleranceG(lines, stepG);
  const shortG = roundToMicrogram(expectedG - weighedG);
  if (Math.abs(shortG) <= withinG) return { kind: 'right', expectedG };
  return {
    kind: shortG > 0 ? 'short' : 'over',
    expectedG,
    byG: Math.abs(shortG),
    likely: shortG > 0 ? likelyMissing(shortG, lines, withinG) : [],
  };
}
