import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { GuideLine, GuideMark } from '../../../src/figure/index.ts';
import { isHanded } from '../../../src/figure/guide/isHanded.ts';

type Point = readonly [number, number];
const outline = (points: readonly Point[], is: GuideLine['is'] = 'finished'): GuideLine => ({
  is,
  points,
  isClosed: true,
});
const mark = (points: readonly Point[], of: GuideMark['of'], isBehind = false): GuideMark => ({
  of,
  points,
  isClosed: true,
  isBehind,
});
const eye = (useId: string): GuideMark['of'] => ({ kind: 'use', useId });
const ellipse = (cx: number, cy: number, rx: number, ry: number): Point[] =>
  Array.from({ length: 48 }, (_, at) => {
    const turn = (2 * Math.PI * at) / 48;
    return [cx + rx * Math.cos(turn), cy + ry * Math.sin(turn)];
  });
const body = outline(ellipse(0, 0, 20, 30));

describe('whether a piece has another hand', () => {
  const size = fc.double({ min: 4, max: 60, noNaN: true });
  test('what is the same both ways has none, wherever it is cut', () => {
    fc.assert(
      fc.property(size, size, fc.integer({ min: 3, max: 40 }), (across, high, corners) => {
        const half = Array.from({ length: corners }, (_, at): Point => [
          across * Math.abs(Math.sin(at * 2.4 + 0.3)),
          (high * at) / corners,
        ]);
        const whole = [...half, ...half.toReversed().map(([x, y]): Point => [-x, y])];
        expect(isHanded([outline(whole)])).toBe(false);
      }),
    );
  });
  test('moved aside by more than a third of a millimetre it has one', () => {
    fc.assert(
      fc.property(size, size, fc.double({ min: 0.4, max: 20, noNaN: true }), (rx, ry, aside) => {
        expect(isHanded([outline(ellipse(aside, 0, rx, ry))])).toBe(true);
      }),
    );
  });
  test.each([
    ['an eye in the middle', [mark(ellipse(0, 5, 2, 2), eye('a'))], false],
    ['an eye on one side', [mark(ellipse(8, 5, 2, 2), eye('a'))], true],
    ['one on each side', [mark(ellipse(8, 5, 2, 2), eye('a')), mark(ellipse(-8, 5, 2, 2), eye('a'))], false],
    ['another one on each side', [mark(ellipse(8, 5, 2, 2), eye('a')), mark(ellipse(-8, 5, 2, 2), eye('b'))], true],
    ['one in front, its like behind', [mark(ellipse(8, 5, 2, 2), eye('a')), mark(ellipse(-8, 5, 2, 2), eye('a'), true)], true],
    ['only how deep it goes in is askew', [mark(ellipse(6, 25, 5, 1), { kind: 'sunk' })], false],
    ['only its side view stands beside it', [outline(ellipse(60, 0, 8, 30), 'side')], false],
  ] as const)('%s: %s', (_name, more, isOther) => {
    expect(isHanded([body, ...more])).toBe(isOther);
  }); // prettier-ignore
});
