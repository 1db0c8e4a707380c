import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { estimatePattern } from '../../../src/engine/index.ts';
import { HAND_SIGMA_MM, standingOf } from '../../../src/figure/together/balance.ts';
import { supportOf } from '../../../src/figure/together/feet.ts';
import { hangingFrom, pointOnPiece, straightHangingPoint } from '../../../src/figure/together/hanging.ts';
import { centreOfMass, massesOf, type PointMass } from '../../../src/figure/together/masses.ts';
import { mendsOf, STEADY_DEG } from '../../../src/figure/together/mends.ts';
import { degrees, placeFigure, pointIn, type Vec3 } from '../../../src/placing/index.ts';
import { putTogether, whatItTells } from '../../../src/figure/together/together.ts';
import {
  type Part,
  type Pattern,
  type Place,
  type Placement,
  straightOut,
  UPRIGHT,
} from '../../../src/pattern/index.ts';
import { WOOL } from '../../support/engine.ts';
import { mm, part, pattern, shapes } from '../../support/make.ts';
import { gaussian } from '../../support/random.ts';
import { countedBody } from '../../support/voxels.ts';
import { placement } from '../../support/places.ts';
import { joined } from '../../support/writing.ts';

const at = (aroundDeg: number, heightFraction: number, more: Partial<Place> = {}): Place => ({
  ...straightOut(aroundDeg, heightFraction),
  ...more,
});
const together = (build: Pattern) => placeFigure(build, estimatePattern(build, WOOL));
const middleOf = (figure: ReturnType<typeof together>, partId: string, index = 0): Vec3 => {
  const piece = figure.pieces.find((candidate) => candidate.partId === partId && candidate.index === index);
  if (!piece) throw new Error(`no ${partId} ${index}`);
  return pointIn(piece.frame, piece.body.centroid);
};
const tellsOf = (build: Pattern) => {
  const estimate = estimatePattern(build, WOOL);
  return whatItTells(putTogether(build, estimate, WOOL.findings), build, estimate, WOOL.findings);
};

/** The figure of the check values: a ball 60 with a ball 40 on it, sunk 5. */
const twoBalls = (place: Place, more: Partial<Pattern> = {}): Pattern =>
  pattern([part('body', shapes.ball(60)), part('head', shapes.ball(40))], {
    joins: [joined('head', 'body', { looseEnd: null, sink: mm(5), placement: placement('each', [place]) })],
    ...more,
  });
const FORWARD = at(0, (1 + Math.cos(Math.PI / 6)) / 2);

