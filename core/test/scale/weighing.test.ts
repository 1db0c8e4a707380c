import { describe, expect, test } from '@jest/globals';
import {
  afterReading,
  type Balance,
  balanceOf,
  inHands,
  isContainer,
  NO_SCALE,
  type OddReading,
  oddReading,
  READY,
  type ScaleState,
  simulatedScale,
  afterLine,
} from '../../src/scale/index.ts';

const WANTED = { massG: 18.6, toleranceG: 0.9 };
const at = (massG: number, isStable = true): ScaleState => ({
  ...NO_SCALE,
  isHere: true,
  stepG: 0.1,
  mostG: 500,
  massG,
  isStable,
});

describe('what lies there against what is wanted', () => {
  test.each<[string, ScaleState, Balance]>([
    ['nothing yet', at(0), { kind: 'nothing' }],
    ['too little', at(10), { kind: 'under', massG: 10, differenceG: 8.6 }],
    ['just in', at(17.7), { kind: 'right', massG: 17.7 }],
    ['a step less', at(17.6), { kind: 'under', massG: 17.6, differenceG: 1 }],
    ['at the upper end', at(19.5), { kind: 'right', massG: 19.5 }],
    ['too much', at(19.6), { kind: 'over', massG: 19.6, differenceG: -1 }],
    ['unplugged', NO_SCALE, { kind: 'no-scale' }],
    ['more than it carries', { ...at(0), massG: null, fault: 'over' }, { kind: 'fault', fault: 'over' }],
  ])('%s', (_what, scale, balance) => {
    expect(balanceOf(WANTED, scale)).toEqual(balance);
  });
});

describe('in what hands do', () => {
  const measures = [
    { name: 'wisp', massG: 0.05, lowG: 0.03, highG: 0.08, weighedAt: '' },
    { name: 'pinch', massG: 0.3, lowG: 0.2, highG: 0.4, weighedAt: '' },
    { name: 'tuft', massG: 1.2, lowG: 1, highG: 1.5, weighedAt: '' },
  ] as const;
  test.each([
    [0.05, { measure: 'wisp', count: 1 }],
    [0.16, { measure: 'wisp', count: 3 }],
    [0.31, { measure: 'pinch', count: 1 }],
    [-0.6, { measure: 'pinch', count: 2 }],
    [1.2, { measure: 'tuft', count: 1 }],
    [4.9, { measure: 'tuft', count: 4 }],
    [9, null],
    [0, null],
  ])('%p g', (differenceG, hands) => {
    expect(inHands(differenceG, measures)).toEqual(hands);
  });
  test('of hands that were never weighed nothing is said', () => {
    expect(inHands(0.3, [])).toBeNull();
  });
});

describe('what cannot be right', () => {
  test.each<[string, number, number | null, OddReading | null]>([
    ['right', 18.4, 340, null],
    ['a little over', 20, 340, null],
    ['ten times', 186, 340, { code: 'factor_off', factor: 10 }],
    ['a tenth', 1.86, 340, { code: 'factor_off', factor: 0.1 }],
    ['in ounces', 0.656, 340, { code: 'factor_off', factor: 1 / 28.349523125 }],
    ['a thousandth', 0.0186, 340, { code: 'factor_off', factor: 0.001 }],
    ['twice', 37.2, 340, { code: 'far_off', factor: 2 }],
    ['half', 9.3, null, { code: 'far_off', factor: 0.5 }],
    ['below nought', -3, 340, { code: 'below_nought' }],
    ['more than the drawer has', 18.6, 12, { code: 'more_than_there', onHandG: 12 }],
    ['a drawer nobody counted', 18.6, null, null],
  ])('%s', (_what, massG, onHandG, odd) => {
    const found = oddReading(massG, WANTED, onHandG);
    if (odd && found && 'factor' in odd && 'factor' in found) expect(found.factor).toBeCloseTo(odd.factor, 6);
    expect(found?.code).toBe(odd?.code);
    if (odd === null) expect(found).toBeNull();
  });
});

describe('taking by itself', () => {
  test('takes what is right and stable, once, and again only when it was off the pan', () => {
    let taking = READY;
    const taken: number[] = [];
    const see = (massG: number, isStable = true) => {
      const after = afterReading(taking, WANTED, at(massG, isStable));
      taking = after.taking;
      if (after.massG !== null) taken.push(after.massG);
    };
    see(0);
    see(18.6, false);
    expect(taken).toEqual([]);
    see(18.6);
    see(18.6);
    see(18.5);
    expect(taken).toEqual([18.6]);
    // Lifted off with the bag: the bowl is back, and the next lies there.
    see(0);
    see(18.2);
    expect(taken).toEqual([18.6, 18.2]);
  });
  test('a step about nought is not taken for a portion of two', () => {
    const little = { massG: 0.2, toleranceG: 0.1 };
    expect(afterReading(READY, little, at(0.1)).massG).toBeNull();
    expect(afterReading(READY, little, at(0.2)).massG).toBe(0.2);
  });
  test('what was left lying is not taken for another that wants more', () => {
    const { taking } = afterReading(READY, { massG: 3, toleranceG: 0.2 }, at(3));
    const next = afterReading(taking, { massG: 20, toleranceG: 1 }, at(20));
    expect(next.massG).toBeNull();
  });
  test('eleven portions on a simulated scale: each taken once, within its tolerance of what truly lies there', () => {
    const scale = simulatedScale(7);
    let state: ScaleState = NO_SCALE;
    let taking = READY;
    const taken: { readonly kept: number; readonly lay: number }[] = [];
    const forSeconds = (seconds: number) => {
      for (let tenth = 0; tenth < seconds * 10; tenth++)
        for (const line of scale.after(0.1)) {
          state = afterLine(state, line);
          const after = afterReading(taking, WANTED, { ...state, stepG: 0.1 });
          taking = after.taking;
          if (after.massG !== null) taken.push({ kept: after.massG, lay: scale.loadG() });
        }
    };
    scale.do({ act: 'plug' });
    for (let pack = 0; pack < 11; pack++) {
      // Roughly first, then pinch by pinch, as hands do.
      scale.do({ act: 'put', massG: 14 + (pack % 3) });
      forSeconds(2);
      for (let pinch = 0; scale.loadG() < 18; pinch++) {
        scale.do({ act: 'put', massG: 0.4 });
        forSeconds(1.6);
        if (taken.length > pack) break;
      }
      forSeconds(2);
      scale.do({ act: 'clear' });
      forSeconds(2);
    }
    expect(taken).toHaveLength(11);
    for (const { kept, lay } of taken) {
      expect(Math.abs(kept - lay)).toBeLessThanOrEqual(0.3);
      expect(Math.abs(kept - WANTED.massG)).toBeLessThanOrEqual(WANTED.toleranceG + 1e-9);
    }
  });
});

test('a bowl that was tared before is known by its weight, and never taken for the wool', () => {
  expect(isContainer(40, WANTED, at(40.1))).toBe(true);
  expect(isContainer(40, WANTED, at(40.1, false))).toBe(false);
  expect(isContainer(40, WANTED, at(38))).toBe(false);
  expect(isContainer(18.5, WANTED, at(18.5))).toBe(false);
  expect(isContainer(null, WANTED, at(0))).toBe(false);
  expect(isContainer(0, WANTED, at(0))).toBe(false);
});
