import { type Cut, type CutSeat, mmOrNull } from '../../pattern/index.ts';
import {
  cross,
  directionIn,
  minus,
  type PlacedPiece,
  plus,
  pointIn,
  times,
  turnedAbout,
  unit,
  UP,
  type Vec3,
} from '../../placing/index.ts';
import type { DetailSpot } from './details.ts';

/** Something cut as it is on the figure, mm. */
export interface CutForm {
  /** Middle lines of wire, cord and thread. */
  readonly strands: readonly (readonly Vec3[])[];
  /** What is bent or rolled of sheet: rings of points, and the rim that is seen into; null: it is closed or flat. */
  readonly shell: {
    readonly rings: readonly (readonly Vec3[])[];
    readonly rim: readonly Vec3[] | null;
  } | null;
  /** Its middle, for what weighs. */
  readonly middle: Vec3;
}

/** A figure hangs by it: no part of how high it is. */
export const isHanger = ({ runs }: CutSeat): boolean => runs === 'up';

/** Points of a round that no pixel tells from a circle. */
const ROUND = 24;
/** Of what goes up to the ceiling so much is drawn, mm. */
const HANGER_MM = 40;
/** As far as each half of a whisker stands off straight out, where nobody has leant it, degrees. */
const WHISKER_DEG = 60;

/** Null: a size of it is not said yet. */
export function formOfCut(cut: Cut, seat: CutSeat, spot: DetailSpot, host: PlacedPiece): CutForm | null {
  const way = wayOf(seat, spot);
  const hangMm = mmOrNull(seat.hangBy) ?? 0;
  const from = plus(spot.point, times(way, hangMm));
  const threads = hangMm > 0 ? [[spot.point, from]] : [];
  switch (cut.kind) {
    case 'length':
      return straight(way, mmOrNull(cut.length), seat, from, threads);
    case 'cord':
      return straight(way, mmOrNull(cut.drop), seat, from, threads);
    case 'covering':
      return straight(way, mmOrNull(cut.over), seat, from, threads);
    case 'wire':
      return straight(way, freeWireMm(cut), seat, from, threads);
    case 'whisker':
      return whisker(spot, mmOrNull(cut.span));
    case 'handle':
      return handle(spot, way, mmOrNull(cut.diameter));
    case 'binding':
      return binding(spot, host);
    case 'panel':
      return panel(spot, from, mmOrNull(cut.length), mmOrNull(cut.width), threads);
    case 'tube-panel':
      return bent(spot, from, way, { near: cut.diameter, far: cut.diameter, along: cut.height }, threads);
    case 'cone-panel':
      // Its lower end is the one that hangs lower; standing off, the one that is nearer.
      return bent(
        spot,
        from,
        way,
        way[1] < 0
          ? { near: cut.topDiameter, far: cut.bottomDiameter, along: cut.height }
          : { near: cut.bottomDiameter, far: cut.topDiameter, along: cut.height },
        threads,
      );
    case 'rolled-strip':
      return bent(spot, from, way, { near: cut.diameter, far: cut.diameter, along: cut.length }, threads);
    case 'pouch-square':
      return pouch(spot, from, way, mmOrNull(cut.base), mmOrNull(cut.wall), threads);
  }
}

function wayOf({ runs }: CutSeat, { out }: DetailSpot): Vec3 {
  if (runs === 'out') return out;
  return runs === 'down' ? times(UP, -1) : UP;
}

/** What of a wire runs through no part; null: some of it is not said. */
function freeWireMm({ segments }: Extract<Cut, { kind: 'wire' }>): number | null {
  const lengths = segments.filter(({ partId }) => partId === null).map(({ length }) => mmOrNull(length));
  return lengths.reduce<number | null>((sum, each) => (sum === null || each === null ? null : sum + each), 0);
}

type Threads = readonly (readonly Vec3[])[];

function straight(
  way: Vec3,
  lengthMm: number | null,
  seat: CutSeat,
  from: Vec3,
  threads: Threads,
): CutForm | null {
  if (lengthMm === null) return null;
  const drawnMm = isHanger(seat) ? Math.min(HANGER_MM, lengthMm) : lengthMm;
  const to = plus(from, times(way, drawnMm));
  return { strands: [...threads, [from, to]], shell: null, middle: plus(from, times(way, lengthMm / 2)) };
}

/** Pushed through: half of it on each side of its spot, standing off as it is leant aside. */
function whisker({ point, out, normal, along, place }: DetailSpot, spanMm: number | null): CutForm | null {
  if (spanMm === null) return null;
  const half = (sign: number) => {
    const leanDeg = place.leanAsideDeg === 0 ? WHISKER_DEG : Math.abs(place.leanAsideDeg);
    const ahead = place.leanAsideDeg === 0 ? out : normal;
    return plus(point, times(turnedAbout(ahead, along, sign * leanDeg), spanMm / 2));
  };
  return { strands: [[half(1), point, half(-1)]], shell: null, middle: point };
}

