import type { NeedledForm } from '../../pattern/index.ts';
import { type Camera, seen } from './camera.ts';
import { formOfCut } from './cutForms.ts';
import { type DetailSpot, type PlacedDetail, sizeOfDetail, sizeOfThing } from './details.ts';
import type { DrawnMark } from './drawnMark.ts';
import { hullOf, type Point2 } from './hull.ts';
import {
  acrossAxis,
  type Body,
  cross,
  degrees,
  directionIn,
  dot,
  type Frame,
  type PlacedPiece,
  plus,
  pointFrom,
  pointIn,
  times,
  unit,
  type Vec3,
} from '../../placing/index.ts';

/** Points along the rim of what is laid on. */
const RIM = 22;
/** Points along a line. */
const ALONG = 13;
/** So far over the horizon of its piece a thing is still seen. */
const HORIZON = 0.02;

/** What is seen of one detail: nothing of what lies on the far side. @param fineness points so many times closer */
export function decalOf(detail: PlacedDetail, camera: Camera, fineness = 1): DrawnMark[] {
  const { of, host, spots, key } = detail;
  const near = spots.filter(({ normal }) => dot(normal, camera.toward) > HORIZON);
  if (of.kind === 'cut') return spots.flatMap((spot) => cutMarks(detail, of, spot, camera));
  if (of.kind === 'finding') return near.flatMap((spot) => thing(spot, of.finding, camera, key));
  const size = sizeOfDetail(detail);
  if (!size) return [];
  const fibreId = fibreOf(of);
  const role = of.kind === 'use' ? of.use.role : 'patch';
  // Hair stands off: it is seen from behind its line as well.
  if (role === 'hair')
    return spots.map((spot) => hair(spot, host, size, { camera, fibreId, detailKey: key }));
  if (of.kind === 'use' && of.use.role === 'needled') {
    const { form } = of.use;
    return near.flatMap((spot) =>
      needled(spot, host, size, { form, camera, detailKey: key, points: RIM * fineness }),
    );
  }
  return near.flatMap((spot): DrawnMark[] =>
    role === 'line'
      ? line(spot, host, size.alongMm, { camera, fibreId, detailKey: key })
      : area(spot, host, size, { camera, fibreId, detailKey: key }, RIM * fineness),
  );
}

/** Wire, cord and what is bent of sheet stand off: they are seen from everywhere. */
function cutMarks(
  { host, key }: PlacedDetail,
  { cut, seat, colour, thickMm }: Extract<PlacedDetail['of'], { kind: 'cut' }>,
  spot: DetailSpot,
  camera: Camera,
): DrawnMark[] {
  const form = formOfCut(cut, seat, spot, host);
  if (!form) return [];
  const onPaper = (points: readonly Vec3[]): Point2[] => points.map((point) => seen(camera, point));
  // What is wound round its host is only seen where the host does not hide it.
  const strands =
    cut.kind === 'binding' ? form.strands.flatMap((ring) => nearRuns(ring, host, camera)) : form.strands;
  const lines = strands.map((points): DrawnMark => ({
    kind: 'strand',
    colour,
    thickMm,
    points: onPaper(points),
    detailKey: key,
  }));
  if (!form.shell) return lines;
  const { rings, rim } = form.shell;
  const wall: DrawnMark = { kind: 'thing', colour, outline: hullOf(onPaper(rings.flat())), detailKey: key };
  const opening: DrawnMark[] = rim ? [{ kind: 'hollow', outline: onPaper(rim), detailKey: key }] : [];
  return [...lines, wall, ...opening];
}

/** The stretches of a ring round a piece that are turned to who looks. */
function nearRuns(ring: readonly Vec3[], { body, frame }: PlacedPiece, { toward }: Camera): Vec3[][] {
  const middle = pointIn(frame, body.centroid);
  const runs: Vec3[][] = [];
  let isOn = false;
  for (const point of ring) {
    const isNear = dot(point, toward) >= dot(middle, toward);
    if (isNear && isOn) runs.at(-1)?.push(point);
    else if (isNear) runs.push([point]);
    isOn = isNear;
  }
  return runs.filter(({ length }) => length > 1);
}

/** Beyond what it is set on, as one looks: drawn before it. */
export function isBehindHost({ of, host, spots }: PlacedDetail, { toward }: Camera): boolean {
  if (of.kind !== 'cut' || of.cut.kind === 'binding') return false;
  const { cut, seat } = of;
  const middles = spots.flatMap((spot) => {
    const form = formOfCut(cut, seat, spot, host);
    return form ? [form.middle] : [];
  });
  if (middles.length === 0) return false;
  const depth = middles.reduce((sum, middle) => sum + dot(middle, toward), 0) / middles.length;
  return depth < dot(pointIn(host.frame, host.body.centroid), toward) - 1e-6;
}

function fibreOf(of: Exclude<PlacedDetail['of'], { kind: 'finding' | 'cut' }>): string | null {
  if (of.kind === 'use') return 'fibreId' in of.use ? of.use.fibreId : null;
  return (
    of.part.uses.flatMap((use) => ('fibreId' in use && use.fibreId !== null ? [use.fibreId] : []))[0] ?? null
  );
}

interface Drawing {
  readonly camera: Camera;
  readonly fibreId: string | null;
  readonly detailKey: string;
}

