import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { estimatePattern } from '../../src/engine/index.ts';
import { type Join, type Pattern, straightOut } from '../../src/pattern/index.ts';
import { known, WOOL } from '../support/engine.ts';
import { mm, part, pattern, shapes } from '../support/make.ts';
import { placement } from '../support/places.ts';
import { joined } from '../support/writing.ts';

const COVER: Join['cover'] = {
  fibreId: 'coat',
  band: null,
  words: '',
  wordsSizeFraction: 1,
  isIfNeeded: false,
};

/** Across the circle in which two balls cut one another, of diameters a and b, b sunk into a; by the two triangles. */
function circleOfBalls(aMm: number, bMm: number, sinkMm: number): number {
  const [r, s] = [aMm / 2, bMm / 2];
  const apart = r + s - sinkMm;
  const half = (r + s + apart) / 2;
  const area = Math.sqrt(half * (half - r) * (half - s) * (half - apart));
  return (4 * area) / apart;
}

const balls = (aMm: number, bMm: number, sinkMm: number, more: Partial<Join> = {}): Pattern =>
  pattern([part('body', shapes.ball(aMm)), part('head', shapes.ball(bMm))], {
    joins: [
      joined('head', 'body', {
        sink: mm(sinkMm),
        placement: placement('each', [straightOut(0, 1)]),
        cover: COVER,
        ...more,
      }),
    ],
  });
const joinOf = (build: Pattern) => estimatePattern(build, WOOL).joins[0];

describe('a join as wide as its surfaces meet', () => {
  test('the check value: a ball of 40 sunk 5 into one of 60 meets it 21.27 mm across; band and cover follow', () => {
    const join = joinOf(balls(60, 40, 5));
    expect(join).toMatchObject({ acrossBy: 'contact' });
    expect(join?.acrossMm).toBeCloseTo(21.27, 1);
    expect(join?.bandMm).toBe(8);
    const perG = (join?.coat?.arealGPerM2 ?? NaN) / 1e6;
    expect(known(join?.cover ?? undefined).pieceG / perG).toBeCloseTo(Math.PI * 21.27 * 8 * 2, -1);
  });
  test('the circle in which any two balls cut, judged by Heron', () => {
    const size = fc.double({ min: 20, max: 120, noNaN: true });
    fc.assert(
      fc.property(size, size, fc.double({ min: 0.05, max: 0.4, noNaN: true }), (a, b, part) => {
        const sinkMm = Math.min(a, b) * part;
        const across = joinOf(balls(a, b, sinkMm))?.acrossMm ?? NaN;
        expect(Math.abs(across / circleOfBalls(a, b, sinkMm) - 1)).toBeLessThan(0.01);
      }),
      { numRuns: 60 },
    );
  });
  test('deeper, it is wider, and takes more over it', () => {
    const grams = [3, 6, 12].map((sink) => known(joinOf(balls(60, 40, sink))?.cover ?? undefined).pieceG);
    expect(grams).toEqual([...grams].sort((a, b) => a - b));
  });
  test.each<[string, Pattern, 'typed' | 'thickness', number]>([
    ['what is typed counts', balls(60, 40, 5, { across: mm(17) }), 'typed', 17],
    ['one that is said to be as thick as its piece', balls(60, 40, 5, { acrossBy: 'thickness' }), 'thickness', 40],
    ['what only lies on its host does not meet it', balls(60, 40, 5, { placement: { ...placement('each', [straightOut(0, 1)]), heldBy: 'side' } }), 'thickness', 40],
    ['what does not reach in', balls(60, 40, 0, { sink: mm(0) }), 'thickness', 40],
    ['a host without a size', pattern([part('body', { kind: 'ball', diameter: null }), part('head', shapes.ball(40))], { joins: [joined('head', 'body', { cover: COVER })] }), 'thickness', 40],
  ])('%s', (_name, build, by, acrossMm) => {
    expect(joinOf(build)).toMatchObject({ acrossBy: by, acrossMm });
  }); // prettier-ignore
  test('a loose end is as long as its join is wide, 10 to 30 mm; one of a round piece is as thick as that', () => {
    const limb = (acrossBy: Join['acrossBy']) =>
      pattern([part('body', shapes.ball(80)), part('leg', shapes.limb(300, 26))], {
        joins: [
          joined('leg', 'body', {
            acrossBy,
            sink: mm(4),
            placement: placement('each', [straightOut(0, 0.5)]),
          }),
        ],
      });
    const [met, thick] = [joinOf(limb('contact')), joinOf(limb('thickness'))];
    expect(thick?.tailMm).toBe(26);
    expect(met?.tailMm).toBeCloseTo(met?.acrossMm ?? NaN, 9);
    expect(met?.tailMm).not.toBe(26);
    const neck = (acrossBy: Join['acrossBy']) =>
      joinOf(
        balls(60, 40, 5, {
          acrossBy,
          looseEnd: { partId: 'head', length: mm(15), ends: 1, amount: null },
        }),
      );
    const neckG = known(neck('contact')?.looseEnd ?? undefined).pieceG;
    // Half as thick as the ball where nobody knows better.
    expect(neckG / known(neck('thickness')?.looseEnd ?? undefined).pieceG).toBeCloseTo((21.27 / 20) ** 2, 1);
  });
  test('it meets as it sits when the figure is turned and scaled', () => {
    const wide = joinOf(balls(60, 40, 5))?.acrossMm ?? NaN;
    const twice = joinOf(balls(120, 80, 10))?.acrossMm ?? NaN;
    expect(twice / wide).toBeCloseTo(2, 6);
    const lying = joinOf({
      ...balls(60, 40, 5),
      stance: { rests: 'lies', pitchDeg: 90, rollDeg: 0, yawDeg: 20, flatAcross: null, hangAt: null },
    });
    expect(lying?.acrossMm).toBeCloseTo(wide, 6);
  });
});
