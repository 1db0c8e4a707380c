import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { estimatePattern, type Wool } from '../../../src/engine/index.ts';
import { type GuideLineIs, guidePieces, type GuidePiece } from '../../../src/figure/index.ts';
import { blankCut, blankSegment, type Pattern, straightOut } from '../../../src/pattern/index.ts';
import { resizePattern } from '../../../src/resize/index.ts';
import { finding, WOOL } from '../../support/engine.ts';

import { mm, part, pattern, shapes } from '../../support/make.ts';
import { distanceTo, extentOf } from '../../support/outlines.ts';
import { placement } from '../../support/places.ts';
import { joined } from '../../support/writing.ts';

const of = (build: Pattern, wool: Wool = WOOL, whole = build) => ({
  build,
  whole,
  estimate: estimatePattern(build, wool),
  findings: wool.findings,
});
const piecesOf = (build: Pattern, wool: Wool = WOOL) =>
  guidePieces([of(build, wool)]).pieces.map(({ piece }) => piece);
type PartPiece = Extract<GuidePiece, { kind: 'part' }>;
const partPieces = (build: Pattern, wool: Wool = WOOL, id = 'p') =>
  piecesOf(build, wool).filter((piece): piece is PartPiece => piece.kind === 'part' && piece.part.id === id);
const lineOf = (piece: GuidePiece | undefined, is: GuideLineIs) => {
  const found = piece && 'lines' in piece ? piece.lines.find((line) => line.is === is) : undefined;
  if (!found) throw new Error(`no line that is ${is}`);
  return found;
};
const STAR = 'M50 0L61 38L98 35L68 57L79 91L50 70L21 91L32 57L2 35L39 38Z';

