import { describe, expect, test } from '@jest/globals';
import { estimatePattern } from '../../src/engine/index.ts';
import { figureLook, type Outline, piecesOf } from '../../src/figure/index.ts';
import { blankJoin, UPRIGHT } from '../../src/pattern/index.ts';
import { fibre, part, pattern, shapes, shelf } from '../support/make.ts';

const wool = shelf(fibre('core'), fibre('coat', { colour: '#2c3440' }));
const figure = pattern([
  part('Body', shapes.ellipsoid(90, 60, 50), { coat: 'coat' }),
  part('Leg', shapes.limb(40, 12)),
  part('Unknown', { kind: 'ball', diameter: null }),
]);

/** By the shoelace, mm². */
const areaOf = ({ points }: Outline): number =>
  Math.abs(
    points.reduce((sum, [x, y], at) => {
      const [nextX = 0, nextY = 0] = points[(at + 1) % points.length] ?? [];
      return sum + x * nextY - nextX * y;
    }, 0) / 2,
  );

describe('a figure as lists draw it', () => {
  const pieces = piecesOf(figure, estimatePattern(figure, wool), wool.fibres);
  const look = figureLook(figure, wool);
  const looks = look.kind === 'apart' ? look.pieces : [];
  test('is the figure as it is drawn large, of fewer points and plain JSON', () => {
    expect(looks.map(({ id }) => id)).toEqual(pieces.map(({ part: { id } }) => id));
    looks.forEach((look, at) => {
      const whole = pieces[at]?.finished;
      if (!look.finished || !whole) return;
      expect(look.finished.points.length).toBeLessThan(whole.points.length);
      // A hundredth of what it covers nobody sees at that size.
      expect(Math.abs(areaOf(look.finished) / areaOf(whole) - 1)).toBeLessThan(0.01);
      expect([look.finished.widthMm, look.finished.heightMm]).toEqual([whole.widthMm, whole.heightMm]);
    });
    expect(JSON.parse(JSON.stringify(looks))).toEqual(looks);
    expect(looks[0]?.fibre).toEqual({ colour: '#2c3440', preparation: wool.fibres.get('coat')?.preparation });
  });
  test('what has no size is the dashed box, with no outline', () => {
    expect(looks[2]).toMatchObject({ finished: null, widthMm: 20, heightMm: 20 });
  });
  test('what is joined is seen together, each fibre once, of few points', () => {
    const joined = { ...figure, joins: [{ ...blankJoin('j', 'Leg', 'Body') }] };
    const together = figureLook(joined, wool);
    if (together.kind !== 'together') throw new Error(together.kind);
    expect(together.drawn.pieces.map(({ partId }) => partId).toSorted()).toEqual(['Body', 'Leg']);
    expect(Object.keys(together.wool).toSorted()).toEqual(['coat', 'core']);
    expect(JSON.parse(JSON.stringify(together))).toEqual(together);
    expect(JSON.stringify(together).length).toBeLessThan(4000);
  });
  test.each([
    ['long from front to back: half turned', 120, false],
    ['nearly as wide as it is long: from the front', 70, true],
  ])('%s', (_, lengthMm, isFront) => {
    // An egg on its belly, its tip toward who looks.
    const prone = pattern([part('Body', shapes.ellipsoid(lengthMm, 50, 50), { coat: 'coat' })], {
      stance: { ...UPRIGHT, pitchDeg: 90 },
    });
    const look = figureLook(prone, wool);
    if (look.kind !== 'together') throw new Error(look.kind);
    const { leftMm, rightMm } = look.drawn.box;
    // Of an ellipsoid turned by t: 2 √(a² cos² t + c² sin² t).
    const halfTurned = Math.hypot(
      50 * Math.cos((50 * Math.PI) / 180),
      lengthMm * Math.sin((50 * Math.PI) / 180),
    );
    expect((rightMm - leftMm) / (isFront ? 50 : halfTurned)).toBeCloseTo(1, 1);
  });
  test('what lies is seen from above: as wide and as long as it is', () => {
    const lying = pattern([part('Body', shapes.ellipsoid(90, 60, 20), { coat: 'coat' })], {
      stance: { ...UPRIGHT, rests: 'lies', pitchDeg: -90 },
    });
    const look = figureLook(lying, wool);
    if (look.kind !== 'together') throw new Error(look.kind);
    const { leftMm, rightMm, topMm, bottomMm } = look.drawn.box;
    expect([rightMm - leftMm, topMm - bottomMm].map(Math.round)).toEqual([60, 90]);
  });
});
