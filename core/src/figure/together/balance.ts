import { normalCdf } from '../../base/index.ts';
import { type EdgeMargin, edgeMargins, type Point2 } from './hull.ts';
import { centreOfMass, type CentreOfMass, type PointMass } from './masses.ts';
import { degrees } from '../../placing/index.ts';

/** How a figure stands on what it rests on. */
export type Standing =
  /** Nothing weighs anything yet. */
  | { readonly kind: 'unknown' }
  /** On a point or an edge: nothing stands on that. */
  | { readonly kind: 'no-flat'; readonly centre: CentreOfMass; readonly support: readonly Point2[] }
  | {
      readonly kind: 'stands' | 'falls';
      readonly centre: CentreOfMass;
      readonly support: readonly Point2[];
      /** From the centre of mass’s foot to the nearest edge, mm; under nought it falls. */
      readonly marginMm: number;
      /** Toward that edge, x and z, of length 1: it falls there first. */
      readonly toward: Point2;
      /** How far it may be tipped that way before it falls, degrees; under nought it falls by itself. */
      readonly tipDeg: number;
      /** That it stands, with grams and hands as uncertain as they are. */
      readonly chance: number;
    };

/**
 * Stands when the foot of its centre of mass lies in the hull of its feet.
 * @param support counter-clockwise, x and z
 */
export function standingOf(points: readonly PointMass[], support: readonly Point2[]): Standing {
  const centre = centreOfMass(points);
  if (!centre) return { kind: 'unknown' };
  const [x, y, z] = centre.point;
  const margins = edgeMargins(support, [x, z]);
  const [first, ...others] = margins;
  if (!first || support.length < 3) return { kind: 'no-flat', centre, support };
  const nearest = others.reduce((least, edge) => (edge.marginMm < least.marginMm ? edge : least), first);
  const spread = spreadOf(points, centre);
  return {
    kind: nearest.marginMm >= 0 ? 'stands' : 'falls',
    centre,
    support,
    marginMm: nearest.marginMm,
    toward: nearest.outward,
    tipDeg: degrees(Math.atan2(nearest.marginMm, y)),
    chance: Math.min(...margins.map((edge) => chanceWithin(spread, edge))),
  };
}

/** How far off a hand sets what weighs and what stands, mm. Ours. */
export const HAND_SIGMA_MM = 1;

/** How far the centre of mass may lie off, mm²: variances along x and z, and what they share. */
interface Spread {
  readonly xx: number;
  readonly xz: number;
  readonly zz: number;
}

/**
 * It moves by (r − c)·δm ÷ M for every δm at r: own errors in quadrature, those that one fibre makes together added
 * first; a hand’s own millimetre with them.
 */
function spreadOf(points: readonly PointMass[], { massG, point: centre }: CentreOfMass): Spread {
  let [xx, xz, zz] = [HAND_SIGMA_MM ** 2, 0, HAND_SIGMA_MM ** 2];
  const shared = new Map<string, [x: number, z: number]>();
  for (const { massG: each, point, group, sharedSigma, ownSigma } of points) {
    const x = ((point[0] - centre[0]) * each) / massG;
    const z = ((point[2] - centre[2]) * each) / massG;
    xx += (x * ownSigma) ** 2;
    xz += x * z * ownSigma ** 2;
    zz += (z * ownSigma) ** 2;
    const together = shared.get(group) ?? [0, 0];
    shared.set(group, [together[0] + x * sharedSigma, together[1] + z * sharedSigma]);
  }
  for (const [x, z] of shared.values()) {
    xx += x * x;
    xz += x * z;
    zz += z * z;
  }
  return { xx, xz, zz };
}

/** The chance that the centre of mass stays this side of one edge. */
function chanceWithin({ xx, xz, zz }: Spread, { marginMm, outward: [x, z] }: EdgeMargin): number {
  return normalCdf(marginMm / Math.sqrt(xx * x * x + 2 * xz * x * z + zz * z * z));
}
