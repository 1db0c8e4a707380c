import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { layOut, type Stretch } from '../../src/needles/index.ts';
import { byGauge } from '../../src/shelf/index.ts';
import { step } from '../support/writing.ts';

describe('the ladder laid out', () => {
  const stretch = (minutes: number | null, isInHand = true): Stretch => ({
    step: step('s', 'felt', []),
    at: 0,
    wanted: isInHand ? byGauge(38) : null,
    minutes,
  });
  const some = fc.array(
    fc.tuple(fc.option(fc.integer({ min: 0, max: 300 })), fc.boolean()).map(([minutes, isInHand]) => stretch(minutes, isInHand)),
    { minLength: 1, maxLength: 200 },
  );
  test('one after another, over the whole length, none too short to hit', () => {
    fc.assert(
      fc.property(some, (stretches) => {
        const laid = layOut(stretches);
        let end = 0;
        for (const { startFraction: start, lengthFraction: length } of laid) {
          expect(start).toBeCloseTo(end, 9);
          expect(length).toBeGreaterThanOrEqual(Math.min(0.004, 0.2 / stretches.length));
          end = start + length;
        }
        expect(end).toBeCloseTo(1, 9);
      }),
    );
  });
  test('as long as its minutes, where none is too short', () => {
    const laid = layOut([10, 30, 60].map((minutes) => stretch(minutes)));
    expect(laid.map(({ lengthFraction: length }) => Number(length.toFixed(6)))).toEqual([0.1, 0.3, 0.6]);
  });
  test('of unknown minutes: as long as the middle one, and it says so', () => {
    const laid = layOut([stretch(10), stretch(null), stretch(20), stretch(70), stretch(null, false)]);
    expect(laid.map(({ isGuessed }) => isGuessed)).toEqual([false, true, false, false, false]);
    expect(laid[1]?.lengthFraction).toBeCloseTo(laid[2]?.lengthFraction ?? NaN, 9);
    expect(laid[4]?.lengthFraction).toBeLessThan(0.01);
  });
  test('nobody has said anything: all alike', () => {
    expect(layOut([stretch(null), stretch(null)]).map(({ lengthFraction: length }) => length)).toEqual([0.5, 0.5]);
    expect(layOut([])).toEqual([]);
  });
}); // prettier-ignore
