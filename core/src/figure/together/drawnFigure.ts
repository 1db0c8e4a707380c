import { outermostUse, type PartEstimate } from '../../engine/index.ts';
import { innerSolids } from '../innerSolids.ts';
import { bodyOf, type PlacedPiece, pointIn } from '../../placing/index.ts';
import { isWool, type Part } from '../../pattern/index.ts';
import { type Camera, cameraOf, type LookFrom, seen } from './camera.ts';
import { decalOf, isBehindHost } from './decals.ts';
import type { PlacedDetail } from './details.ts';
import type { DrawnMark } from './drawnMark.ts';
import { hullOf, type Point2 } from './hull.ts';
import { drawingOrder } from './order.ts';
import { type Silhouette, silhouetteOf } from './silhouette.ts';
import type { Together } from './together.ts';

/** What is drawn of a figure, farthest first; mm to the right and up, the ground at 0. */
export interface DrawnFigure {
  readonly pieces: readonly DrawnPiece[];
  /** The box that holds it all. */
  readonly box: {
    readonly leftMm: number;
    readonly rightMm: number;
    readonly bottomMm: number;
    readonly topMm: number;
  };
}

export interface DrawnPiece {
  readonly key: string;
  readonly partId: string;
  readonly index: number;
  /** The wool that shows; null: not chosen. */
  readonly fibreId: string | null;
  readonly outline: Silhouette;
  /** Which way its fibres lie in the drawing, degrees from upright, clockwise. */
  readonly lieDeg: number;
  readonly marks: readonly DrawnMark[];
  /** What stands off its far side: drawn before it. */
  readonly behind: readonly DrawnMark[];
  /** Cut open: its layers from the outside in; none where it is whole. */
  readonly layers: readonly { readonly fibreId: string | null; readonly outline: Silhouette }[];
}

/** A figure as it is seen from one side. @param cutOpen what its pieces came to; left out: it is whole */
export function drawnFigure(
  { figure, details }: Together,
  parts: readonly Part[],
  from: LookFrom,
  cutOpen: readonly PartEstimate[] = [],
): DrawnFigure {
  const camera = cameraOf(from);
  const byHost = new Map<PlacedPiece, PlacedDetail[]>();
  for (const detail of details) {
    const there = byHost.get(detail.host);
    if (there) there.push(detail);
    else byHost.set(detail.host, [detail]);
  }
  const pieces = drawingOrder(figure, camera).map((piece) => {
    const part = parts.find(({ id }) => id === piece.partId);
    const estimate = cutOpen.find(({ partId }) => partId === piece.partId);
    const whole = drawnPiece(piece, part, byHost.get(piece) ?? [], camera);
    if (!estimate) return { ...whole, layers: [] };
    // What is laid over all of it would lie over the cut.
    const marks = whole.marks.filter(({ kind }) => kind !== 'area');
    return { ...whole, marks, layers: layersIn(piece, estimate, camera) };
  });
  return { pieces, box: boxOf(pieces) };
}

function drawnPiece(
  piece: PlacedPiece,
  part: Part | undefined,
  details: readonly PlacedDetail[],
  camera: Camera,
): Omit<DrawnPiece, 'layers'> {
  const outer = part && outermostUse(part);
  const [base, tip] = [seen(camera, piece.frame.origin), seen(camera, pointIn(piece.frame, [0, 1, 0]))];
  const drawn = details.map((detail) => ({
    isBehind: isBehindHost(detail, camera),
    marks: decalOf(detail, camera),
  }));
  return {
    key: piece.key,
    partId: piece.partId,
    index: piece.index,
    fibreId: outer && isWool(outer) ? outer.fibreId : null,
    outline: silhouetteOf(piece, camera),
    lieDeg: (Math.atan2(tip[0] - base[0], tip[1] - base[1]) * 180) / Math.PI,
    behind: drawn.flatMap(({ isBehind, marks }) => (isBehind ? marks : [])),
    marks: [
      ...sharesOf(piece, part, camera),
      ...drawn.flatMap(({ isBehind, marks }) => (isBehind ? [] : marks)),
    ],
  };
}

/** Layers lie about one middle: each as far within the one over it at both ends. */
function layersIn(piece: PlacedPiece, estimate: PartEstimate, camera: Camera): DrawnPiece['layers'] {
  return innerSolids(estimate).map(({ fibreId, solid }) => {
    const body = bodyOf(solid);
    const origin = pointIn(piece.frame, [0, (piece.body.heightMm - body.heightMm) / 2, 0]);
    return { fibreId, outline: silhouetteOf({ ...piece, body, frame: { ...piece.frame, origin } }, camera) };
  });
}

/** A coat over a share of a piece covers it from its tip down. */
function sharesOf({ body, frame }: PlacedPiece, part: Part | undefined, camera: Camera): DrawnMark[] {
  return (part?.uses ?? []).flatMap((use): DrawnMark[] => {
    if (use.role !== 'coat' || use.cover.kind !== 'share' || body.rope) return [];
    const from = body.heightMm * (1 - use.cover.fraction);
    const kept = body.rings.flat().filter(([, y]) => y >= from);
    return [
      {
        kind: 'area',
        fibreId: use.fibreId,
        outline: hullOf(kept.map((point) => seen(camera, pointIn(frame, point)))),
        detailKey: use.id,
      },
    ];
  });
}

/** The same, so much further to the right. */
export function movedFigure({ pieces, box }: DrawnFigure, byMm: number): DrawnFigure {
  if (byMm === 0) return { pieces, box };
  const move = (points: readonly Point2[]): Point2[] => points.map(([x, y]) => [x + byMm, y]);
  return {
    pieces: pieces.map((piece) => ({
      ...piece,
      outline: piece.outline.map(move),
      marks: piece.marks.map((mark) => movedMark(mark, move)),
      behind: piece.behind.map((mark) => movedMark(mark, move)),
      layers: piece.layers.map((layer) => ({ ...layer, outline: layer.outline.map(move) })),
    })),
    box: { ...box, leftMm: box.leftMm + byMm, rightMm: box.rightMm + byMm },
  };
}

function movedMark(mark: DrawnMark, move: (points: readonly Point2[]) => Point2[]): DrawnMark {
  switch (mark.kind) {
    case 'area':
    case 'hollow':
    case 'thing':
      return { ...mark, outline: move(mark.outline) };
    case 'groove':
    case 'line':
    case 'strand':
      return { ...mark, points: move(mark.points) };
    case 'hair':
      return { ...mark, strands: mark.strands.map((strand) => move(strand) as [Point2, Point2]) };
  }
}

function boxOf(pieces: readonly DrawnPiece[]): DrawnFigure['box'] {
  let [leftMm, rightMm, bottomMm, topMm] = [Infinity, -Infinity, Infinity, -Infinity];
  const hold = (points: readonly (readonly [number, number])[]) => {
    for (const point of points) {
      leftMm = Math.min(leftMm, point[0]);
      rightMm = Math.max(rightMm, point[0]);
      bottomMm = Math.min(bottomMm, point[1]);
      topMm = Math.max(topMm, point[1]);
    }
  };
  for (const { outline, marks, behind } of pieces) {
    outline.forEach(hold);
    for (const mark of [...behind, ...marks]) {
      if (mark.kind === 'hair') mark.strands.forEach(hold);
      else hold('points' in mark ? mark.points : mark.outline);
    }
  }
  return leftMm <= rightMm
    ? { leftMm, rightMm, bottomMm, topMm }
    : { leftMm: 0, rightMm: 0, bottomMm: 0, topMm: 0 };
}