describe('check values of the figure together', () => {
  test('a ball 60 with a ball 40 on top, sunk 5', () => {
    const tells = tellsOf(twoBalls(at(0, 1)));
    const figure = together(twoBalls(at(0, 1)));
    expect(tells.masses.points.map(({ massG }) => Number(massG.toFixed(3)))).toEqual([16.965, 5.027]);
    expect(middleOf(figure, 'head')[1]).toBeCloseTo(75, 6);
    expect(tells.centre?.point[1]).toBeCloseTo(40.29, 2);
    expect(tells.size?.heightMm).toBeCloseTo(95, 6);
  });
  test('the head leaning 30° forward', () => {
    const figure = together(twoBalls(FORWARD));
    const tells = tellsOf(twoBalls(FORWARD));
    expect(middleOf(figure, 'head').map((mmAt) => Number(mmAt.toFixed(2)))).toEqual([0, 68.97, 22.5]);
    expect(tells.centre?.point.map((mmAt) => Number(mmAt.toFixed(2)))).toEqual([0, 38.91, 5.14]);
  });
  test('on a flat of radius 12 it has 6.86 mm to the front and tips at 10.0°', () => {
    const { standing } = tellsOf(twoBalls(FORWARD, { stance: { ...UPRIGHT, flatAcross: mm(24) } }));
    if (standing.kind !== 'stands') throw new Error(standing.kind);
    expect(standing.marginMm).toBeCloseTo(6.86, 2);
    expect(standing.tipDeg).toBeCloseTo(10, 1);
    expect(standing.toward[1]).toBeCloseTo(1, 3);
  });
  test('hung from the body’s top it tilts 13.7° forward', () => {
    const tells = tellsOf(twoBalls(FORWARD, { stance: { ...UPRIGHT, rests: 'hangs', hangAt: { partId: 'body', aroundDeg: 0, heightFraction: 1 } } }));
    expect(tells.hanging?.hangs.tiltDeg).toBeCloseTo(13.7, 1);
    expect(tells.hanging?.hangs.toward?.[1]).toBeCloseTo(1, 9);
    expect(tells.hanging?.hangs.isAboveCentre).toBe(true);
  });
  test('hung from the point it finds, it hangs straight', () => {
    const build = twoBalls(FORWARD);
    const [figure, { centre }] = [together(build), tellsOf(build)];
    if (!centre) throw new Error('no mass');
    const from = straightHangingPoint(figure, centre);
    const written = from && pointOnPiece(figure, from);
    expect(written && hangingFrom(figure, written, centre).tiltDeg).toBeLessThan(0.01);
    expect(from && hangingFrom(figure, from, centre).isCovered).toBe(false);
  });
  test('their contact is the circle two balls cut: 21.27 mm across', () => {
    const build = twoBalls(at(0, 1));
    const d = 45;
    const fromBody = (d ** 2 + 30 ** 2 - 20 ** 2) / (2 * d);
    expect(together(build).pieces[1]?.set?.contact?.acrossMm).toBeCloseTo(2 * Math.sqrt(30 ** 2 - fromBody ** 2), 3);
  });
}); // prettier-ignore