/** An ellipse that follows its piece; what of it lies over the horizon is not seen. */
function area(
  spot: DetailSpot,
  host: PlacedPiece,
  { alongMm, acrossMm }: { alongMm: number; acrossMm: number },
  { camera, fibreId, detailKey }: Drawing,
  points: number,
): DrawnMark[] {
  const side = cross(spot.along, spot.normal);
  const rim = Array.from({ length: points }, (_, at) => {
    const angle = (2 * Math.PI * at) / points;
    const [along, across] = [(alongMm / 2) * Math.cos(angle), (acrossMm / 2) * Math.sin(angle)];
    const way = unit(plus(times(spot.along, along), times(side, across)));
    return walked(host, spot, way, Math.hypot(along, across), camera);
  });
  const outline = rim.map((point) => seen(camera, point));
  return [{ kind: 'area', fibreId, outline, detailKey }];
}

interface Needled {
  readonly form: NeedledForm;
  readonly camera: Camera;
  readonly detailKey: string;
  readonly points: number;
}

/** As a line or an area is, without wool. */
function needled(
  spot: DetailSpot,
  host: PlacedPiece,
  size: { alongMm: number; acrossMm: number },
  { form, camera, detailKey, points }: Needled,
): DrawnMark[] {
  const drawing = { camera, fibreId: null, detailKey };
  const marks =
    form === 'line' ? line(spot, host, size.alongMm, drawing) : area(spot, host, size, drawing, points);
  return marks.flatMap((mark): DrawnMark[] =>
    mark.kind === 'line'
      ? [{ kind: 'groove', points: mark.points, detailKey }]
      : mark.kind === 'area'
        ? [{ kind: 'hollow', outline: mark.outline, detailKey }]
        : [],
  );
}

/** A way along a surface is followed in steps of so many millimetres, and no more than so many. */
const STEP_MM = 4;
const MOST_STEPS = 8;

/** The end of a way over a surface, or where it goes over the horizon of who looks. */
function walked(
  { body, frame }: PlacedPiece,
  { point, normal }: Pick<DetailSpot, 'point' | 'normal'>,
  way: Vec3,
  lengthMm: number,
  { toward }: Camera,
): Vec3 {
  // What is flat is followed as it lies.
  if (body.face) return plus(point, times(way, lengthMm));
  const steps = Math.min(MOST_STEPS, Math.ceil(lengthMm / STEP_MM));
  let [at, ahead] = [point, way];
  for (let step = 0; step < steps; step++) {
    const next = onSurface(body, frame, plus(at, times(ahead, lengthMm / steps)));
    if (dot(normal, toward) > 0 && dot(next.normal, toward) < 0) return at;
    ahead = acrossAxis(ahead, next.normal) ?? ahead;
    at = next.point;
  }
  return at;
}

/** A point near a round surface, brought onto it at its own height. */
function onSurface(body: Body, frame: Frame, near: Vec3): Pick<DetailSpot, 'point' | 'normal'> {
  const [x, y, z] = pointFrom(frame, near);
  const spot = body.spotAt(degrees(Math.atan2(x, z)), Math.min(1, Math.max(0, y / body.heightMm)));
  return { point: pointIn(frame, spot.point), normal: directionIn(frame, spot.normal) };
}

/** Across its place; turned by its twist. */
function line(
  spot: DetailSpot,
  host: PlacedPiece,
  lengthMm: number,
  { camera, fibreId, detailKey }: Drawing,
): DrawnMark[] {
  const side = cross(spot.along, spot.normal);
  const half = Math.floor(ALONG / 2);
  const points = Array.from({ length: ALONG }, (_, at) => {
    const out = ((at - half) / half) * (lengthMm / 2);
    return seen(camera, walked(host, spot, times(side, Math.sign(out)), Math.abs(out), camera));
  });
  return [{ kind: 'line', fibreId, points, detailKey }];
}

/** Strands for each millimetre of a line of hair. */
const STRANDS_PER_MM = 0.7;

function hair(
  spot: DetailSpot,
  host: PlacedPiece,
  { alongMm: dropMm, acrossMm: lineMm }: { alongMm: number; acrossMm: number },
  { camera, fibreId, detailKey }: Drawing,
): DrawnMark {
  const side = cross(spot.along, spot.normal);
  const count = Math.max(3, Math.round(lineMm * STRANDS_PER_MM));
  const strands = Array.from({ length: count }, (_, at): [Point2, Point2] => {
    const share = at / (count - 1) - 0.5;
    const root = walked(host, spot, times(side, Math.sign(share)), Math.abs(share) * lineMm, camera);
    // Out of the surface, and then down with its own weight; never quite alike.
    const fall = plus(times(spot.normal, 0.55 + 0.12 * Math.sin(at * 2.4)), [0, -0.75, 0]);
    const tip = plus(plus(root, times(fall, dropMm)), times(side, share * dropMm * 0.35));
    return [seen(camera, root), seen(camera, tip)];
  });
  return { kind: 'hair', fibreId, strands, detailKey };
}

/** A bought thing as the round it is, sunk to half; from the side as far as it stands off. */
function thing(
  spot: DetailSpot,
  finding: Parameters<typeof sizeOfThing>[0],
  camera: Camera,
  detailKey: string,
): DrawnMark[] {
  const size = sizeOfThing(finding);
  if (!size) return [];
  const side = cross(spot.along, spot.normal);
  const points = Array.from({ length: 13 }, (_ring, ring) =>
    Array.from({ length: 16 }, (_, at) => {
      const [up, turn] = [Math.PI * (ring / 12 - 0.5), (2 * Math.PI * at) / 16];
      const round = Math.cos(up);
      return seen(
        camera,
        plus(
          plus(spot.point, times(spot.along, (size.alongMm / 2) * round * Math.cos(turn))),
          plus(
            times(side, (size.acrossMm / 2) * round * Math.sin(turn)),
            times(spot.normal, (size.offMm / 2) * Math.sin(up)),
          ),
        ),
      );
    }),
  ).flat();
  return [{ kind: 'thing', colour: finding.colour, outline: hullOf(points), detailKey }];
}