describe('outlines', () => {
  test('a ball 60 is a circle of 60.0 wherever it is measured', () => {
    const { points } = lineOf(partPieces(pattern([part('p', shapes.ball(60))]))[0], 'finished');
    for (const [x, y] of points) expect(Math.hypot(x, y)).toBeCloseTo(30, 6);
    expect(extentOf(points).across).toBeCloseTo(60, 2);
  });

  test.each([
    ['a coat and what is rolled', part('p', shapes.ball(60), { coat: 'coat' }), ['finished', 'felted', 'rolled']],
    ['no coat', part('p', shapes.ball(60)), ['finished', 'rolled']],
    ['a flat piece', part('p', shapes.flat(50, 30, 3)), ['finished', 'laid']],
    ['deeper than wide', part('p', shapes.ellipsoid(60, 40, 20)), ['finished', 'rolled', 'side']],
    ['a patch', part('p', shapes.patch(30, 20)), ['laid']],
    ['hair', part('p', shapes.fringe(40, 25)), ['laid']],
  ] as const)('%s', (_name, piece, lines) => {
    expect(partPieces(pattern([piece]))[0]?.lines.map(({ is }) => is)).toEqual(lines);
  }); // prettier-ignore

  test.each([
    ['a ball 60 with a coat', part('p', shapes.ball(60), { coat: 'coat' })],
    ['a limb', part('p', shapes.limb(80, 14), { coat: 'coat' })],
    ['an egg', part('p', shapes.egg(82, 60), { coat: 'coat' })],
  ])('%s is drawn as large as the ledger of sizes says, before and after its coat, and rolled', (_name, piece) => {
    const estimate = estimatePattern(pattern([piece]), WOOL).parts[0];
    const bare = estimate?.working.layers?.solidAfter(0);
    const [drawn] = partPieces(pattern([piece]));
    const rolled = estimate?.rollUp?.kind === 'rolled' ? estimate.rollUp.solid : null;
    for (const [is, solid] of [['finished', estimate?.solid], ['felted', bare], ['rolled', rolled]] as const) {
      const { across, down } = extentOf(lineOf(drawn, is).points);
      expect(across).toBeCloseTo(solid?.widthMm ?? NaN, 1);
      expect(down).toBeCloseTo(solid?.heightMm ?? NaN, 1);
    }
  }); // prettier-ignore

  test('whatever its outline, what is turned in is as wide everywhere', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(STAR, 'M0 0H40V10H14V60H0Z', 'M0 0L90 0L45 70Z'),
        fc.double({ min: 30, max: 160, noNaN: true }),
        fc.double({ min: 2, max: 14, noNaN: true }),
        (path, length, margin) => {
          const flat = part('p', shapes.outline(path, length, 3), { margin: mm(margin) });
          const [piece] = partPieces(pattern([flat]));
          const finished = lineOf(piece, 'finished');
          for (const point of lineOf(piece, 'laid').points)
            expect(Math.abs(distanceTo(point, finished.points, true) - margin)).toBeLessThan(length / 40);
          const [inner, outer] = [extentOf(finished.points), extentOf(lineOf(piece, 'laid').points)];
          expect(outer.across - inner.across).toBeCloseTo(2 * margin, 1);
          expect(outer.down - inner.down).toBeCloseTo(2 * margin, 1);
        },
      ),
      { numRuns: 25 },
    );
  });

  test('a hole is laid out smaller, not larger', () => {
    const ring = 'M0 0H60V60H0ZM20 20V40H40V20Z';
    const [piece] = partPieces(pattern([part('p', shapes.outline(ring, 60, 3), { margin: mm(5) })]));
    const laid = (piece?.lines ?? []).filter(({ is }) => is === 'laid').map(({ points }) => extentOf(points).across);
    expect(laid.sort((a, b) => a - b).map(Math.round)).toEqual([10, 70]);
  }); // prettier-ignore

  test('a loose end is as long as its join leaves it, at the end it is held by', () => {
    const held = (heldBy: 'base' | 'tip', ends = 1) =>
      partPieces(
        pattern([part('host', shapes.ball(60)), part('p', shapes.limb(60, 12))], {
          joins: [
            joined('p', 'host', {
              looseEnd: { partId: 'p', length: mm(18), ends, amount: null },
              placement: placement('each', [straightOut(0, 0.5)], { heldBy }),
            }),
          ],
        }),
      )[0]?.lines.filter(({ is }) => is === 'loose-end') ?? [];
    const [base] = held('base');
    expect(extentOf(base?.points ?? []).down).toBeCloseTo(18, 6);
    // Below: its base is drawn there.
    expect(extentOf(base?.points ?? []).bottom).toBeCloseTo(30 + 18, 6);
    expect(extentOf(held('tip')[0]?.points ?? []).top).toBeCloseTo(-30 - 18, 6);
    expect(held('base', 2)).toHaveLength(2);
  });

  test('what has no size is told and not drawn', () => {
    const unknown = part('p', { kind: 'ball', diameter: null });
    const { pieces, missing } = guidePieces([of(pattern([unknown, part('q', shapes.byCount())]))]);
    expect(pieces).toEqual([]);
    expect(missing.map(({ why }) => why)).toEqual(['size_unknown', 'no_shape']);
  });
});

