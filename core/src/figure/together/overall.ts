import { toMm } from '../../base/index.ts';
import type { Pattern } from '../../pattern/index.ts';
import { dot, type Figure, pointIn, reachOfAll, type Vec3 } from '../../placing/index.ts';

/** A figure over all, mm. */
export interface SizeOverAll {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly depthMm: number;
}

/** Null: there is nothing of a known size. */
export function sizeOverAll({ pieces, beyond }: Figure): SizeOverAll | null {
  if (pieces.length === 0) return null;
  const reach = (a: Vec3) =>
    beyond.reduce((most, point) => Math.max(most, dot(point, a)), reachOfAll(pieces, a));
  const between = (a: Vec3) => reach(a) + reach([-a[0], -a[1], -a[2]]);
  return { widthMm: between([1, 0, 0]), heightMm: between([0, 1, 0]), depthMm: between([0, 0, 1]) };
}

/** By so much a stated height may be off before it is told. */
const HEIGHT_TOLERANCE = 0.05;

/** A stated height against what the pieces come to. */
export type HeightAgainst =
  /** Something cut belongs to the figure and is set nowhere: nobody can tell. */
  | { readonly kind: 'more-than-pieces'; readonly statedMm: number }
  | {
      readonly kind: 'told';
      readonly statedMm: number;
      readonly heightMm: number;
      /** Come to ÷ stated − 1. */
      readonly off: number;
      readonly isOff: boolean;
    };

/** Null: none is stated, or nothing has a size. */
export function heightAgainst(
  figure: Figure,
  { finishedHeight, cuts, stance }: Pick<Pattern, 'finishedHeight' | 'cuts' | 'stance'>,
): HeightAgainst | null {
  const size = sizeOverAll(figure);
  if (!size || finishedHeight === null) return null;
  const statedMm = toMm(finishedHeight);
  // Of what lies, its height is what it is from head to foot.
  const heightMm =
    stance?.rests === 'lies' ? Math.max(size.heightMm, size.widthMm, size.depthMm) : size.heightMm;
  const off = heightMm / statedMm - 1;
  // What is cut for it makes it no lower: already too high it is too high.
  const isMore = cuts.some((cut) => !isWithinPieces(cut, figure));
  if (isMore && off <= HEIGHT_TOLERANCE) return { kind: 'more-than-pieces', statedMm };
  return { kind: 'told', statedMm, heightMm, off, isOff: Math.abs(off) > HEIGHT_TOLERANCE };
}

/** Cuts that make no figure higher than is told: what is set on it, wire through its pieces, what is wound on it, whiskers. */
function isWithinPieces(cut: Pattern['cuts'][number], { pieces }: Figure): boolean {
  if (cut.seat !== null && pieces.some(({ partId }) => partId === cut.seat?.partId)) return true;
  if (cut.kind === 'wire')
    return cut.segments.some(({ partId }) => pieces.some((piece) => piece.partId === partId));
  return (
    cut.kind === 'covering' || cut.kind === 'binding' || cut.kind === 'whisker' || cut.kind === 'rolled-strip'
  );
}

/** How far a figure reaches from its upright, and how high: room to turn it in. */
export function turningRoom({ pieces, beyond }: Figure): { radiusMm: number; topMm: number } {
  let [radiusMm, topMm] = [0, 0];
  for (const [x, y, z] of beyond) {
    radiusMm = Math.max(radiusMm, Math.hypot(x, z));
    topMm = Math.max(topMm, y);
  }
  for (const { body, frame } of pieces)
    for (const ring of body.rings)
      for (const point of ring) {
        const [x, y, z] = pointIn(frame, point);
        radiusMm = Math.max(radiusMm, Math.hypot(x, z));
        topMm = Math.max(topMm, y);
      }
  return { radiusMm, topMm };
}
