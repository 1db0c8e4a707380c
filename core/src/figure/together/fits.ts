import { isWithin } from '../../shapes/index.ts';
import {
  type Body,
  length,
  minus,
  type PlacedPiece,
  plus,
  pointFrom,
  times,
  type Vec3,
} from '../../placing/index.ts';
import { type DetailSpot, type PlacedDetail, sizeOfDetail } from './details.ts';

/** How something put on a piece goes there. */
export type Fit =
  /** Two alike things side by side: eyes, nostrils. */
  | {
      readonly kind: 'pair';
      readonly detail: PlacedDetail;
      readonly sizeMm: number;
      /** Between them, mm; under nought they lie over one another. */
      readonly gapMm: number;
      /** From the outer edge of either to where the host ends there, mm; under nought it stands over. */
      readonly edgeMm: number;
    }
  /** A post, a shank, a loop within the wool there is under it. */
  | {
      readonly kind: 'post';
      readonly detail: PlacedDetail;
      readonly postMm: number;
      readonly depthMm: number;
    }
  /** A bar, a magnet: something stiff on what flat there is. */
  | { readonly kind: 'bar'; readonly detail: PlacedDetail; readonly barMm: number; readonly flatMm: number };

/** What holds a post has so much wool beyond its end, mm (ours). */
const BEYOND_POST_MM = 2;

/** Wool on a bend goes with it. */
const SLACK_MM = 0.2;

export function isFitting(fit: Fit): boolean {
  switch (fit.kind) {
    case 'pair':
      return fit.gapMm >= 0 && fit.edgeMm >= -SLACK_MM;
    case 'bar':
      return fit.flatMm >= fit.barMm;
    case 'post':
      return fit.depthMm >= fit.postMm + BEYOND_POST_MM;
  }
}

/** Of everything on a figure whose going there can be told. */
export const fitsOf = (details: readonly PlacedDetail[]): Fit[] =>
  details.flatMap((detail) =>
    [pairFit(detail) ?? barFit(detail), postFit(detail)].filter((fit) => fit !== null),
  );

/** How wide a host is at a height, from its right to its left, mm. */
export function chordMm(host: Body, heightFraction: number): number {
  const [left, right] = [90, -90].map((around) => host.spotAt(around, heightFraction).point[0]);
  return (left ?? 0) - (right ?? 0);
}

/** The most there can be between two things of a size at a height, mm. */
export const widestGapMm = (host: Body, heightFraction: number, sizeMm: number): number =>
  Math.max(0, chordMm(host, heightFraction) - sizeMm);

/**
 * How far round from its front two things of a size sit on a host with so much between them; null: it is not so wide
 * there.
 */
export function aroundForGap(
  host: Body,
  heightFraction: number,
  sizeMm: number,
  gapMm: number,
): number | null {
  const outMm = (sizeMm + gapMm) / 2;
  const xAt = (aroundDeg: number) => host.spotAt(aroundDeg, heightFraction).point[0];
  let [low, high] = [0, 90];
  if (xAt(high) < outMm) return null;
  for (let step = 0; step < 50; step++) {
    const middle = (low + high) / 2;
    if (xAt(middle) < outMm) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

function pairFit(detail: PlacedDetail): Fit | null {
  const { of, host, spots } = detail;
  const isRound = of.kind === 'finding' || (of.kind === 'use' && of.use.role === 'dot');
  const size = sizeOfDetail(detail);
  const [first, other] = spots;
  if (!isRound || isStiff(detail) || !size || !first || !other || spots.length !== 2) return null;
  const edges = spots.map(({ point, normal }) => {
    const [x, y] = pointFrom(host.frame, point);
    const [outX] = pointFrom(host.frame, plus(point, normal));
    const half = chordMm(host.body, Math.min(1, Math.max(0, y / host.body.heightMm))) / 2;
    // Wool lies flat on a flank, as a fish’s eye: seen from its edge it takes no room across. A bead is as wide from anywhere.
    const seenFraction = of.kind === 'use' ? Math.sqrt(Math.max(0, 1 - (outX - x) ** 2)) : 1;
    return half - Math.abs(x) - (size.acrossMm / 2) * seenFraction;
  });
  return {
    kind: 'pair',
    detail,
    sizeMm: size.acrossMm,
    gapMm: length(minus(first.point, other.point)) - size.acrossMm,
    edgeMm: Math.min(...edges),
  };
}

function postFit(detail: PlacedDetail): Fit | null {
  const { of, host, spots } = detail;
  const measure = of.kind === 'finding' ? of.finding.measure : null;
  const postMm = measure?.by === 'count' ? (measure.postMm ?? null) : null;
  if (postMm === null || spots.length === 0) return null;
  return { kind: 'post', detail, postMm, depthMm: Math.min(...spots.map((spot) => depthAt(host, spot))) };
}

/** How much wool there is straight in from a spot, mm. */
function depthAt(
  { body, frame }: PlacedPiece,
  { point, normal }: Pick<DetailSpot, 'point' | 'normal'>,
): number {
  const isIn = (mm: number) => body.contains(pointFrom(frame, plus(point, times(normal, -mm))));
  let mm = 0;
  while (mm < MOST_MM && isIn(mm + STEP_MM)) mm += STEP_MM;
  return mm;
}

const isStiff = ({ of }: PlacedDetail): boolean =>
  of.kind === 'finding' &&
  of.finding.measure.by === 'count' &&
  (of.finding.measure.sort === 'pin-back' || of.finding.measure.sort === 'magnet');

function barFit(detail: PlacedDetail): Fit | null {
  const size = sizeOfDetail(detail);
  const [spot] = detail.spots;
  if (!isStiff(detail) || !size || !spot) return null;
  const flats = detail.spots.map((each) => flatAlong(detail.host, each, each.along));
  return {
    kind: 'bar',
    detail,
    barMm: Math.max(size.alongMm, size.acrossMm),
    flatMm: Math.min(...flats),
  };
}

/** Felt gives so far under something stiff, mm. */
const GIVES_MM = 1.5;
const STEP_MM = 0.25;
const MOST_MM = 1000;

/** How long a stiff thing may be there before the surface falls away from under it, mm: twice its shorter way. */
function flatAlong(host: PlacedPiece, spot: Pick<DetailSpot, 'point' | 'normal'>, way: Vec3): number {
  const ways = [1, -1].map((sign) => wayOut(host, spot, times(way, sign)));
  return 2 * Math.min(...ways);
}

function wayOut(
  { body, frame }: PlacedPiece,
  { point, normal }: Pick<DetailSpot, 'point' | 'normal'>,
  way: Vec3,
): number {
  const lies = body.face
    ? (mm: number) => {
        const [x, y] = pointFrom(frame, plus(point, times(way, mm)));
        return isWithin(x, y, body.face ?? []);
      }
    : (mm: number) =>
        body.contains(pointFrom(frame, plus(plus(point, times(way, mm)), times(normal, -GIVES_MM))));
  let mm = 0;
  while (mm < MOST_MM && lies(mm + STEP_MM)) mm += STEP_MM;
  return mm;
}
