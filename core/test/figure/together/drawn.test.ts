import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { estimatePattern } from '../../../src/engine/index.ts';
import { ABOVE, cameraOf, FRONT, type LookFrom, seen, SIDE } from '../../../src/figure/together/camera.ts';
import { drawnFigure } from '../../../src/figure/together/drawnFigure.ts';
import { isWithin } from '../../../src/shapes/index.ts';
import { pointIn } from '../../../src/placing/index.ts';
import { putTogether } from '../../../src/figure/together/together.ts';
import { type Pattern, straightOut, UPRIGHT } from '../../../src/pattern/index.ts';
import { WOOL } from '../../support/engine.ts';
import { mm, part, pattern, shapes, use } from '../../support/make.ts';
import { placement } from '../../support/places.ts';
import { joined } from '../../support/writing.ts';

const WING = 'M30 0C46 2 58 18 60 40C62 66 52 96 30 130C26 134 22 132 21 127C8 98 0 70 2 42C4 18 14 -2 30 0Z';
const bird = (more: Partial<Pattern> = {}): Pattern =>
  pattern(
    [
      part('body', shapes.egg(82, 60), {
        uses: [
          use('core', 'core', 'core'),
          use('coat', 'belly', 'coat', { cover: { kind: 'patch', length: mm(50), width: mm(30) } }),
        ] as never,
      }),
      part('head', shapes.ball(40), {
        uses: [
          use('core', 'hcore', 'core'),
          use('dot', 'eyes', 'dark', { diameter: mm(4), count: 2, words: 'eyes' }),
          use('line', 'mouth', 'dark', { length: mm(10) }),
          use('hair', 'tuft', 'coat', { line: mm(12), drop: mm(10) }),
        ] as never,
      }),
      part('wing', shapes.outline(WING, 52, 5), { count: 2 }),
      part('collar', shapes.ring(36, 5)),
    ],
    {
      joins: [
        joined('head', 'body', { sink: mm(5), placement: placement('each', [straightOut(0, 1)]) }),
        joined('wing', 'body', {
          placement: placement('mirror', [straightOut(100, 0.55)], { heldBy: 'side' }),
        }),
        joined('collar', 'body', { placement: placement('each', [straightOut(0, 1)], { heldBy: 'side' }) }),
      ],
      ...more,
    },
  );
const drawn = (build: Pattern, from: LookFrom) => {
  const together = putTogether(build, estimatePattern(build, WOOL), WOOL.findings);
  return { together, drawing: drawnFigure(together, build.parts, from) };
};
const lookFrom = fc.oneof(
  fc.integer({ min: 0, max: 23 }).map((turns): LookFrom => ({ kind: 'round', turnDeg: turns * 15 })),
  fc.constant(ABOVE),
);

