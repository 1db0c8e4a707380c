import type { Camera } from './camera.ts';
import { dot, type Figure, type PlacedPiece, pointIn } from '../../placing/index.ts';

/**
 * The order in which pieces are drawn, farthest first: what is set on the far side of its host comes before it, what is set
 * on the near side after it, each with all that is set on it; of several the one whose middle is farther first.
 */
export function drawingOrder({ pieces }: Figure, { toward }: Camera): PlacedPiece[] {
  const children = new Map<string, PlacedPiece[]>();
  for (const piece of pieces) {
    if (!piece.set) continue;
    const siblings = children.get(piece.set.hostKey);
    if (siblings) siblings.push(piece);
    else children.set(piece.set.hostKey, [piece]);
  }
  const depthOf = ({ frame, body }: PlacedPiece) => dot(pointIn(frame, body.centroid), toward);
  const draw = (piece: PlacedPiece): PlacedPiece[] => {
    const set = (children.get(piece.key) ?? []).toSorted((a, b) => depthOf(a) - depthOf(b));
    const isNear = (child: PlacedPiece) => isOnNearSide(child, piece, toward);
    return [
      ...set.filter((child) => !isNear(child)).flatMap(draw),
      piece,
      ...set.filter(isNear).flatMap(draw),
    ];
  };
  return pieces.filter(({ set }) => set === null).flatMap(draw);
}

/** As good as square to who looks: then it is told by the middles. */
const SQUARE = 1e-6;

function isOnNearSide(
  child: PlacedPiece,
  host: PlacedPiece,
  toward: readonly [number, number, number],
): boolean {
  const facing = child.set ? dot(child.set.normal, toward) : 0;
  if (Math.abs(facing) > SQUARE) return facing > 0;
  const middle = (piece: PlacedPiece) => dot(pointIn(piece.frame, piece.body.centroid), toward);
  return middle(child) >= middle(host) - SQUARE;
}
