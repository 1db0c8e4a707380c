import type { Place, Placement } from '../../pattern/index.ts';
import {
  axisAt,
  type Body,
  degrees,
  directionIn,
  dot,
  type Frame,
  hostSpot,
  pointIn,
  turnedAbout,
  type Vec3,
} from '../../placing/index.ts';
import { type Camera, seen } from './camera.ts';

/** Which of a placement’s places a hand has hold of, and whether it holds the mirror image. */
export interface Held {
  readonly placeIndex: number;
  readonly isImage: boolean;
}

/** By how much a place is changed. */
export type PlaceChange = Partial<Place>;

/**
 * A placement with the held place changed by so much; its mirror image, and all of a ring or a row, go with it.
 * Of an image, what goes round or aside goes the other way.
 */
export function placementChanged(
  placement: Placement,
  { placeIndex, isImage }: Held,
  by: PlaceChange,
): Placement {
  const isOfAll = placement.rule === 'ring' || placement.rule === 'row';
  const sign = isImage ? -1 : 1;
  return {
    ...placement,
    places: placement.places.map((place, index) =>
      index === placeIndex || isOfAll
        ? tidy({
            aroundDeg: place.aroundDeg + sign * (by.aroundDeg ?? 0),
            heightFraction: place.heightFraction + (by.heightFraction ?? 0),
            leanUpDeg: place.leanUpDeg + (by.leanUpDeg ?? 0),
            leanAsideDeg: place.leanAsideDeg + sign * (by.leanAsideDeg ?? 0),
            twistDeg: place.twistDeg + sign * (by.twistDeg ?? 0),
          })
        : place,
    ),
  };
}

/** As it is written: within a turn and within the host, to a tenth of a degree and of a thousandth of its height. */
function tidy(place: Place): Place {
  const turn = (angleDeg: number) => {
    const within = ((((angleDeg + 180) % 360) + 360) % 360) - 180;
    return Math.round(within * 10) / 10 + 0;
  };
  const height = Math.min(1, Math.max(0, place.heightFraction));
  return {
    aroundDeg: turn(place.aroundDeg),
    heightFraction: Math.round(height * 10_000) / 10_000,
    leanUpDeg: turn(place.leanUpDeg),
    leanAsideDeg: turn(place.leanAsideDeg),
    twistDeg: turn(place.twistDeg),
  };
}

/** Near a pole a millimetre goes far round: nothing is turned by more than this many degrees for it. */
const MOST_NUDGE_DEG = 15;

/** So many millimetres along the surface, as a change of its place. */
export function nudge(
  host: Body,
  place: Place,
  { asideMm, upMm }: { asideMm: number; upMm: number },
): PlaceChange {
  const { point, upward } = hostSpot(host, place);
  const radius = Math.hypot(point[0], point[2]);
  const around = degrees(asideMm / Math.max(radius, 1e-6));
  // Up along the surface; where that runs almost level, as far as its height goes.
  const climb = Math.max(0.2, Math.abs(upward[1]));
  return {
    aroundDeg: Math.sign(around) * Math.min(MOST_NUDGE_DEG, Math.abs(around)),
    heightFraction: (upMm * climb) / host.heightMm,
  };
}

/** Looks over a host, round and up, before what is nearest is closed in on. */
const LOOKS = { round: 48, up: 32, closer: 7 };

/**
 * The place of a host that is seen nearest to a point of the drawing.
 * @param side of the host: the one turned to who looks, or the far one
 */
export function placeSeenAt(
  host: { readonly body: Body; readonly frame: Frame },
  camera: Camera,
  [x, y]: readonly [number, number],
  side: 'near' | 'far',
): Pick<Place, 'aroundDeg' | 'heightFraction'> {
  const sign = side === 'near' ? 1 : -1;
  const missMm = (aroundDeg: number, heightFraction: number): number => {
    const { point, normal } = host.body.spotAt(aroundDeg, heightFraction);
    const [px, py] = seen(camera, pointIn(host.frame, point));
    const away = Math.min(0, sign * dot(directionIn(host.frame, normal), camera.toward));
    // What is turned away is only taken where nothing else is near.
    return Math.hypot(px - x, py - y) - away * 1000;
  };
  let best = { aroundDeg: 0, heightFraction: 0.5, miss: Infinity };
  const look = (aroundDeg: number, heightFraction: number) => {
    const height = Math.min(1, Math.max(0, heightFraction));
    const miss = missMm(aroundDeg, height);
    if (miss < best.miss) best = { aroundDeg, heightFraction: height, miss };
  };
  for (let round = 0; round < LOOKS.round; round++)
    for (let up = 0; up <= LOOKS.up; up++) look((360 * round) / LOOKS.round, up / LOOKS.up);
  let [stepDeg, stepUp] = [360 / LOOKS.round, 1 / LOOKS.up];
  for (let closer = 0; closer < LOOKS.closer; closer++) {
    [stepDeg, stepUp] = [stepDeg / 2, stepUp / 2];
    const { aroundDeg, heightFraction } = best;
    for (const round of [-2, -1, 0, 1, 2])
      for (const up of [-2, -1, 0, 1, 2]) look(aroundDeg + round * stepDeg, heightFraction + up * stepUp);
  }
  return { aroundDeg: best.aroundDeg, heightFraction: best.heightFraction };
}

/** The leans of a place whose piece is turned, in the drawing, counter-clockwise about where it is held. */
export function leanTurned(
  host: { readonly body: Body; readonly frame: Frame },
  place: Place,
  camera: Camera,
  { byDeg, isImage }: { byDeg: number; isImage: boolean },
): Pick<PlaceChange, 'leanUpDeg' | 'leanAsideDeg'> {
  const frame = isImage ? imageFrame(host.frame) : host.frame;
  const spot = hostSpot(host.body, place);
  const inFigure = (way: Vec3) => directionIn(frame, way);
  const turned = turnedAbout(inFigure(axisAt(spot, place)), camera.toward, byDeg);
  const up = degrees(Math.atan2(dot(turned, inFigure(spot.upward)), dot(turned, inFigure(spot.normal))));
  const aside = degrees(Math.asin(Math.max(-1, Math.min(1, dot(turned, inFigure(spot.aside))))));
  // An image's own frame is mirrored already: its lean aside is the one that is written.
  return { leanUpDeg: up - place.leanUpDeg, leanAsideDeg: (isImage ? -1 : 1) * (aside - place.leanAsideDeg) };
}

/** Where the images of a host’s pieces are as told ones: its x runs the other way. */
const imageFrame = (frame: Frame): Frame => ({ ...frame, x: [-frame.x[0], -frame.x[1], -frame.x[2]] });
