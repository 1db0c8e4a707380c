import { standingOf, type Standing } from './balance.ts';
import type { Point2 } from './hull.ts';
import type { PointMass } from './masses.ts';
import { type Figure, pointFrom, pointIn, radians, reachOf, type Vec3 } from '../../placing/index.ts';

/** A figure that can be tipped so far stands through a tap on the table, degrees. Ours. */
export const STEADY_DEG = 8;

/** What makes a figure stand; each was done before it is told. */
export type Mend =
  | {
      readonly kind: 'weight';
      /** So much more, low on the side away from where it falls. */
      readonly massG: number;
      readonly at: Vec3;
      readonly standing: Standing;
    }
  | {
      readonly kind: 'feet';
      /** What it stands on so much further the way it falls. */
      readonly byMm: number;
      readonly toward: Point2;
      readonly standing: Standing;
    }
  | {
      readonly kind: 'flat';
      /** Felted flat where it stands, so far across. */
      readonly acrossMm: number;
      readonly standing: Standing;
    };

type Told = Extract<Standing, { kind: 'stands' | 'falls' }>;

/** What would make it stand as steadily as `STEADY_DEG`; none where it does already. */
export function mendsOf(figure: Figure, points: readonly PointMass[], standing: Standing): Mend[] {
  if (standing.kind === 'no-flat') return withFlat(points, standing);
  if (standing.kind === 'unknown' || standing.tipDeg >= STEADY_DEG) return [];
  return [
    ...withWeight(figure, points, standing),
    ...withFeet(points, standing),
    ...withFlat(points, standing),
  ];
}

const isSteady = (standing: Standing): boolean =>
  'tipDeg' in standing && standing.tipDeg >= STEADY_DEG - 1e-6;

const HALVINGS = 40;

/** Amounts tried one after the other: too much of something may tip it over the other way. */
const TRIES = 120;

/** The least of something for which the figure stands steadily; null: with no amount of it up to the most. */
function least(
  most: number,
  tried: (amount: number) => Standing,
): { amount: number; standing: Standing } | null {
  let low = 0;
  for (let at = 1; at <= TRIES; at++) {
    const amount = (most * at) / TRIES;
    if (isSteady(tried(amount))) return closedIn(low, amount, tried);
    low = amount;
  }
  return null;
}

function closedIn(from: number, to: number, tried: (amount: number) => Standing) {
  let [low, high] = [from, to];
  for (let step = 0; step < HALVINGS; step++) {
    const middle = (low + high) / 2;
    if (isSteady(tried(middle))) high = middle;
    else low = middle;
  }
  return { amount: high, standing: tried(high) };
}

/** More than half of the figure once more is no weight that anybody hides. */
const MOST_WEIGHT = 0.5;

function withWeight(figure: Figure, points: readonly PointMass[], { toward, support, centre }: Told): Mend[] {
  const at = lowPlace(figure, [-toward[0], -toward[1]]);
  if (!at) return [];
  const tried = (massG: number) =>
    standingOf([...points, { massG, point: at, group: '', sharedSigma: 0, ownSigma: 0 }], support);
  const found = least(centre.massG * MOST_WEIGHT, tried);
  return found ? [{ kind: 'weight', massG: found.amount, at, standing: found.standing }] : [];
}

/** Inside the root, low, so far that way as wool hides a bead: two thirds of the way out, a quarter of the way up to its middle. */
function lowPlace({ pieces }: Figure, way: Point2): Vec3 | null {
  const root = pieces.find(({ set }) => set === null);
  if (!root) return null;
  const bottomMm = -reachOf(root, [0, -1, 0]);
  const middle = pointIn(root.frame, root.body.centroid);
  const y = bottomMm + (middle[1] - bottomMm) / 4;
  const at = (out: number): Vec3 => [middle[0] + way[0] * out, y, middle[2] + way[1] * out];
  const isIn = (out: number) => root.body.contains(pointFrom(root.frame, at(out)));
  if (!isIn(0)) return null;
  let [inside, outside] = [0, 2 * root.body.heightMm + root.body.halfWidthMm];
  for (let step = 0; step < HALVINGS; step++) {
    const out = (inside + outside) / 2;
    if (isIn(out)) inside = out;
    else outside = out;
  }
  return at((2 / 3) * inside);
}

/** As many times as the figure is high: further no foot is set. */
function withFeet(points: readonly PointMass[], { toward, support, centre }: Told): Mend[] {
  const tried = (byMm: number) =>
    standingOf(
      points,
      support.map(([x, z]): Point2 => [x + toward[0] * byMm, z + toward[1] * byMm]),
    );
  const found = least(2 * centre.point[1], tried);
  return found ? [{ kind: 'feet', byMm: found.amount, toward, standing: found.standing }] : [];
}

/** A round flat about the middle of what it rests on. */
function withFlat(
  points: readonly PointMass[],
  { support, centre }: Pick<Told, 'support' | 'centre'>,
): Mend[] {
  const [x, z] = [0, 1].map(
    (axis) => support.reduce((sum, point) => sum + (point[axis] ?? 0), 0) / Math.max(1, support.length),
  ) as [number, number];
  const tried = (acrossMm: number) => standingOf(points, circle([x, z], acrossMm / 2));
  const found = least(2 * centre.point[1], tried);
  return found ? [{ kind: 'flat', acrossMm: found.amount, standing: found.standing }] : [];
}

const circle = ([x, z]: Point2, radiusMm: number): Point2[] =>
  Array.from({ length: 72 }, (_, at): Point2 => [
    x + radiusMm * Math.cos(radians(5 * at)),
    z + radiusMm * Math.sin(radians(5 * at)),
  ]);
