import { packEnclose } from 'd3-hierarchy';
import { mmOrNull, type Enclosure } from '../../pattern/index.ts';
import type { Finding } from '../../shelf/index.ts';
import { hullOf, type Point2 } from './hull.ts';
import {
  dot,
  type Figure,
  plus,
  pointIn,
  radians,
  reachOf,
  RIGHT,
  times,
  TOWARD_VIEWER,
  UP,
  type Vec3,
} from '../../placing/index.ts';

/** Which end of a figure goes through an opening first. */
export type WayIn = 'head-first' | 'side-first' | 'front-first';

/** Whether a figure goes into something. */
export type EnclosureFit =
  | { readonly kind: 'sizes-missing'; readonly enclosure: Enclosure }
  | { readonly kind: 'no-figure'; readonly enclosure: Enclosure }
  | {
      readonly kind: 'told';
      readonly enclosure: Enclosure;
      /** The least there is round it once it is inside, mm; under nought so much too large. */
      readonly insideMm: number;
      /** The same as it goes through what it goes in by, its best way first; null: it is open all over. */
      readonly opening: { readonly mm: number; readonly way: WayIn } | null;
    };

export const isGoingIn = (fit: EnclosureFit): boolean =>
  fit.kind === 'told' && fit.insideMm >= 0 && (fit.opening === null || fit.opening.mm >= 0);

/**
 * A figure against what it has to go into: standing on its floor, turned as it goes best (in a frame as it is), and through
 * its opening whichever end first. Bought things that stand off it are left out.
 */
export function enclosureFit(
  figure: Figure,
  enclosure: Enclosure,
  findings: ReadonlyMap<string, Finding>,
): EnclosureFit {
  const points = [
    ...figure.pieces.flatMap(({ body, frame }) =>
      body.rings.flatMap((ring) => ring.map((point) => pointIn(frame, point))),
    ),
    ...figure.beyond,
  ];
  if (points.length === 0) return { kind: 'no-figure', enclosure };
  const inside = sizesOf(enclosure, findings);
  if (!inside) return { kind: 'sizes-missing', enclosure };
  return {
    kind: 'told',
    enclosure,
    insideMm: insideMm(figure, points, inside, enclosure.shape),
    opening: openingFit(figure, points, enclosure),
  };
}

interface Inside {
  readonly acrossMm: number;
  readonly depthMm: number;
  readonly heightMm: number;
}

function sizesOf(
  { shape, findingId, across, depth, height }: Enclosure,
  findings: ReadonlyMap<string, Finding>,
): Inside | null {
  const measure = findings.get(findingId ?? '')?.measure;
  const acrossMm = mmOrNull(across) ?? (measure?.by === 'count' ? measure.innerMm : null);
  const isRound = shape === 'round' || shape === 'dome';
  const [depthMm, heightMm] = [isRound ? acrossMm : mmOrNull(depth), mmOrNull(height)];
  return acrossMm === null || depthMm === null || heightMm === null ? null : { acrossMm, depthMm, heightMm };
}

function insideMm(
  figure: Figure,
  points: readonly Vec3[],
  inside: Inside,
  shape: Enclosure['shape'],
): number {
  const spareAbove = inside.heightMm - points.reduce((top, [, y]) => Math.max(top, y), -Infinity);
  const floor = hullOf(points.map(([x, , z]): Point2 => [x, z]));
  switch (shape) {
    case 'round':
      return Math.min(spareAbove, inside.acrossMm / 2 - enclosing(floor).r);
    case 'box':
      return Math.min(spareAbove, rectangleSpare(figure, FLOOR, inside.acrossMm, inside.depthMm));
    case 'frame':
      return Math.min(
        spareAbove,
        (inside.acrossMm - acrossIn(figure, RIGHT)) / 2,
        (inside.depthMm - acrossIn(figure, TOWARD_VIEWER)) / 2,
      );
    case 'dome':
      return domeSpare(points, floor, inside);
  }
}

/** How far a figure reaches from one side to the other along a direction of length 1, mm: exact. */
function acrossIn({ pieces, beyond }: Figure, direction: Vec3): number {
  const reach = (way: Vec3) =>
    beyond.reduce(
      (most, point) => Math.max(most, dot(point, way)),
      pieces.reduce((most, piece) => Math.max(most, reachOf(piece, way)), -Infinity),
    );
  return reach(direction) + reach(times(direction, -1));
}

