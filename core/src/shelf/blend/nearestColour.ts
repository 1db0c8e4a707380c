import { colourDifference } from '../colour/colour.ts';
import { mixerOf } from './mixer.ts';
import { nearestGroups } from './nearestGroups.ts';

/** A fibre that may go into a substitute. */
export interface Candidate {
  readonly id: string;
  readonly colour: string;
}

/** Something on the shelf, or a blend of it, that comes near a wanted colour. */
export interface NearColour {
  readonly parts: readonly { readonly id: string; readonly parts: number; readonly fraction: number }[];
  readonly colour: string;
  /** CIEDE2000 to what is wanted. */
  readonly deltaE: number;
}

export interface Nearest {
  readonly singles: readonly NearColour[];
  readonly blends: readonly NearColour[];
  /** How many pairs and trios were mixed in every ratio, of how many there are. */
  readonly judged: number;
  readonly possible: number;
}

export interface NearestOptions {
  /** How many of each to name. */
  readonly most?: number;
  /** How many pairs and trios to mix in full; those the quick pass finds nearest. */
  readonly closely?: number;
  /** Told now and then how far along it is, 0–1. */
  readonly onProgress?: (fraction: number) => void;
}

/** Parts of a blend are whole eighths: fine enough for the eye, and countable. */
const EIGHTHS = 8;
const CLOSELY = 1500;
/** A third fibre that does not bring it nearer by this much is not worth weighing. */
const WORTH_A_FIBRE_DELTA_E = 0.3;

/**
 * The fibres, and the blends of two and three of them in eighths, nearest to a colour.
 *
 * All trios of 200 fibres in all ratios are 27 million mixtures. Mixing is a weighted mean in the mixing function’s
 * space, so a quick pass in three bands asks of each pair and trio how near the wanted colour its line or triangle
 * passes; the nearest 1 500 are then mixed in full, in every ratio. A shelf of up to 20 fibres is searched whole.
 */
export function nearestColours(
  wanted: string,
  candidates: readonly Candidate[],
  { most = 6, closely = CLOSELY, onProgress = () => undefined }: NearestOptions = {},
): Nearest {
  const mixer = mixerOf(wanted, candidates);
  const groups = nearestGroups(mixer.bands, closely, onProgress);
  const named = (indices: readonly number[], parts: readonly number[]): NearColour => {
    const colour = mixer.colourOf(indices, parts);
    return {
      parts: indices.map((index, k) => ({
        id: candidates[index]?.id ?? '',
        parts: parts[k] ?? 0,
        fraction: (parts[k] ?? 0) / EIGHTHS,
      })),
      colour,
      deltaE: colourDifference(wanted, colour),
    };
  };
  const singles = candidates.map(({ id, colour }) => ({
    parts: [{ id, parts: 1, fraction: 1 }],
    colour,
    deltaE: colourDifference(wanted, colour),
  }));
  const blends = groups.nearest
    .map((indices) => bestRatio(indices, mixer.roughDeltaE))
    .sort((a, b) => a.roughDeltaE - b.roughDeltaE)
    .slice(0, most * 20)
    .map(({ indices, parts }) => named(indices, parts));
  return {
    singles: inOrder(singles).slice(0, most),
    blends: withoutIdle(inOrder(blends)).slice(0, most),
    judged: groups.nearest.length,
    possible: groups.possible,
  };
}

const inOrder = (found: readonly NearColour[]): NearColour[] =>
  [...found].sort((a, b) => a.deltaE - b.deltaE || a.parts.length - b.parts.length);

function withoutIdle(found: readonly NearColour[]): NearColour[] {
  const holds = (many: NearColour, few: NearColour) =>
    few.parts.length < many.parts.length &&
    few.parts.every(({ id }) => many.parts.some((part) => part.id === id));
  return found.filter(
    (nearColour) =>
      !found.some(
        (other) => holds(nearColour, other) && other.deltaE < nearColour.deltaE + WORTH_A_FIBRE_DELTA_E,
      ),
  );
}

interface Ratio {
  readonly indices: readonly number[];
  readonly parts: readonly number[];
  readonly roughDeltaE: number;
}

function bestRatio(
  indices: readonly number[],
  roughDeltaE: (indices: readonly number[], parts: readonly number[]) => number,
): Ratio {
  const ratios = indices.length === 2 ? PAIR_RATIOS : TRIO_RATIOS;
  let best: Ratio = { indices, parts: [], roughDeltaE: Infinity };
  for (const parts of ratios) {
    const roughDifference = roughDeltaE(indices, parts);
    if (roughDifference < best.roughDeltaE) best = { indices, parts, roughDeltaE: roughDifference };
  }
  return best;
}

const PAIR_RATIOS: readonly (readonly number[])[] = Array.from({ length: EIGHTHS - 1 }, (_, i) => [
  i + 1,
  EIGHTHS - 1 - i,
]);
const TRIO_RATIOS: readonly (readonly number[])[] = PAIR_RATIOS.flatMap(([first = 1]) =>
  Array.from({ length: EIGHTHS - first - 1 }, (_, i) => [first, i + 1, EIGHTHS - first - i - 1]),
);
