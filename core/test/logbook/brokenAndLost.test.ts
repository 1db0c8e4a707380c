import { describe, expect, test } from '@jest/globals';
import { seededRandom } from '../../src/base/index.ts';
import {
  blankMaking,
  blankMakingStep,
  brokenInMaking,
  brokenTogether,
  lossRates,
  type Making,
} from '../../src/logbook/index.ts';
import { breakageRate, defaultRate } from '../../src/needles/index.ts';
import { BLANK_STEP } from '../../src/pattern/index.ts';
import { byGauge } from '../../src/shelf/index.ts';
import { part, pattern, shapes, shelf, fibre } from '../support/make.ts';

const wool = shelf(fibre('chalk'));
const ball = pattern([part('ball', shapes.ball(60), { core: 'chalk' })], {
  steps: [
    { ...BLANK_STEP, id: 'a', text: 'Felt it', stage: 'core', partIds: ['ball'], minutes: 30, needle: byGauge(36) },
    { ...BLANK_STEP, id: 'b', text: 'Finish', stage: 'finish', partIds: ['ball'], minutes: 10, needle: byGauge(40) },
    { ...BLANK_STEP, id: 'c', text: 'Look', stage: 'finish', partIds: ['ball'], minutes: 5 },
  ],
}); // prettier-ignore
const making = (more: Partial<Making>): Making => ({
  ...blankMaking('Ball', '2026-11-01'),
  id: 'm',
  version: 1,
  ...more,
});

describe('needles that broke in a making', () => {
  test('count against the minutes that were timed, by gauge; what nobody timed tells nothing', () => {
    const told = brokenInMaking(
      making({
        steps: [
          blankMakingStep('1', { stepId: 'a', minutes: 40, broken: 1 }),
          blankMakingStep('2', { stepId: 'b', broken: 2 }),
        ],
      }),
      ball,
      wool,
    );
    expect(told).toEqual([{ gauge: 36, broken: 1, exposureMinutes: expect.any(Number) }]);
    expect(told[0]?.exposureMinutes).toBeGreaterThanOrEqual(40);
  });
  test('first-timers’ minutes are worth two and a half of the author’s', () => {
    const of = (skill: Making['skill']) =>
      brokenInMaking(making({ skill, steps: [blankMakingStep('1', { stepId: 'a', minutes: 40 })] }), ball, wool)[0]?.exposureMinutes ?? 0;
    expect(of('first-timer') / of('practised')).toBeCloseTo(2.5, 9);
  });
  test('a hundred makings of a hand that breaks four times as often are found again within a fifth', () => {
    const truth = 4 * defaultRate(36);
    const random = seededRandom(5);
    const all = Array.from({ length: 100 }, () => {
      const minutes = 60;
      const [{ exposureMinutes } = { exposureMinutes: 0 }] = brokenInMaking(making({ steps: [blankMakingStep('1', { stepId: 'a', minutes })] }), ball, wool);
      // Minute by minute, as needles break.
      const broken = Array.from({ length: Math.round(exposureMinutes) }, () => random() < truth).filter(Boolean).length;
      return { gauge: 36, broken, exposureMinutes };
    });
    const { perMinute } = breakageRate(36, brokenTogether(all));
    expect(Math.abs(Math.log(perMinute / truth))).toBeLessThan(0.2 + 2 / Math.sqrt(truth * 6000));
  });
}); // prettier-ignore

describe('what is lost', () => {
  test('nothing counted is as usual; three lost of forty are one in fifteen', () => {
    const [eye] = lossRates([{ findingId: 'eye', used: 30, lost: 2 }, { findingId: 'eye', used: 10, lost: 1 }]);
    // (1 + 3) ÷ (20 + 40)
    expect(eye?.now).toBeCloseTo(1 / 15, 9);
    expect(lossRates([{ findingId: 'bead', used: 0, lost: 0 }])).toEqual([]);
  });
  test('so many spares are enough nineteen times in twenty, by drawing', () => {
    const [eye] = lossRates([{ findingId: 'eye', used: 40, lost: 3 }]);
    const spares = eye?.sparesFor(22) ?? 0;
    const random = seededRandom(11);
    const draws = Array.from({ length: 20_000 }, () => poisson(22 * (eye?.now ?? 0), random));
    const enough = (most: number) => draws.filter((lost) => lost <= most).length / draws.length;
    expect(enough(spares)).toBeGreaterThanOrEqual(0.94);
    expect(enough(spares - 1)).toBeLessThan(0.96);
  });
}); // prettier-ignore

/** Knuth 1969. */
function poisson(mean: number, random: () => number): number {
  const limit = Math.exp(-mean);
  let [count, product] = [0, random()];
  while (product > limit) {
    count += 1;
    product *= random();
  }
  return count;
}