/** The smallest round that holds them all. */
const enclosing = (points: readonly Point2[]) => packEnclose(points.map(([x, y]) => ({ x, y, r: 0 })));

/** Two ways square to one another: what is looked along lies across them. */
type Plane = readonly [Vec3, Vec3];
const FLOOR: Plane = [RIGHT, TOWARD_VIEWER];

/** Turned so far at a time, and then finer about the best, degrees. */
const TURN_DEG = 3;
const FINE_DEG = 0.25;

/** The least on any side of a rectangle, turned as it goes best. */
function rectangleSpare(figure: Figure, [a, b]: Plane, acrossMm: number, depthMm: number): number {
  const spareAt = (turnDeg: number): number => {
    const [sin, cos] = [Math.sin(radians(turnDeg)), Math.cos(radians(turnDeg))];
    const across = acrossIn(figure, plus(times(a, cos), times(b, sin)));
    const deep = acrossIn(figure, plus(times(a, -sin), times(b, cos)));
    return Math.min(acrossMm - across, depthMm - deep) / 2;
  };
  const best = (fromDeg: number, toDeg: number, stepDeg: number) => {
    let [atDeg, most] = [fromDeg, -Infinity];
    for (let turnDeg = fromDeg; turnDeg <= toDeg; turnDeg += stepDeg) {
      const spare = spareAt(turnDeg);
      if (spare > most) [atDeg, most] = [turnDeg, spare];
    }
    return { atDeg, most };
  };
  const { atDeg, most } = best(0, 180 - TURN_DEG, TURN_DEG);
  return Math.max(most, best(atDeg - TURN_DEG, atDeg + TURN_DEG, FINE_DEG).most);
}

const SEARCH_MM = [8, 4, 2, 1, 0.5, 0.25, 0.1] as const;

/** The least from any point out to a dome at its height, over the best place on its floor. */
function domeSpare(
  points: readonly Vec3[],
  floor: readonly Point2[],
  { acrossMm, heightMm }: Inside,
): number {
  const spareAt = ([cx, cz]: Point2): number =>
    points.reduce((least, [x, y, z]) => {
      const share = 1 - (y / heightMm) ** 2;
      const radius = share > 0 ? (acrossMm / 2) * Math.sqrt(share) : 0;
      return Math.min(least, share < 0 ? heightMm - y : radius - Math.hypot(x - cx, z - cz));
    }, Infinity);
  const { x, y } = enclosing(floor);
  let [at, best]: [Point2, number] = [[x, y], spareAt([x, y])];
  for (const step of SEARCH_MM) {
    for (let moved = true; moved;) {
      moved = false;
      for (const [dx, dz] of [
        [step, 0],
        [-step, 0],
        [0, step],
        [0, -step],
      ] as const) {
        const next: Point2 = [at[0] + dx, at[1] + dz];
        const spare = spareAt(next);
        if (spare > best + 1e-9) [at, best, moved] = [next, spare, true];
      }
    }
  }
  return best;
}

/** From the end that goes first. */
const WAYS_IN: readonly (readonly [WayIn, Plane])[] = [
  ['head-first', FLOOR],
  ['side-first', [TOWARD_VIEWER, UP]],
  ['front-first', [RIGHT, UP]],
];

function openingFit(
  figure: Figure,
  points: readonly Vec3[],
  { shape, openingAcross, openingDepth }: Enclosure,
): { mm: number; way: WayIn } | null {
  const acrossMm = mmOrNull(openingAcross);
  if (acrossMm === null) return null;
  const isRound = shape === 'round' || shape === 'dome';
  const ways = WAYS_IN.map(([way, plane]) => {
    const [a, b] = plane;
    const mm = isRound
      ? acrossMm / 2 - enclosing(hullOf(points.map((point): Point2 => [dot(point, a), dot(point, b)]))).r
      : rectangleSpare(figure, plane, acrossMm, mmOrNull(openingDepth) ?? acrossMm);
    return { mm, way };
  });
  return ways.reduce((best, way) => (way.mm > best.mm ? way : best));
}
