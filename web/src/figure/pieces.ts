import {
  estimatePattern,
  type Fibre,
  type FibreLookup,
  type Part,
  type PartEstimate,
  type Pattern,
  type PatternEstimate,
  type PointMm,
  type Solid,
} from '@lanakit/core';

/** One part as it is drawn: finished, with what was rolled up behind it. */
export interface Piece {
  readonly part: Part;
  readonly number: number;
  readonly estimate: PartEstimate;
  /** What shows on the outside; null while not chosen. */
  readonly fibre: Fibre | null;
  readonly finished: Outline | null;
  readonly rolled: Outline | null;
  /** The box that holds both, mm. */
  readonly widthMm: number;
  readonly heightMm: number;
}

export interface Outline {
  readonly points: readonly PointMm[];
  /** What is open within it. */
  readonly hole?: readonly PointMm[];
  readonly widthMm: number;
  readonly heightMm: number;
}

/** The side of the dashed box that stands for a part of unknown size. */
const UNKNOWN_MM = 24;

/** Everything to draw of a pattern, numbered in the author's order. */
export function piecesOf(pattern: Pattern, estimate: PatternEstimate, shelf: FibreLookup): Piece[] {
  return pattern.parts.flatMap((part, index) => {
    const own = estimate.parts[index];
    return own ? [pieceOf(part, index + 1, own, shelf)] : [];
  });
}

/** As `piecesOf`, for a pattern nobody has estimated yet. */
export const drawPattern = (pattern: Pattern, shelf: FibreLookup): Piece[] =>
  piecesOf(pattern, estimatePattern(pattern, shelf), shelf);

function pieceOf(part: Part, number: number, estimate: PartEstimate, shelf: FibreLookup): Piece {
  const { solid, rollUp } = estimate;
  const finished = solid && outlineOfSolid(solid);
  const rolled = rollUp && outlineOf(rollUp);
  const outerFibreId = part.coat?.fibreId ?? part.core.fibreId;
  return {
    part,
    number,
    estimate,
    fibre: (outerFibreId === null ? null : shelf.get(outerFibreId)) ?? null,
    finished,
    rolled,
    widthMm: Math.max(finished?.widthMm ?? UNKNOWN_MM, rolled?.widthMm ?? 0),
    heightMm: Math.max(finished?.heightMm ?? UNKNOWN_MM, rolled?.heightMm ?? 0),
  };
}

const outlineOfSolid = (solid: Solid): Outline => ({
  points: solid.outline(),
  ...(solid.hole && { hole: solid.hole() }),
  widthMm: solid.widthMm,
  heightMm: solid.heightMm,
});

function outlineOf(rollUp: NonNullable<PartEstimate['rollUp']>): Outline {
  if (rollUp.kind === 'rolled') {
    return outlineOfSolid(rollUp.solid);
  }
  const [a, b] = [rollUp.widthMm / 2, rollUp.lengthMm / 2];
  const points = Array.from({ length: 64 }, (_, i) => {
    const angle = (i / 32) * Math.PI;
    return [a + a * Math.cos(angle), b + b * Math.sin(angle)] as const;
  });
  return { points, widthMm: rollUp.widthMm, heightMm: rollUp.lengthMm };
}