describe('the figure as it is seen', () => {
  test('every point of a piece that is outside its host lies within its silhouette, from every side', () => {
    fc.assert(
      fc.property(lookFrom, fc.integer({ min: -180, max: 180 }), (from, pitchDeg) => {
        const { together, drawing } = drawn(bird({ stance: { ...UPRIGHT, pitchDeg } }), from);
        const camera = cameraOf(from);
        for (const { key, outline } of drawing.pieces) {
          const piece = together.figure.pieces.find((candidate) => candidate.key === key)!;
          const middle = [0, 1].map((axis) => outline.flat().reduce((sum, point) => sum + point[axis as 0], 0) / outline.flat().length);
          let within = 0;
          const points = piece.body.rings.flat().filter((_, at) => at % 7 === 0);
          for (const point of points) {
            const [x, y] = seen(camera, pointIn(piece.frame, point));
            // A hair's breadth inward: points of the rim itself lie on it.
            if (isWithin(x + (middle[0]! - x) * 0.02, y + (middle[1]! - y) * 0.02, outline)) within++;
          }
          // What is sunk into its host is cut off; a ring's hole moves its points across.
          expect(within / points.length).toBeGreaterThan(piece.set?.contact ? 0.6 : piece.body.rope ? 0.7 : 0.97);
        }
      }),
      { numRuns: 20 },
    );
  });
  test('from the front, the side and above it is as large as it is', () => {
    const ball = pattern([part('body', shapes.ellipsoid(90, 60, 40))]);
    const sizeFrom = (from: LookFrom) => {
      const { box } = drawn(ball, from).drawing;
      return [box.rightMm - box.leftMm, box.topMm - box.bottomMm].map((size) => Math.round(size));
    };
    expect([sizeFrom(FRONT), sizeFrom(SIDE), sizeFrom(ABOVE)]).toEqual([[60, 90], [40, 90], [60, 40]]);
  });
  test('what is set on the front is drawn after its host from the front, and before it from the back', () => {
    const nosed = pattern([part('body', shapes.ball(60)), part('nose', shapes.ball(12))], { joins: [joined('nose', 'body', { placement: placement('each', [straightOut(0, 0.5)]) })] });
    const order = (turnDeg: number) => drawn(nosed, { kind: 'round', turnDeg }).drawing.pieces.map(({ partId }) => partId);
    expect(order(0)).toEqual(['body', 'nose']);
    expect(order(180)).toEqual(['nose', 'body']);
    expect(order(75)).toEqual(['body', 'nose']);
    expect(order(105)).toEqual(['nose', 'body']);
  });
  test('eyes, a mouth and a belly are seen from the front and not from behind; hair from both', () => {
    const kinds = (turnDeg: number) => drawn(bird(), { kind: 'round', turnDeg }).drawing.pieces.flatMap(({ marks }) => marks.map(({ kind, detailKey }) => `${detailKey.split('.')[0]} ${kind}`)).toSorted();
    expect(kinds(0)).toEqual(['belly area', 'eyes area', 'eyes area', 'mouth line', 'tuft hair']);
    expect(kinds(180)).toEqual(['tuft hair']);
  });
  test('a patch lies on its host as it is bent: narrower than it is wide, and within the silhouette', () => {
    const { drawing } = drawn(bird(), FRONT);
    const body = drawing.pieces.find(({ partId }) => partId === 'body')!;
    const [belly] = body.marks;
    if (belly?.kind !== 'area') throw new Error('a belly');
    const xs = belly.outline.map(([x]) => x);
    const width = Math.max(...xs) - Math.min(...xs);
    expect(width).toBeLessThanOrEqual(30.01);
    expect(width).toBeGreaterThan(20);
    for (const [x, y] of belly.outline) expect(isWithin(x * 0.98, 41 + (y - 41) * 0.98, body.outline)).toBe(true);
  });
  test('a ring seen from the front has its hole, from its edge none', () => {
    const ring = pattern([part('ring', shapes.ring(60, 9))]);
    expect(drawn(ring, FRONT).drawing.pieces[0]?.outline).toHaveLength(2);
    expect(drawn(ring, SIDE).drawing.pieces[0]?.outline).toHaveLength(1);
  });
}); // prettier-ignore

describe('a figure cut open', () => {
  test('shows its layers within one another, the core as large as the engine leaves it', () => {
    const coated = pattern([part('body', shapes.ball(60), { coat: 'coat' })]);
    const estimate = estimatePattern(coated, WOOL);
    const { pieces } = drawnFigure(putTogether(coated, estimate, WOOL.findings), coated.parts, FRONT, estimate.parts);
    const [finished, core] = pieces[0]!.layers;
    const acrossOf = (outline: readonly (readonly (readonly [number, number])[])[] | undefined) => {
      const xs = outline!.flat().map(([x]) => x);
      return Math.max(...xs) - Math.min(...xs);
    };
    expect(finished?.fibreId).toBe('coat');
    expect(core?.fibreId).toBe('core');
    const bareMm = estimate.parts[0]!.working.layers!.coreSolid!.widthMm;
    expect(acrossOf(finished?.outline)).toBeCloseTo(60, 0);
    expect(acrossOf(core?.outline)).toBeCloseTo(bareMm, 0);
    // Its middle stays where it is: the coat is as thick below as above.
    const ys = core!.outline.flat().map(([, y]) => y);
    expect((Math.max(...ys) + Math.min(...ys)) / 2).toBeCloseTo(30, 1);
  });
}); // prettier-ignore