describe('places', () => {
  const winged = (rule: Placement['rule'], place: Place, count = 2, more: Partial<Placement> = {}): Pattern =>
    pattern([part('body', shapes.egg(82, 60)), part('arm', shapes.taper(40, 12, 4), { count })], {
      joins: [joined('arm', 'body', { placement: placement(rule, [place], more) })],
    });
  test('90° is the figure’s left, on the viewer’s right', () => {
    expect(middleOf(together(winged('each', at(90, 0.5), 1)), 'arm')[0]).toBeGreaterThan(30);
  });
  test('a mirrored pair is each other’s mirror image, wherever it is put', () => {
    const angle = fc.integer({ min: -170, max: 170 });
    fc.assert(
      fc.property(angle, fc.double({ min: 0.05, max: 0.95, noNaN: true }), angle, angle, angle, (around, height, up, aside, twist) => {
        fc.pre(around % 180 !== 0);
        const figure = together(winged('mirror', at(around, height, { leanUpDeg: up, leanAsideDeg: aside, twistDeg: twist })));
        const [left, right] = [figure.pieces[1], figure.pieces[2]];
        if (!left || !right) throw new Error('two arms');
        for (const local of [[0, 0, 0], [3, 20, 1], [-2, 5, 4]] as Vec3[]) {
          const [x, y, z] = pointIn(left.frame, local);
          const image = pointIn(right.frame, local);
          expect(image[0]).toBeCloseTo(-x, 6);
          expect(image[1]).toBeCloseTo(y, 6);
          expect(image[2]).toBeCloseTo(z, 6);
        }
      }),
      { numRuns: 40 },
    );
  });
  test('a copy stands where the image stands, but is of the same hand', () => {
    const handOf = (rule: Placement['rule']) => {
      const { x, y, z } = together(winged(rule, at(70, 0.5))).pieces[2]!.frame;
      return Math.sign(x[0] * (y[1] * z[2] - y[2] * z[1]) - x[1] * (y[0] * z[2] - y[2] * z[0]) + x[2] * (y[0] * z[1] - y[1] * z[0]));
    };
    expect([handOf('mirror'), handOf('copy')]).toEqual([-1, 1]);
    expect(middleOf(together(winged('copy', at(70, 0.5))), 'arm', 1)[0]).toBeCloseTo(middleOf(together(winged('mirror', at(70, 0.5))), 'arm', 1)[0], 6);
  });
  test.each([
    ['a ring all round', 'ring', 8, 360, [0, 45, 90, 135, 180, 225, 270, 315]],
    ['a ring over the front', 'ring', 3, 90, [-45, 0, 45]],
    ['one of a ring over the front', 'ring', 1, 90, [0]],
  ] as const)('%s', (_name, rule, count, spanDeg, angles) => {
    const figure = together(winged(rule, at(0, 0.5), count, { spanDeg }));
    const found = figure.pieces.slice(1).map(({ frame }) => degrees(Math.atan2(frame.origin[0], frame.origin[2])));
    angles.forEach((angle, index) => expect(Math.cos(((found[index] ?? 0) - angle) * (Math.PI / 180))).toBeCloseTo(1, 9));
    expect(found).toHaveLength(count);
  });
  test('a row goes from its first place to its last', () => {
    const build = winged('row', at(0, 0.2), 3);
    const join = build.joins[0]!;
    const figure = together({ ...build, joins: [{ ...join, placement: placement('row', [at(0, 0.2), at(0, 0.8)]) }] });
    const heights = figure.pieces.slice(1).map(({ frame }) => frame.origin[1]);
    expect(heights[1]).toBeGreaterThan(heights[0]!);
    expect(heights[2]).toBeGreaterThan(heights[1]!);
  });
  test('on the middle itself there is one and no image; what has no place is told', () => {
    const figure = together(winged('mirror', at(180, 0.3), 2));
    expect(figure.pieces).toHaveLength(2);
    expect(figure.notPlaced).toEqual([{ why: 'places_too_few', partId: 'arm', joinId: 'arm-body', count: 1 }]);
  });
  test('a foot on each of two mirrored legs is mirrored with its leg', () => {
    const build = pattern(
      [part('body', shapes.egg(82, 60)), part('leg', shapes.limb(30, 10), { count: 2 }), part('foot', shapes.flat(24, 14, 4), { count: 2 })],
      { joins: [joined('leg', 'body', { placement: placement('mirror', [at(70, 0.1, { leanUpDeg: -60 })]) }), joined('foot', 'leg', { placement: placement('each', [at(30, 1, { twistDeg: 20 })]) })] },
    );
    const figure = together(build);
    const [left, right] = [middleOf(figure, 'foot', 0), middleOf(figure, 'foot', 1)];
    expect(right[0]).toBeCloseTo(-left[0], 6);
    expect(right[2]).toBeCloseTo(left[2], 6);
  });
  test.each([
    ['of unknown size', { parts: [part('body', shapes.ball(60)), part('head', { kind: 'ball', diameter: null })] }, [{ why: 'size_unknown', partId: 'head' }]],
    ['set on nothing', { joins: [] }, [{ why: 'set_on_nothing', partId: 'head' }]],
    ['set on what has no size', { parts: [part('body', shapes.ball(60)), part('neck', { kind: 'ball', diameter: null }), part('head', shapes.ball(40))], joins: [joined('neck', 'body'), joined('head', 'neck')] }, [{ why: 'size_unknown', partId: 'neck' }, { why: 'host_not_placed', partId: 'head' }]],
  ] as const)('a piece %s is told, and nothing else is lost', (_name, more, told) => {
    const figure = together({ ...twoBalls(at(0, 1)), ...(more as unknown as Partial<Pattern>) });
    expect(figure.notPlaced).toEqual(told);
    expect(figure.pieces.map(({ partId }) => partId)).toEqual(['body']);
  });
  test('joins in a circle leave out what goes round, and come to an end', () => {
    const build = twoBalls(at(0, 1));
    const figure = together({ ...build, parts: [...build.parts, part('a', shapes.ball(10)), part('b', shapes.ball(10))], joins: [...build.joins, joined('a', 'b'), joined('b', 'a')] });
    expect(figure.pieces.map(({ partId }) => partId)).toEqual(['body', 'head']);
  });
  test('nothing of a size: no figure, and nothing is claimed of it', () => {
    const build = pattern([part('body', { kind: 'ball', diameter: null })]);
    expect(together(build).pieces).toEqual([]);
    expect(tellsOf(build)).toMatchObject({ size: null, centre: null, standing: { kind: 'unknown' }, straightFrom: null });
  });
  test('lying, turned and standing, it comes to rest on the ground', () => {
    const angle = fc.integer({ min: -180, max: 180 });
    fc.assert(
      fc.property(angle, angle, angle, (pitchDeg, rollDeg, yawDeg) => {
        const figure = together(twoBalls(FORWARD, { stance: { ...UPRIGHT, pitchDeg, rollDeg, yawDeg } }));
        const lowest = Math.min(...figure.pieces.flatMap(({ body, frame }) => body.finerRings().flat().map((point) => pointIn(frame, point)[1])));
        expect(lowest).toBeGreaterThanOrEqual(-1e-6);
        expect(lowest).toBeLessThan(0.1);
      }),
      { numRuns: 20 },
    );
  });
  test('pitch turns it over its front, roll to its left, yaw its front to its left', () => {
    const way = (turn: Partial<Pattern['stance'] & object>, axis: 'y' | 'z') => together(twoBalls(at(0, 1), { stance: { ...UPRIGHT, ...turn } })).pieces[0]!.frame[axis].map((value) => Math.round(value) + 0);
    expect(way({ pitchDeg: 90 }, 'y')).toEqual([0, 0, 1]);
    expect(way({ rollDeg: 90 }, 'y')).toEqual([1, 0, 0]);
    expect(way({ yawDeg: 90 }, 'z')).toEqual([1, 0, 0]);
  });
}); // prettier-ignore

