import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { normalCdf, normalQuantile, rangeAbout, Z90 } from '../../src/base/index.ts';

const density = (z: number): number => Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);

/** The judge: Simpson’s rule over the density, which knows nothing of either approximation. */
function integrated(from: number, to: number): number {
  const steps = 2 * Math.ceil((to - from) * 1000);
  const width = (to - from) / steps;
  let sum = density(from) + density(to);
  for (let i = 1; i < steps; i++) sum += density(from + i * width) * (i % 2 === 1 ? 4 : 2);
  return (sum * width) / 3;
}

describe('the normal distribution', () => {
  test.each([0, 0.05, 0.3, 0.674, 1, 1.2815515655446004, 1.96, 2.5, 3.3, 4.75, 6, 7, 7.05, 7.1, 8, 9.5])(
    'at %d it is the area under the density, and the rest on the other side',
    (z) => {
      // Far out the tail is reckoned against a tail: a difference from 1 would hide it.
      const tail = integrated(z, z + 12);
      expect(Math.abs(normalCdf(-z) / tail - 1)).toBeLessThan(z < 6 ? 1e-10 : 1e-8);
      expect(normalCdf(z)).toBeCloseTo(1 - tail, 13);
    },
  );
  test.each([
    [0.5, 0],
    [0.9, 1.2815515655446004],
    [0.95, 1.6448536269514722],
    [0.975, 1.959963984540054],
    [0.99, 2.3263478740408408],
    [0.999, 3.090232306167813],
    [1e-6, -4.753424308822899],
    [1e-12, -7.034483825301131],
  ])('the quantile of %d, as tables give it', (probability, z) => {
    expect(normalQuantile(probability)).toBeCloseTo(z, 12);
  });
  test('quantile and distribution undo one another, from the middle to far out', () => {
    fc.assert(
      fc.property(fc.double({ min: -11, max: 7.9, noNaN: true }), (z) => {
        const probability = normalCdf(z);
        expect(normalQuantile(probability)).toBeCloseTo(z, z > 5 ? 1 : 7);
      }),
    );
  });
  test('it is no less further on, and the two sides add up to one', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -40, max: 40, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        (z, on) => {
          expect(normalCdf(z + on)).toBeGreaterThanOrEqual(normalCdf(z) - 1e-15);
          expect(normalCdf(z) + normalCdf(-z)).toBeCloseTo(1, 14);
        },
      ),
    );
  });
  test('as far out as nothing is left it is nought or one, and never no number', () => {
    expect([normalCdf(-50), normalCdf(50), normalCdf(37), normalCdf(38)]).toEqual([0, 1, 1, 1]);
    expect(normalCdf(-37)).toBeGreaterThan(0);
    expect(normalCdf(-37)).toBeLessThan(1e-295);
  });
});

describe('a mass and how far it may be off', () => {
  test('a tenth of what is likely lies under the low end, a tenth over the high one', () => {
    const sigma = 0.18;
    const { lowG, likelyG, highG } = rangeAbout(12, sigma);
    expect(likelyG).toBe(12);
    expect(normalCdf(Math.log(lowG / 12) / sigma)).toBeCloseTo(0.1, 12);
    expect(normalCdf(Math.log(highG / 12) / sigma)).toBeCloseTo(0.9, 12);
  });
  test('what is certain has no ends apart, and nothing is nothing however unsure', () => {
    expect(rangeAbout(7, 0)).toEqual({ lowG: 7, likelyG: 7, highG: 7 });
    expect(rangeAbout(0, 0.4)).toEqual({ lowG: 0, likelyG: 0, highG: 0 });
  });
  test('the ends lie as far from the middle, as a factor', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.001, max: 5000, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (massG, sigma) => {
          const { lowG, highG } = rangeAbout(massG, sigma);
          expect((lowG * highG) / massG ** 2).toBeCloseTo(1, 12);
          expect(highG).toBeGreaterThanOrEqual(massG);
        },
      ),
    );
  });
  test('the 90th percentile has its name once', () => expect(normalCdf(Z90)).toBeCloseTo(0.9, 14));
});
