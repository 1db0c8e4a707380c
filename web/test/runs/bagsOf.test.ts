import { describe, expect, test } from '@jest/globals';
import { legged, step } from '../../../core/test/support/writing.ts';
import { bagsOf } from '../../src/runs/day/bagsOf.ts';
import { inkOn } from '../../src/runs/day/inkOn.ts';

const build = legged([
  step('roll', 'make', ['body'], { stage: 'core' }),
  step('legs', 'make', ['leg'], { stage: 'core' }),
  step('coat', 'wrap', ['body'], { stage: 'coat' }),
]);
const bands = build.steps.map(({ id }, at) => ({ stepId: id, from: at * 10, to: at * 10 + 10 })); // prettier-ignore

describe('which bag is open when', () => {
  test.each([
    ['stage', [['Core', 0, 20], ['Coat', 20, 30]]],
    ['part', [['body', 0, 10], ['leg', 10, 20], ['body', 20, 30]]],
    ['one', []],
    ['session', []],
  ] as const)('bagged by %s', (bagging, bags) => {
    expect(bagsOf(bands, build, bagging).map(({ name, from, to }) => [name, from, to])).toEqual(bags);
  }); // prettier-ignore
});

test.each([['#f2f0ea', '#14202a'], ['#dd8a1c', '#14202a'], ['#1d1c1e', '#ffffff'], ['#5c7d3c', '#ffffff']])('letters on %s are %s', (colour, ink) => {
  expect(inkOn(colour)).toBe(ink);
}); // prettier-ignore
