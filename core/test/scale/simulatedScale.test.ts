import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { SIMULATED_SCALE, simulatedScale, type ScaleLine } from '../../src/scale/index.ts';

const TENTH_S = 0.1;

/** What it says over a time, ten times a second. */
function watch(scale: ReturnType<typeof simulatedScale>, seconds: number): ScaleLine[] {
  return Array.from({ length: Math.round(seconds / TENTH_S) }, () => scale.after(TENTH_S)).flat();
}
const readings = (lines: readonly ScaleLine[]) =>
  lines.flatMap((line) => (line.kind === 'reading' ? [line] : []));

/** The step response of a damped spring in closed form (any text on mechanics): ω 6 / s, ζ 0.7. */
function response(massG: number, seconds: number): number {
  const [omega, zeta] = [6, 0.7];
  const damped = omega * Math.sqrt(1 - zeta ** 2);
  const decay = Math.exp(-zeta * omega * seconds);
  return (
    massG *
    (1 - decay * (Math.cos(damped * seconds) + ((zeta * omega) / damped) * Math.sin(damped * seconds)))
  );
}

describe('a scale that is not there', () => {
  test('swings as a damped spring does, within a step and half a hundredth', () => {
    const scale = simulatedScale(3);
    watch(scale, 1);
    scale.do({ act: 'put', massG: 200 });
    readings(watch(scale, 2)).forEach(({ massG }, at) => {
      const wanted = response(200, (at + 1) * TENTH_S);
      expect(Math.abs(massG - wanted)).toBeLessThan(200 / 200 + 0.3);
    });
  });
  test('is stable about a second and a half after something was put on, at what it weighs to a step; and not before', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 4000 }), fc.nat(1e6), (tenths, seed) => {
        const scale = simulatedScale(seed);
        watch(scale, 1);
        scale.do({ act: 'put', massG: tenths / 10 });
        const after = readings(watch(scale, 4));
        const first = after.findIndex(({ isStable, massG }) => isStable && massG > tenths / 20);
        expect(first).toBeGreaterThanOrEqual(5);
        expect(first * TENTH_S).toBeLessThan(3.2);
        for (const { massG, isStable } of after.slice(first)) {
          expect(isStable).toBe(true);
          expect(Math.abs(massG - tenths / 10)).toBeLessThanOrEqual(2 * SIMULATED_SCALE.stepG + 1e-9);
        }
      }),
      { numRuns: 60 },
    );
  });
  test('an empty pan is nought after an hour as well, and what is put on then is not lost in it', () => {
    const scale = simulatedScale(4);
    for (const { massG } of readings(watch(scale, 3600)).slice(20)) expect(massG).toBe(0);
    scale.do({ act: 'put', massG: 0.3 });
    expect(Math.abs((readings(watch(scale, 4)).at(-1)?.massG ?? 0) - 0.3)).toBeLessThanOrEqual(0.1 + 1e-9);
  });
  test.each([3, 4, 11, 20_261_130])(
    'what wandered under a load is nought again when the load is lifted off (seed %d)',
    (seed) => {
      const scale = simulatedScale(seed);
      scale.do({ act: 'put', massG: 186 });
      watch(scale, 600);
      scale.do({ act: 'clear' });
      watch(scale, 4);
      for (const { massG } of readings(watch(scale, 30))) expect(massG).toBe(0);
    },
  );
  test('every reading is a whole number of steps', () => {
    const scale = simulatedScale(9);
    scale.do({ act: 'put', massG: 33.33 });
    for (const { massG } of readings(watch(scale, 5)))
      expect(Math.abs(massG * 10 - Math.round(massG * 10))).toBeLessThan(1e-6);
  });
  test('tared it shows what is put on beside the bowl; lifted off it shows the bowl below nought; at nought it says under', () => {
    const scale = simulatedScale(5);
    scale.do({ act: 'put', massG: 40 });
    watch(scale, 3);
    const [tared] = scale.do({ act: 'tare' });
    expect(tared).toMatchObject({ kind: 'tare' });
    expect(Math.abs((tared as { massG: number }).massG - 40)).toBeLessThanOrEqual(0.2);
    scale.do({ act: 'put', massG: 18.6 });
    expect(Math.abs((readings(watch(scale, 4)).at(-1)?.massG ?? 0) - 18.6)).toBeLessThanOrEqual(0.3);
    scale.do({ act: 'clear' });
    expect(Math.abs((readings(watch(scale, 4)).at(-1)?.massG ?? 0) + 40)).toBeLessThanOrEqual(0.3);
  });
  test('carries no more than it can, and says so until it is less', () => {
    const scale = simulatedScale(1);
    scale.do({ act: 'put', massG: 600 });
    expect(watch(scale, 3).at(-1)).toEqual({ kind: 'fault', fault: 'over' });
    scale.do({ act: 'take', massG: 500 });
    expect(readings(watch(scale, 4)).at(-1)?.isStable).toBe(true);
  });
  test('nudged it moves and settles again at what lay there', () => {
    const scale = simulatedScale(2);
    scale.do({ act: 'put', massG: 50 });
    const before = readings(watch(scale, 3)).at(-1)?.massG ?? 0;
    scale.do({ act: 'nudge' });
    const after = readings(watch(scale, 4));
    expect(after.some(({ isStable }) => !isStable)).toBe(true);
    expect(Math.abs((after.at(-1)?.massG ?? 0) - before)).toBeLessThanOrEqual(0.2);
  });
  test('unplugged it says nothing; plugged in it says what it is, and has forgotten its tare', () => {
    const scale = simulatedScale(2);
    scale.do({ act: 'put', massG: 10 });
    scale.do({ act: 'battery', isLow: true });
    watch(scale, 2);
    scale.do({ act: 'tare' });
    scale.do({ act: 'unplug' });
    expect(watch(scale, 2)).toEqual([]);
    expect(scale.do({ act: 'tare' })).toEqual([]);
    expect(scale.do({ act: 'plug' })).toEqual([
      { kind: 'hello', unit: 'g', stepG: 0.1, mostG: 500 },
      { kind: 'tare', massG: 0 },
      { kind: 'battery', isLow: true },
    ]);
    expect(Math.abs((readings(watch(scale, 3)).at(-1)?.massG ?? 0) - 10)).toBeLessThanOrEqual(0.2);
  });
});
