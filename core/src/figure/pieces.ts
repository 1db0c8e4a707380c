import {
  type FibreLookup,
  outermostUse,
  type PartEstimate,
  type PatternEstimate,
  type RollUp,
} from '../engine/index.ts';
import { decorationsOf } from './decorations.ts';
import type { Outline, PieceLook } from './pieceLook.ts';
import { isWool, type Part, type Pattern } from '../pattern/index.ts';
import { innerSolids } from './innerSolids.ts';
import { type PointMm, type Solid, type View, viewOutline } from '../shapes/index.ts';
import type { Fibre } from '../shelf/index.ts';

/** One part as it is drawn: finished, with what was rolled up behind it and its layers within. */
export interface Piece extends PieceLook {
  readonly part: Part;
  readonly number: number;
  /** The side it is drawn from; what is laid on and cut open is only drawn from the front. */
  readonly view: View;
  readonly estimate: PartEstimate;
  readonly fibre: Fibre | null;
  /** Worked out only when it is cut open. */
  readonly layers: () => readonly DrawnLayer[];
}

/** One layer of a piece cut open, from the outside in. */
interface DrawnLayer {
  readonly fibre: Fibre | null;
  readonly outline: Outline;
}

/** The side of the dashed box that stands for a part of unknown size. */
const UNKNOWN_MM = 24;

/** Drawn pieces by part: an edit of one leaves the others as they are, so that only one is drawn anew. */
const drawn = new WeakMap<Part, Piece>();

/** Everything to draw of a pattern, numbered in the author's order. */
export function piecesOf(
  pattern: Pick<Pattern, 'parts'>,
  estimate: Pick<PatternEstimate, 'parts'>,
  fibres: FibreLookup,
  view: View = 'front',
  whole: Pick<Pattern, 'parts'> = pattern,
): Piece[] {
  return pattern.parts.flatMap((part, index) => {
    const partEstimate = estimate.parts[index];
    if (!partEstimate) return [];
    // Left out or not, a piece keeps the number it has in the whole pattern.
    const number = whole.parts.findIndex(({ id }) => id === part.id) + 1;
    const piece = pieceOf(part, number, partEstimate, fibres, view);
    const before = drawn.get(part);
    if (before && looksAlike(before, piece)) return [before];
    drawn.set(part, piece);
    return [piece];
  });
}

function looksAlike(a: Piece, b: Piece): boolean {
  return (
    a.number === b.number &&
    a.view === b.view &&
    a.fibre === b.fibre &&
    a.widthMm === b.widthMm &&
    a.heightMm === b.heightMm &&
    a.estimate.solid?.volumeMm3 === b.estimate.solid?.volumeMm3 &&
    a.decorations.length === b.decorations.length &&
    a.decorations.every(({ fibre }, i) => fibre === b.decorations[i]?.fibre)
  );
}

function pieceOf(part: Part, number: number, estimate: PartEstimate, fibres: FibreLookup, view: View): Piece {
  const { solid, rollUp } = estimate;
  const finished = solid && viewOutline(solid, view);
  const rolled = rollUp && outlineOf(rollUp, view);
  const fibreOf = (fibreId: string | null) => (fibreId === null ? null : (fibres.get(fibreId) ?? null));
  const outer = outermostUse(part);
  return {
    id: part.id,
    part,
    number,
    view,
    estimate,
    fibre: outer && isWool(outer) ? fibreOf(outer.fibreId) : null,
    finished,
    rolled,
    decorations:
      solid && view === 'front'
        ? decorationsOf(part, solid, estimate.working.layers?.insertsCm3 ?? 0).map((what) => ({
            what,
            fibre: 'fibreId' in what ? fibreOf(what.fibreId) : null,
          }))
        : [],
    layers: () => (view === 'front' ? layersOf(estimate, fibreOf) : []),
    widthMm: Math.max(finished?.widthMm ?? UNKNOWN_MM, rolled?.widthMm ?? 0),
    heightMm: Math.max(finished?.heightMm ?? UNKNOWN_MM, rolled?.heightMm ?? 0),
  };
}

/** From the finished surface down to the core, each as large as it is there. */
function layersOf(estimate: PartEstimate, fibreOf: (id: string | null) => Fibre | null): DrawnLayer[] {
  return innerSolids(estimate).map(({ fibreId, solid }) => ({
    fibre: fibreOf(fibreId),
    outline: viewOutline(solid, 'front'),
  }));
}

function outlineOf(rollUp: RollUp, view: View): Outline | null {
  if (rollUp.kind === 'rolled') return viewOutline(rollUp.solid, view);
  // Laid out, a flat piece is only told by its face.
  return view === 'front' ? grown(rollUp.outline, rollUp.lengthMm, rollUp.widthMm) : null;
}

/** A flat piece’s outline as large as it is laid out. */
function grown(solid: Solid, lengthMm: number, widthMm: number): Outline {
  const { points } = viewOutline(solid, 'front');
  const [kx, ky] = [widthMm / solid.widthMm, lengthMm / solid.heightMm];
  return {
    points: points.map(([x, y]): PointMm => [x * kx, y * ky]),
    holes: [],
    widthMm,
    heightMm: lengthMm,
  };
}