/** Half a round over its spot, turned as its place is twisted. */
function handle({ point, along, normal }: DetailSpot, way: Vec3, diameterMm: number | null): CutForm | null {
  if (diameterMm === null) return null;
  const side = unit(cross(along, normal));
  const points = Array.from({ length: ROUND / 2 + 1 }, (_, at): Vec3 => {
    const angle = (Math.PI * at) / (ROUND / 2);
    return plus(
      point,
      plus(times(side, (diameterMm / 2) * Math.cos(angle)), times(way, (diameterMm / 2) * Math.sin(angle))),
    );
  });
  // Of half a ring the middle lies 2r/π over its ends.
  return { strands: [points], shell: null, middle: plus(point, times(way, diameterMm / Math.PI)) };
}

/** Round its host, at the height of its spot. */
function binding({ place }: DetailSpot, { body, frame }: PlacedPiece): CutForm {
  const points = Array.from({ length: ROUND + 1 }, (_, at) =>
    pointIn(frame, body.pointAt((360 * at) / ROUND, place.heightFraction)),
  );
  const axis = directionIn(frame, [0, body.heightMm * place.heightFraction, 0]);
  return { strands: [points], shell: null, middle: plus(frame.origin, axis) };
}

/** Flat on its host, long up it. */
function panel(
  { along, normal }: DetailSpot,
  from: Vec3,
  lengthMm: number | null,
  widthMm: number | null,
  threads: Threads,
): CutForm | null {
  if (lengthMm === null || widthMm === null) return null;
  const side = unit(cross(along, normal));
  const corner = (a: number, b: number) =>
    plus(from, plus(times(along, (a * lengthMm) / 2), times(side, (b * widthMm) / 2)));
  const ring = [corner(-1, -1), corner(-1, 1), corner(1, 1), corner(1, -1)];
  return { strands: threads, shell: { rings: [ring], rim: null }, middle: from };
}

interface Bent {
  readonly near: Parameters<typeof mmOrNull>[0];
  readonly far: Parameters<typeof mmOrNull>[0];
  readonly along: Parameters<typeof mmOrNull>[0];
}

/** A tube, or what is cut off a cone: open above, where one looks into it. */
function bent({ along }: DetailSpot, from: Vec3, way: Vec3, sizes: Bent, threads: Threads): CutForm | null {
  const [nearMm, farMm, longMm] = [mmOrNull(sizes.near), mmOrNull(sizes.far), mmOrNull(sizes.along)];
  if (nearMm === null || farMm === null || longMm === null) return null;
  const to = plus(from, times(way, longMm));
  const rings = [roundAt(from, way, along, nearMm / 2), roundAt(to, way, along, farMm / 2)];
  // Mean of the ends weighted by their rounds: of a wall as thick all over.
  const share = nearMm + farMm === 0 ? 0.5 : (nearMm + 2 * farMm) / (3 * (nearMm + farMm));
  return {
    strands: threads,
    shell: { rings, rim: (way[1] < 0 ? rings[0] : rings[1]) ?? null },
    middle: plus(from, times(minus(to, from), share)),
  };
}

function roundAt(middle: Vec3, axis: Vec3, reference: Vec3, radiusMm: number): Vec3[] {
  const [a, b] = acrossOf(axis, reference);
  return Array.from({ length: ROUND }, (_, at): Vec3 => {
    const angle = (2 * Math.PI * at) / ROUND;
    return plus(middle, plus(times(a, radiusMm * Math.cos(angle)), times(b, radiusMm * Math.sin(angle))));
  });
}

/** Two ways across an axis, square to one another. */
function acrossOf(axis: Vec3, reference: Vec3): readonly [Vec3, Vec3] {
  const first = cross(axis, reference);
  const isAlong = Math.hypot(...first) < 1e-6;
  const a = unit(isAlong ? cross(axis, Math.abs(axis[0]) < 0.9 ? [1, 0, 0] : [0, 0, 1]) : first);
  return [a, cross(axis, a)];
}

function pouch(
  { along }: DetailSpot,
  from: Vec3,
  way: Vec3,
  baseMm: number | null,
  wallMm: number | null,
  threads: Threads,
): CutForm | null {
  if (baseMm === null || wallMm === null) return null;
  const to = plus(from, times(way, wallMm));
  const [a, b] = acrossOf(way, along);
  const square = (middle: Vec3): Vec3[] =>
    [
      [-1, -1],
      [-1, 1],
      [1, 1],
      [1, -1],
    ].map(([x = 0, y = 0]) => plus(middle, plus(times(a, (x * baseMm) / 2), times(b, (y * baseMm) / 2))));
  const rings = [square(from), square(to)];
  // Four walls at half their height, the floor at one end.
  const [wallsMm2, floorMm2] = [4 * baseMm * wallMm, baseMm * baseMm];
  const floorAt = way[1] < 0 ? 1 : 0;
  const total = wallsMm2 + floorMm2;
  const share = total === 0 ? 0.5 : (wallsMm2 * 0.5 + floorMm2 * floorAt) / total;
  return {
    strands: threads,
    shell: { rings, rim: (way[1] < 0 ? rings[0] : rings[1]) ?? null },
    middle: plus(from, times(minus(to, from), share)),
  };
}

/** All points by which a form reaches anywhere. */
export const pointsOfForm = ({ strands, shell }: CutForm): Vec3[] => [
  ...strands.flat(),
  ...(shell?.rings.flat() ?? []),
];
