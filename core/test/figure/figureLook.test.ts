import { describe, expect, test } from '@jest/globals';
import { estimatePattern } from '../../src/engine/index.ts';
import { figureLook, type Outline, piecesOf } from '../../src/figure/index.ts';
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
  const looks = figureLook(figure, wool);
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
});