describe('marks', () => {
  const limb = part('p', shapes.limb(40, 10), { count: 2 });
  const figure = (places: ReturnType<typeof placement>, host = part('host', shapes.ball(60))) =>
    pattern([host, limb], { joins: [joined('p', 'host', { sink: mm(4), placement: places })] });
  const marksOf = (build: Pattern, id: string) => partPieces(build, WOOL, id)[0]?.marks ?? [];

  test('a limb straight in front: its ring on the host is the chord of the sphere it meets', () => {
    const [ring] = marksOf(figure(placement('each', [straightOut(0, 0.5)])), 'host');
    // A round of radius 5 about the middle of what is seen; flat ends of limbs are half round.
    for (const [x, y] of ring?.points ?? []) expect(Math.abs(Math.hypot(x, y) - 5)).toBeLessThan(0.7);
    expect(ring?.isBehind).toBe(false);
  });
  test.each([
    ['front', 0, false],
    ['back', 180, true],
  ])('at the %s', (_side, aroundDeg, isBehind) => {
    const [ring] = marksOf(figure(placement('each', [straightOut(aroundDeg, 0.5)])), 'host');
    expect(ring?.isBehind).toBe(isBehind);
  });
  test('a pair is marked on both sides alike', () => {
    const marks = marksOf(figure(placement('mirror', [straightOut(40, 0.6)])), 'host');
    const [left, right] = marks.map(({ points }) => extentOf(points));
    expect(marks).toHaveLength(2);
    expect(left?.right).toBeCloseTo(-(right?.left ?? NaN), 6);
    expect(left?.top).toBeCloseTo(right?.top ?? NaN, 6);
  });
  test('an eye lies where its place says: across x = r·sin(around), its size its own', () => {
    const wool: Wool = { ...WOOL, findings: new Map([['eye', finding('eye', { outerMm: { length: 8, width: 8, height: 8 } } as never)]]) };
    const build = pattern([part('p', shapes.ball(60))], {
      findings: [{ id: 'f', findingId: 'eye', partId: 'p', count: 1, placement: placement('each', [straightOut(30, 0.5)]) }],
    });
    const eye = partPieces(build, wool)[0]?.marks.find(({ of: { kind } }) => kind === 'finding');
    const { left, right, down } = extentOf(eye?.points ?? []);
    expect((left + right) / 2).toBeCloseTo(30 * Math.sin(Math.PI / 6), 1);
    expect(down).toBeCloseTo(8, 1);
  }); // prettier-ignore
  test('a slot lies where its piece goes in, as long as it is said', () => {
    const build = pattern([part('host', shapes.ball(60)), limb], {
      joins: [
        joined('p', 'host', {
          sink: mm(4),
          slot: { length: mm(14), depth: mm(5) },
          placement: placement('each', [straightOut(0, 0.5)]),
        }),
      ],
    });
    const slot = marksOf(build, 'host').find(({ of: { kind } }) => kind === 'slot');
    const { across, down, left, right } = extentOf(slot?.points ?? []);
    expect(Math.hypot(across, down)).toBeCloseTo(14, 6);
    expect(left + right).toBeCloseTo(0, 6);
    expect(resizePattern(build, 2).joins[0]?.slot).toEqual({ length: mm(28), depth: mm(10) });
  });
  test('the hanger and the flat it stands on', () => {
    const build = pattern([part('p', shapes.ball(60))], {
      stance: {
        rests: 'hangs',
        pitchDeg: 0,
        rollDeg: 0,
        yawDeg: 0,
        flatAcross: mm(24),
        hangAt: { partId: 'p', aroundDeg: 0, heightFraction: 1 },
      },
    });
    const marks = partPieces(build)[0]?.marks ?? [];
    const hanger = extentOf(marks.find(({ of: { kind } }) => kind === 'hanger')?.points ?? []);
    expect([(hanger.left + hanger.right) / 2, (hanger.top + hanger.bottom) / 2]).toEqual([0, -30]);
    const flat = extentOf(marks.find(({ of: { kind } }) => kind === 'flat')?.points ?? []);
    expect(flat.across).toBeCloseTo(24, 6);
    expect(flat.top).toBeCloseTo(Math.sqrt(30 ** 2 - 12 ** 2), 4);
  });
});

describe('pairs', () => {
  const wing = (path: string) => part('p', shapes.outline(path, 50, 3), { count: 2 });
  const figure = (piece: ReturnType<typeof part>, rule: 'mirror' | 'copy' | 'parted') =>
    pattern([part('host', shapes.ball(60)), piece], {
      joins: [joined('p', 'host', { placement: placement(rule, [straightOut(80, 0.5)]) })],
    });
  const LOPSIDED = 'M0 0L30 10L20 60L0 50Z';

  test.each([
    ['lopsided, mirrored', LOPSIDED, 'mirror', [[1, false], [1, true]]],
    ['lopsided, parted', LOPSIDED, 'parted', [[1, false], [1, true]]],
    ['lopsided, of one hand', LOPSIDED, 'copy', [[2, false]]],
    ['the same both ways', STAR, 'mirror', [[2, false]]],
  ] as const)('%s', (_name, path, rule, drawn) => {
    const pieces = partPieces(figure(wing(path), rule));
    expect(pieces.map(({ count, isMirrored }) => [count, isMirrored])).toEqual(drawn);
    const [first, other] = pieces;
    if (other) {
      const flipped = lineOf(other, 'finished').points.map(([x, y]) => [-x, y]);
      expect(lineOf(first, 'finished').points).toEqual(flipped);
    }
  }); // prettier-ignore
});

