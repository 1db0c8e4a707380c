import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  axisAt,
  bodyOf,
  degrees,
  directionIn,
  FIGURE_FRAME,
  hostSpot,
  length,
  minus,
  type Vec3,
} from '../../../src/placing/index.ts';
import { cameraOf, seen } from '../../../src/figure/together/camera.ts';
import { leanTurned, nudge, placementChanged, placeSeenAt } from '../../../src/figure/together/movePlace.ts';
import { type Place, type Placement, straightOut } from '../../../src/pattern/index.ts';
import { type Shape, solidOf } from '../../../src/shapes/index.ts';
import { shapes } from '../../support/make.ts';

const bodyFor = (shape: Shape) => {
  const result = solidOf(shape);
  if (result.kind !== 'solid') throw new Error(result.kind);
  return bodyOf(result.solid);
};
const host = { body: bodyFor(shapes.egg(82, 60)), frame: FIGURE_FRAME };
const pair = (place: Place, rule: Placement['rule'] = 'mirror'): Placement => ({
  rule,
  spanDeg: 360,
  heldBy: 'base',
  places: [place, straightOut(10, 0.2)],
});

describe('places moved by hand', () => {
  test('a millimetre along the surface is a millimetre, round and up', () => {
    fc.assert(
      fc.property(fc.integer({ min: -170, max: 170 }), fc.double({ min: 0.15, max: 0.85, noNaN: true }), fc.constantFrom('aside', 'up'), (around, height, way) => {
        const place = straightOut(around, height);
        const by = nudge(host.body, place, { asideMm: way === 'aside' ? 1 : 0, upMm: way === 'up' ? 1 : 0 });
        const before = host.body.spotAt(around, height).point;
        const after = host.body.spotAt(around + by.aroundDeg!, height + by.heightFraction!).point;
        expect(length(minus(after, before))).toBeCloseTo(1, 1);
      }),
    );
  });
  test('held anywhere in a drawing, a place is found that is seen there, from every side', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 23 }), fc.integer({ min: -60, max: 60 }), fc.double({ min: 0.1, max: 0.9, noNaN: true }), (turns, off, height) => {
        const camera = cameraOf({ kind: 'round', turnDeg: turns * 15 });
        const wanted = seen(camera, host.body.spotAt(turns * 15 + off, height).point);
        const found = placeSeenAt(host, camera, wanted, 'near');
        const [x, y] = seen(camera, host.body.spotAt(found.aroundDeg, found.heightFraction).point);
        expect(Math.hypot(x - wanted[0], y - wanted[1])).toBeLessThan(0.4);
      }),
      { numRuns: 40 },
    );
  });
  test('outside its host, the nearest of its edge is meant; the far side when that is held', () => {
    const camera = cameraOf({ kind: 'round', turnDeg: 0 });
    const edge = placeSeenAt(host, camera, [300, 40], 'near');
    expect(Math.sin((edge.aroundDeg * Math.PI) / 180)).toBeGreaterThan(0.9);
    const far = placeSeenAt(host, camera, [0, 40], 'far');
    expect(Math.cos((far.aroundDeg * Math.PI) / 180)).toBeLessThan(-0.9);
  });
  test('turned in the drawing by so much, a piece points so much further round there', () => {
    const camera = cameraOf({ kind: 'round', turnDeg: 0 });
    const place = straightOut(90, 0.5);
    const wayOf = (at: Place): Vec3 => directionIn(FIGURE_FRAME, axisAt(hostSpot(host.body, at), at));
    const angleOf = ([x, y]: Vec3) => degrees(Math.atan2(y, x));
    for (const byDeg of [-60, -5, 5, 40]) {
      const by = leanTurned(host, place, camera, { byDeg, isImage: false });
      const after = placementChanged(pair(place), { placeIndex: 0, isImage: false }, by).places[0]!;
      expect(angleOf(wayOf(after)) - angleOf(wayOf(place))).toBeCloseTo(byDeg, 0);
    }
  });
  test('an image that is pulled out to its side pulls its partner out as far', () => {
    const changed = placementChanged(pair(straightOut(40, 0.5)), { placeIndex: 0, isImage: true }, { aroundDeg: -10, leanAsideDeg: -5, heightFraction: 0.1 });
    expect(changed.places[0]).toEqual({ ...straightOut(50, 0.6), leanAsideDeg: 5 });
    expect(changed.places[1]).toEqual(straightOut(10, 0.2));
  });
  test('an image turned in the drawing turns as it is seen', () => {
    const camera = cameraOf({ kind: 'round', turnDeg: 0 });
    const place = straightOut(90, 0.5);
    const by = leanTurned(host, place, camera, { byDeg: 20, isImage: true });
    const after = placementChanged(pair(place), { placeIndex: 0, isImage: true }, by).places[0]!;
    // Its image points to the viewer's left; counter-clockwise there is downward, for the told one as well.
    expect(axisAt(hostSpot(host.body, after), after)[1]).toBeLessThan(-0.2);
  });
  test('a ring goes round together; nothing leaves its host, and angles stay within a turn', () => {
    const ring = placementChanged(pair(straightOut(170, 0.95), 'ring'), { placeIndex: 0, isImage: false }, { aroundDeg: 30, heightFraction: 0.3 });
    expect(ring.places).toEqual([straightOut(-160, 1), straightOut(40, 0.5)]);
  });
}); // prettier-ignore