/** A body with a head, a snout and arms, set anywhere. */
const arbitraryFigure = fc
  .record({
    body: fc.constantFrom(shapes.ball(60), shapes.egg(82, 60), shapes.ellipsoid(70, 50, 60), shapes.dome(70, 50)),
    head: fc.constantFrom(shapes.ball(40), shapes.ellipsoid(42, 36, 30), shapes.drop(50, 34)),
    around: fc.integer({ min: -180, max: 180 }),
    height: fc.double({ min: 0.55, max: 1, noNaN: true }),
    arm: fc.integer({ min: 20, max: 160 }),
    flat: fc.integer({ min: 10, max: 40 }),
  })
  .map(({ body, head, around, height, arm, flat }): Pattern =>
    pattern([part('body', body), part('head', head), part('arm', shapes.limb(44, 12), { count: 2 })] as Part[], {
      joins: [
        joined('head', 'body', { looseEnd: null, sink: mm(4), placement: placement('each', [at(around, height)]) }),
        joined('arm', 'body', { looseEnd: null, sink: mm(3), placement: placement('mirror', [at(arm, 0.5)]) }),
      ],
      stance: { ...UPRIGHT, flatAcross: mm(flat) },
    }),
  ); // prettier-ignore

describe('balance, by other judges', () => {
  test('the centre of mass is that of little cubes of wool', () => {
    fc.assert(
      fc.property(arbitraryFigure, (build) => {
        const estimate = estimatePattern(build, WOOL);
        const { figure, details } = putTogether(build, estimate, WOOL.findings);
        const centre = centreOfMass(massesOf({ figure, details, build, estimate, findings: WOOL.findings }).points);
        let [massG, moment] = [0, [0, 0, 0]];
        for (const { partId, body, frame } of figure.pieces) {
          const ofPart = estimate.parts.find((candidate) => candidate.partId === partId)!;
          const point = pointIn(frame, countedBody(body, 24).centroid);
          massG += ofPart.pieceG;
          moment = moment.map((sum, axis) => sum + (point[axis] ?? 0) * ofPart.pieceG);
        }
        moment.forEach((sum, axis) => expect(Math.abs(sum / massG - centre!.point[axis as 0])).toBeLessThan(0.6));
      }),
      { numRuns: 12 },
    );
  });
  test('it tips first, and as far, as trying every way finds', () => {
    fc.assert(
      fc.property(arbitraryFigure, (build) => {
        const { standing } = tellsOf(build);
        if (standing.kind !== 'stands') return;
        const [x, y, z] = standing.centre.point;
        let least = Infinity;
        for (let way = 0; way < 360; way += 0.25) {
          const [ex, ez] = [Math.cos((way * Math.PI) / 180), Math.sin((way * Math.PI) / 180)];
          // Tipped that way it turns about what of its feet is furthest out.
          const pivot = Math.max(...standing.support.map(([px, pz]) => (px - x) * ex + (pz - z) * ez));
          least = Math.min(least, degrees(Math.atan2(pivot, y)));
        }
        expect(standing.tipDeg).toBeCloseTo(least, 1);
      }),
      { numRuns: 25 },
    );
  });
  test('the chance that it stands is that of figures felted by chance', () => {
    const points: PointMass[] = [
      { massG: 20, point: [0, 30, 0], group: 'a', sharedSigma: 0.12, ownSigma: 0.1 },
      { massG: 8, point: [0, 70, 22], group: 'a', sharedSigma: 0.12, ownSigma: 0.15 },
      { massG: 5, point: [10, 60, 8], group: 'b', sharedSigma: 0.2, ownSigma: 0.1 },
    ];
    const support = [[-7.2, -7.2], [7.2, -7.2], [7.2, 7.2], [-7.2, 7.2]] as const;
    const standing = standingOf(points, support);
    if (!('chance' in standing)) throw new Error(standing.kind);
    const draw = gaussian(7);
    const times = 40_000;
    let stood = 0;
    for (let n = 0; n < times; n++) {
      const groups = { a: draw(), b: draw() };
      const felted = points.map((point) => ({ ...point, massG: point.massG * Math.exp(groups[point.group as 'a'] * point.sharedSigma + draw() * point.ownSigma) }));
      const [x, , z] = centreOfMass(felted)!.point;
      // Set a millimetre off, this way or that.
      if (Math.abs(x + HAND_SIGMA_MM * draw()) <= 7.2 && Math.abs(z + HAND_SIGMA_MM * draw()) <= 7.2) stood++;
    }
    expect(Math.abs(standing.chance - stood / times)).toBeLessThan(0.02);
    expect(standing.chance).toBeGreaterThan(0.55);
    expect(standing.chance).toBeLessThan(0.98);
  });
  test('each mend, done, makes it steady; and a little less does not', () => {
    fc.assert(
      fc.property(arbitraryFigure, (build) => {
        const estimate = estimatePattern(build, WOOL);
        const { figure } = putTogether(build, estimate, WOOL.findings);
        const { masses, standing } = tellsOf(build);
        for (const mend of mendsOf(figure, masses.points, standing)) {
          const support = supportOf(figure, build.stance);
          const done = (share: number) => {
            if (mend.kind === 'weight') return standingOf([...masses.points, { massG: mend.massG * share, point: mend.at, group: '', sharedSigma: 0, ownSigma: 0 }], support);
            if (mend.kind === 'feet') return standingOf(masses.points, support.map(([x, z]) => [x + mend.toward[0] * mend.byMm * share, z + mend.toward[1] * mend.byMm * share]));
            return mend.standing;
          };
          const after = done(1);
          expect('tipDeg' in after && after.tipDeg).toBeGreaterThan(STEADY_DEG - 0.05);
          const less = done(0.9);
          if (mend.kind !== 'flat') expect('tipDeg' in less && less.tipDeg).toBeLessThan(STEADY_DEG);
        }
      }),
      { numRuns: 20 },
    );
  });
  test('what nobody has weighed is told, and what is known still counts', () => {
    const build = twoBalls(at(0, 1));
    const unknown = { ...build, parts: build.parts.map((known) => (known.id === 'head' ? { ...known, uses: [{ ...known.uses[0]!, fibreId: null }] } : known)) } as Pattern;
    const { masses, centre } = tellsOf(unknown);
    expect(masses.notWeighed).toEqual([{ why: 'mass_unknown', what: 'part', id: 'head' }]);
    expect(centre?.massG).toBeCloseTo(16.965, 3);
  });
}); // prettier-ignore