describe('lengths and panels', () => {
  test('stretches of a wire follow one another and come to what is cut', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 5, max: 200 }), { minLength: 1, maxLength: 6 }),
        fc.integer({ min: 0, max: 4 }),
        (lengths, endCurls) => {
          const wire = blankCut('w', 'wire');
          if (wire.kind !== 'wire') throw new Error('a wire');
          const build = pattern([part('p', shapes.ball(20))], {
            cuts: [
              {
                ...wire,
                endCurls,
                segments: lengths.map((length) => ({ ...blankSegment(), length: mm(length) })),
              },
            ],
          });
          const piece = piecesOf(build).find(({ kind }) => kind === 'length');
          if (piece?.kind !== 'length') throw new Error('a length');
          const { stretches, lengthMm } = piece;
          stretches.forEach(({ fromMm }, at) => expect(fromMm).toBe(at === 0 ? 0 : stretches[at - 1]?.toMm));
          const wanted = lengths.reduce((sum, length) => sum + length, 8 * endCurls);
          expect(lengthMm).toBeGreaterThanOrEqual(wanted - 1e-9);
          expect(lengthMm - wanted).toBeLessThan(5);
          expect(stretches.at(-1)?.toMm ?? 0).toBeGreaterThan(wanted - 1e-9);
        },
      ),
      { numRuns: 60 },
    );
  });
  test('a tube’s panel is its circumference and overlap long; the line is marked where its round is whole', () => {
    const tube = { ...blankCut('t', 'tube-panel'), height: mm(40), diameter: mm(30), overlap: mm(7) };
    const piece = piecesOf(pattern([part('p', shapes.ball(20))], { cuts: [tube as never] })).find(({ kind }) => kind === 'panel');
    const edge = extentOf(lineOf(piece, 'cut').points);
    expect(edge.across).toBe(105);
    expect(Math.ceil((Math.PI * 30 + 7) / 5) * 5).toBe(105);
    expect(edge.down).toBe(40);
    // Cut longer than it need be, the tube is still 30 across.
    expect((extentOf(lineOf(piece, 'overlap').points).left - edge.left) / Math.PI).toBeCloseTo(30, 9);
  }); // prettier-ignore
});

describe('several builds', () => {
  const build = pattern([part('p', shapes.ball(60)), part('q', shapes.limb(40, 10))]);
  test('what is the same is drawn once, what is of another size once more', () => {
    const { pieces } = guidePieces([of(build), of(build), of(resizePattern(build, 1.5), WOOL, build)]);
    expect(pieces.map(({ builds }) => builds)).toEqual([[0, 1], [0, 1], [2], [2]]);
  });
  test('what is not drawn is said of each design, though a copied one has the same ids', () => {
    const named = (name: string) => pattern([part('q', shapes.byCount(), { name })]);
    const { missing } = guidePieces([of(named('Beads')), of(named('Whiskers')), of(named('Beads'))]);
    expect(missing.map(({ of: what }) => what.kind === 'part' && what.part.name)).toEqual([
      'Beads',
      'Whiskers',
    ]);
  });
  test('a piece that is left out keeps the numbers of the others', () => {
    const without = { ...build, parts: build.parts.slice(1) };
    const [piece] = guidePieces([of(without, WOOL, build)]).pieces;
    expect(piece?.piece.kind === 'part' && piece.piece.number).toBe(2);
  });
});
