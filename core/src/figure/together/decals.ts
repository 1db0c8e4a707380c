import { type Camera, seen } from './camera.ts';
import { type DetailSpot, type PlacedDetail, sizeOfDetail, sizeOfThing } from './details.ts';
import type { DrawnMark } from './drawnMark.ts';
import { hullOf, type Point2 } from './hull.ts';
import type { PlacedPiece } from './placeFigure.ts';
import { cross, dot, plus, pointFrom, times, type Vec3 } from './space.ts';

/** Points along the rim of what is laid on. */
const RIM = 28;
/** Points along a line. */
const ALONG = 17;
/** So far over the horizon of its piece a thing is still seen. */
const HORIZON = 0.02;

/** What is seen of one detail: nothing of what lies on the far side. */
export function decalOf(detail: PlacedDetail, camera: Camera): DrawnMark[] {
  const { of, host, spots, key } = detail;
  const near = spots.filter(({ normal }) => dot(normal, camera.toward) > HORIZON);
  if (of.kind === 'finding') return near.flatMap((spot) => thing(spot, of.finding, camera, key));
  const size = sizeOfDetail(detail);
  if (!size) return [];
  const fibreId = fibreOf(of);
  const role = of.kind === 'use' ? of.use.role : 'patch';
  // Hair stands off: it is seen from behind its line as well.
  if (role === 'hair')
    return spots.map((spot) => hair(spot, host, size, { camera, fibreId, detailKey: key }));
  return near.flatMap((spot): DrawnMark[] =>
    role === 'line'
      ? line(spot, host, size.alongMm, { camera, fibreId, detailKey: key })
      : area(spot, host, size, { camera, fibreId, detailKey: key }),
  );
}

function fibreOf(of: Exclude<PlacedDetail['of'], { kind: 'finding' }>): string | null {
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

/** An ellipse draped over its piece; what of it lies over the horizon is not seen. */
function area(
  spot: DetailSpot,
  host: PlacedPiece,
  { alongMm, acrossMm }: { alongMm: number; acrossMm: number },
  { camera, fibreId, detailKey }: Drawing,
): DrawnMark[] {
  const side = cross(spot.along, spot.normal);
  const rim = Array.from({ length: RIM }, (_, at) => {
    const angle = (2 * Math.PI * at) / RIM;
    const on = plus(
      times(spot.along, (alongMm / 2) * Math.cos(angle)),
      times(side, (acrossMm / 2) * Math.sin(angle)),
    );
    return draped(plus(spot.point, on), spot, host);
  });
  const outline = hullOf(rim.map((point) => seen(camera, point)));
  return outline.length > 2 ? [{ kind: 'area', fibreId, outline, detailKey }] : [];
}

/** Halvings in which a point above a surface is brought down onto it. */
const HALVINGS = 14;

/** A point of the plane that touches there, brought onto the surface: bent about it as far as it is away. */
function draped(point: Vec3, { normal, point: middle }: DetailSpot, host: PlacedPiece): Vec3 {
  const isIn = (depth: number) =>
    host.body.contains(pointFrom(host.frame, plus(point, times(normal, -depth))));
  let [above, below] = [0, Math.hypot(point[0] - middle[0], point[1] - middle[1], point[2] - middle[2])];
  if (!isIn(below)) return point;
  for (let step = 0; step < HALVINGS; step++) {
    const depth = (above + below) / 2;
    if (isIn(depth)) below = depth;
    else above = depth;
  }
  return plus(point, times(normal, -below));
}

/** Across its place; turned by its twist. */
function line(
  spot: DetailSpot,
  host: PlacedPiece,
  lengthMm: number,
  { camera, fibreId, detailKey }: Drawing,
): DrawnMark[] {
  const side = cross(spot.along, spot.normal);
  const points = Array.from({ length: ALONG }, (_, at) => {
    const out = (at / (ALONG - 1) - 0.5) * lengthMm;
    return seen(camera, draped(plus(spot.point, times(side, out)), spot, host));
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
    const root = draped(plus(spot.point, times(side, share * lineMm)), spot, host);
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
  const points = Array.from({ length: 12 }, (_ring, ring) =>
    Array.from({ length: 16 }, (_, at) => {
      const [up, turn] = [Math.PI * (ring / 11 - 0.5), (2 * Math.PI * at) / 16];
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
